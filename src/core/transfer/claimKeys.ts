import type { ChordText } from '../chord/chord';
import { buildClashIndex, type ClashIndex, relation } from '../clash/clashIndex';
import { findingsFor, weightOf } from '../clash/verdict';
import { bindingsOf, EMPTY_KEYMAP, type Keymap } from '../keymap/keymap';
import type { Command, CommandId } from '../program/program';
import type { Decided } from './decideLine';
import type { InTheWay, TransferTask } from './transferTypes';

/** Who claims which place, what each line gets newly, and what it can't have. */
export type Claims = {
  readonly at: ReadonlyMap<ChordText, readonly Command[]>;
  readonly got: ReadonlyMap<Decided, readonly ChordText[]>;
  readonly missed: ReadonlyMap<Decided, readonly { readonly chord: ChordText; readonly way: InTheWay }[]>;
  /** Who keeps what it has: settled outside or by hand, said to be the same, or easier to reach. */
  readonly stays: ReadonlySet<CommandId>;
};

/** Gives out the keys that lines want: what was settled by hand first, then what is used most. */
export function claimKeys(task: TransferTask, begun: Keymap, decided: readonly Decided[]): Claims {
  const { facts, where } = task.advisor;
  const index = buildClashIndex(facts, begun, where.place);
  const nobody = buildClashIndex(facts, EMPTY_KEYMAP, where.place);
  const at = new Map<ChordText, Command[]>();
  const claim = (place: ChordText, command: Command): void => {
    at.set(place, [...(at.get(place) ?? []), command]);
  };
  const stays = new Set<CommandId>(task.settled.keys());
  for (const line of decided) {
    if (line.protects) stays.add(line.mine.id);
    if (line.choice === 'same') {
      stays.add(line.mine.id);
      for (const chord of line.theirKeys) claim(where.place(chord), line.mine);
    }
  }
  const got = new Map<Decided, readonly ChordText[]>();
  const missed = new Map<Decided, { chord: ChordText; way: InTheWay }[]>();
  const takers = decided.filter((line) => line.choice === 'take' || line.choice === 'other');
  const order = new Map(takers.map((line, i) => [line, i]));
  const first = (line: Decided): number => (line.byHand ? 1e9 : 0) + task.usesOf(line.mine);
  takers.sort((a, b) => first(b) - first(a) || (order.get(a) ?? 0) - (order.get(b) ?? 0));
  for (const line of takers) {
    const own = new Set(bindingsOf(begun, line.mine.id).map((one) => where.place(one.chord)));
    const newly: ChordText[] = [];
    let any = line.wanted.length === 0;
    for (const chord of line.wanted) {
      const place = where.place(chord);
      const way = own.has(place)
        ? claimedBefore(task, at.get(place), line.mine)
        : whatStands(task, { index, nobody, stays, claimed: at.get(place) }, line, chord);
      if (way) {
        missed.set(line, [...(missed.get(line) ?? []), { chord, way }]);
        continue;
      }
      any = true;
      claim(place, line.mine);
      if (!own.has(place)) newly.push(chord);
    }
    if (any) got.set(line, newly);
  }
  return { at, got, missed, stays };
}

function claimedBefore(
  { advisor }: TransferTask,
  claimed: readonly Command[] | undefined,
  mine: Command,
): InTheWay | null {
  const other = claimed?.find((one) => one.id !== mine.id && relation(advisor.facts, one, mine) === 'clash');
  return other ? { kind: 'wanted more by', command: other } : null;
}

/** What stands in the way of a command having a chord; null for nothing that would not give way. */
function whatStands(
  task: TransferTask,
  {
    index,
    nobody,
    stays,
    claimed,
  }: {
    readonly index: ClashIndex;
    readonly nobody: ClashIndex;
    readonly stays: ReadonlySet<CommandId>;
    readonly claimed: readonly Command[] | undefined;
  },
  { mine, byHand }: Decided,
  chord: ChordText,
): InTheWay | null {
  const { facts, where } = task.advisor;
  for (const finding of findingsFor(nobody, where, mine, chord)) {
    const weight = weightOf(finding);
    // What may not be heard is taken only by somebody who saw it and chose it.
    if (weight === 'stops' || finding.kind === 'no such key' || (weight === 'warns' && !byHand))
      return { kind: 'not here', finding: finding.kind };
  }
  if (findingsFor(index, where, mine, chord).some((one) => one.kind === 'in a sequence'))
    return { kind: 'not here', finding: 'in a sequence' };
  for (const holder of index.holders.get(where.place(chord)) ?? []) {
    if (holder.command.id === mine.id || relation(facts, holder.command, mine) !== 'clash') continue;
    if (holder.keeper || facts.fixed.has(holder.chord)) return { kind: 'keeper of', command: holder.command };
    if (stays.has(holder.command.id)) return { kind: 'stays with', command: holder.command };
  }
  return claimedBefore(task, claimed, mine);
}
