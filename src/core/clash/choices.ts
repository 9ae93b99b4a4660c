import type { ChordText } from '../chord/chord';
import type { Where } from '../keyboard/where';
import { giveKeys } from '../keymap/changeKeys';
import { applyTicket, type Change, type Ticket } from '../keymap/ticket';
import type { Command } from '../program/program';
import { buildClashIndex, type ClashIndex, type Holder } from './clashIndex';
import { freeNear } from './freeNear';
import { lossesOf } from './lossesOf';
import { findingsFor, type Verdict, weightOf } from './verdict';

/** The ways to go on from a verdict. */
export const CHOICE_KINDS = ['use', 'turns', 'shadow', 'take and give', 'take', 'take and move', 'swap'] as const;
export type ChoiceKind = (typeof CHOICE_KINDS)[number];

/** One way to go on: what its button says, the ticket it puts on the tape, who is to be given a key next. */
export type Choice = {
  readonly kind: ChoiceKind;
  readonly label: string;
  /** The keys that the label ends in, where it names any. */
  readonly keys?: ChordText;
  readonly ticket: Ticket;
  readonly next: readonly Command[];
  /** The keepers this would take keys from; it is to be asked twice. */
  readonly keepers: readonly Holder[];
};

/**
 * The choices a verdict leaves, the plainest first. None of them makes a clash; leaving things as they are is always
 * possible besides and needs no ticket.
 * @param keepOwn whether the command keeps the keys it has besides the new ones (keys the program fixes always stay).
 */
export function choices(index: ClashIndex, where: Where, command: Command, said: Verdict, keepOwn: boolean): Choice[] {
  const { keymap, facts } = index;
  const { chord, findings } = said;
  if (findings.some((one) => weightOf(one) === 'stops' || one.kind === 'already yours')) return [];
  const own = giveKeys(keymap, command.id, chord, (b) => keepOwn || facts.fixed.has(b.chord));
  const holdersOf = (kind: 'held by' | 'takes turns with' | 'shadows' | 'shadowed by') =>
    findings.flatMap((one) => (one.kind === kind ? one.holders : []));
  const ticket = (...more: readonly Change[]): Ticket => ({ title: command.name, changes: [own, ...more] });
  const held = holdersOf('held by');
  const turns = holdersOf('takes turns with');
  const shadowing = [...holdersOf('shadows'), ...holdersOf('shadowed by')];
  const offered: Choice[] = [];
  const offer = (
    kind: ChoiceKind,
    label: string,
    one: Ticket,
    from: readonly Holder[] = [],
    more: Partial<Choice> = {},
  ): void => {
    offered.push({ kind, label, ticket: one, next: [], keepers: from.filter((holder) => holder.keeper), ...more });
  };
  if (held.length === 0 && turns.length > 0) offer('turns', 'Let them take turns', ticket());
  if (held.length === 0 && turns.length === 0 && shadowing.length > 0)
    offer('shadow', 'Use it, each where it is heard', ticket());
  if (held.length === 0 && turns.length === 0 && shadowing.length === 0)
    return [{ kind: 'use', label: `Use it for ${command.name}`, ticket: ticket(), next: [], keepers: [] }];

  // Whoever is to lose these keys: those that clash; with nobody clashing, those it would otherwise share them with.
  const losing = held.length > 0 ? held : [...turns, ...shadowing];
  const losses = lossesOf(keymap, losing);
  const losers = losses.flatMap(({ command: id }) => facts.commands.get(id) ?? []);
  const bare = losses.filter((change) => change.after.length === 0);
  const [one] = losers;
  if (!one) return offered;
  const alone = losers.length === 1;
  const taking: Taking = { command, chord, own, losses, loser: one };
  const spending = losing.every((holder) => holder.spare);
  if (held.length > 0) {
    if (bare.length > 0 && !spending) {
      const whom = alone ? `${one.name} another key` : `those ${losers.length} other keys`;
      offer('take and give', `Take it, then give ${whom}`, ticket(...losses), losing, { next: losers });
    }
    const stays = alone && bare.length === 0 && !spending ? losses[0]?.after[0]?.chord : undefined;
    if (stays === undefined) offer('take', 'Take it', ticket(...losses), losing);
    else offer('take', `Take it; ${one.name} stays on`, ticket(...losses), losing, { keys: stays });
    if (alone && bare.length > 0 && !spending) {
      const moved = movedElsewhere(index, where, taking);
      if (moved) offer('take and move', `Take it, ${one.name} moves to`, moved.ticket, losing, { keys: moved.to });
    }
  }
  const swapped = alone && !keepOwn && !spending ? swap(index, where, taking) : null;
  if (swapped) offer('swap', `Swap, ${one.name} gets`, swapped.ticket, losing, { keys: swapped.to });
  if (held.length === 0)
    offer('take', alone ? `Take it from ${one.name}` : 'Take it for this alone', ticket(...losses), losing);
  return offered;
}

/** A command taking a chord from one loser: what happens to the command itself, and to those who lose. */
type Taking = {
  readonly command: Command;
  readonly chord: ChordText;
  readonly own: Change;
  readonly losses: readonly Change[];
  readonly loser: Command;
};
type Moved = { readonly to: ChordText; readonly ticket: Ticket };

/** The loser at once on a free chord close to the one it loses; null when there is none. */
function movedElsewhere(index: ClashIndex, where: Where, taking: Taking): Moved | null {
  const taken = new Set(taking.own.after.map((binding) => where.place(binding.chord)));
  const [to] = freeNear(index, where, taking.loser, taking.chord, 1, taken);
  return to === undefined ? null : { to: to.chord, ticket: withLoser(taking, to.chord) };
}

/** The loser on the keys that the command gives up; null when it gives none up or they would not do. */
function swap(index: ClashIndex, where: Where, taking: Taking): Moved | null {
  const { own, losses, loser, chord } = taking;
  const stays = new Set(own.after.map((one) => where.place(one.chord)));
  const given = own.before.find((one) => !stays.has(where.place(one.chord)));
  if (!given || given.chord === chord) return null;
  const after = applyTicket(index.keymap, { title: '', changes: [own, ...losses] });
  const findings = findingsFor(buildClashIndex(index.facts, after, where.place), where, loser, given.chord);
  if (findings.some((one) => ['stops', 'asks'].includes(weightOf(one)))) return null;
  return { to: given.chord, ticket: withLoser(taking, given.chord) };
}

function withLoser({ command, own, losses, loser }: Taking, chord: ChordText): Ticket {
  const changes = losses.map((loss) =>
    loss.command === loser.id ? { ...loss, after: [...loss.after, { chord }] } : loss,
  );
  return { title: command.name, changes: [own, ...changes] };
}
