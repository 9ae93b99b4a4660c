import type { ProgramFacts } from '../clash/clashIndex';
import type { Binding } from '../keymap/keymap';
import type { Command, CommandId } from '../program/program';
import { describeReach } from '../reach/describeReach';
import { listed, type Sentence } from '../text/sentence';
import { describeReason, isTold } from './describeReason';
import type { PlanLine } from './wishList';

/**
 * A line of a plan in words: what speaks for its keys, whom they come from, and who pays where it is worse off.
 * @param bindings the keys of every command as they were before the plan.
 */
export function explainLine(
  line: PlanLine,
  facts: ProgramFacts,
  bindings: ReadonlyMap<CommandId, readonly Binding[]>,
): Sentence {
  const { before, after, reasons, role, from, to, pinned, gain } = line;
  const name = (id: CommandId): Sentence => [{ strong: facts.commands.get(id)?.name ?? id }];
  const names = (ids: readonly CommandId[]): Sentence => listed(ids.map(name));
  const payer = facts.commands.get(line.paidBy[0] ?? '');
  if (role === 'spare') return [{ text: 'A spare: its keys go to ' }, ...(to ? name(to) : []), { text: '.' }];
  if (after === null || (before !== null && before.chord === after.chord))
    return unchanged(line, bindings.get(line.command) ?? [], payer, facts.commands.get(to ?? '')?.name);
  const said: Sentence[] = [[{ text: pinned ? 'Pinned by you. ' : '' }, { text: describeReach(after.reach) }]];
  const told = reasons.filter(isTold);
  if (told.length > 0) {
    const [first, ...rest] = listed(told.map(describeReason));
    said.push([...(first ? [capital(first)] : []), ...rest, { text: '.' }]);
  }
  if (line.troubled) said.push([{ text: 'Those before can’t be relied on.' }]);
  if (from.length > 0) said.push([{ text: 'Taken from ' }, ...names(from), { text: '.' }]);
  if (to !== null && gain >= 0) said.push([{ text: 'Its keys go to ' }, ...name(to), { text: '.' }]);
  if (gain < 0) said.push(paying(line, payer, to, facts));
  else if (before !== null && !line.troubled && after.reach.figure > before.reach.figure + 0.01)
    said.push([{ text: 'Harder to reach than before, which that outweighs.' }]);
  return said.flatMap((one, i) => (i === 0 ? one : [{ text: ' ' }, ...one]));
}

function unchanged(
  line: PlanLine,
  own: readonly Binding[],
  payer: Command | undefined,
  to: string | undefined,
): Sentence {
  const { before, after, pinned, role, gain } = line;
  if (line.settled && !pinned) return [{ text: 'Stays: it is as the plan on the tape has it.' }];
  // Its keys are what they were; what it is worth less by is a partner that lies apart from it now.
  if (after !== null && gain < 0 && payer && !pinned)
    return [
      { text: 'Stays, though its partner moves away for ' },
      { strong: payer.name },
      { text: ', which gains more by that.' },
    ];
  if (after !== null)
    return [{ text: pinned ? 'Pinned by you: it stays.' : 'Stays: no keys that may be spent suit it better.' }];
  const others = own.filter((one) => one.chord !== before?.chord);
  if (before !== null && gain >= 0 && others[0]) {
    const taken: Sentence = to ? [{ strong: to }, { text: ' takes these keys; ' }] : [];
    return [...taken, { text: 'it keeps ' }, { keys: others[0].chord }, { text: ', which are as good.' }];
  }
  if (before !== null) {
    const left: Sentence = payer
      ? [
          { text: 'Left without these keys for ' },
          { strong: payer.name },
          { text: gain < 0 ? ', which gains more by them.' : '.' },
        ]
      : [{ text: 'Left without these keys.' }];
    return role === 'wish' ? [...left, { text: ' No others suit it.' }] : left;
  }
  const keeper = own.find((one) => one.keeper);
  if (keeper) return [{ text: 'Stays on ' }, { keys: keeper.chord }, { text: ', a keeper.' }];
  const [other] = own;
  if (other) return [{ text: 'Stays on ' }, { keys: other.chord }, { text: ', which suits it as well as any.' }];
  return [{ text: 'No key: all that suit it are taken. Let more be spent, or add a layer.' }];
}

/** Who pays for a line that is worse off. */
function paying(line: PlanLine, payer: Command | undefined, to: CommandId | null, facts: ProgramFacts): Sentence {
  const taker = to === null ? undefined : facts.commands.get(to);
  if (!payer && !taker) return [{ text: 'Worse than before, since you ruled out or pinned keys.' }];
  const first = taker ?? payer;
  const others = line.paidBy.map((id) => facts.commands.get(id)?.name ?? id).filter((one) => one !== first?.name);
  return [
    { text: 'Gives its keys up to ' },
    { strong: first?.name ?? '' },
    {
      text:
        others.length > 0
          ? `; ${others.join(', ')} gain by it, too, and more than it loses.`
          : ', which gains more than it loses.',
    },
  ];
}

function capital(span: Sentence[number]): Sentence[number] {
  const up = (text: string) => `${text[0]?.toUpperCase() ?? ''}${text.slice(1)}`;
  return 'text' in span ? { text: up(span.text) } : span;
}
