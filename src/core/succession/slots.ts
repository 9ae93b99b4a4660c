import type { Known } from '../counterpart/counterpart';
import type { Command, CommandId } from '../program/program';

/** How much commands that are not paired yet stand in the same place of two lists, by their numbers among those. */
export type Slots = {
  /** From 0 to 1. */
  readonly of: (row: number, column: number) => number;
  /** Those at the right of which that is more than 0. */
  readonly near: (row: number) => readonly number[];
};

/** What a place says where several could be meant, if they come in the same order. */
const IN_ORDER = 0.6;
/** What it says where only one neighbor is the same. */
const ONE_SIDE = 0.4;

/**
 * Tells how much commands stand in the same place of two lists: between the same neighbors, which are known to be paired.
 * @param rows those of the first list that are not paired yet. @param columns those of the second.
 */
export function slotsOf(
  left: readonly Command[],
  right: readonly Command[],
  known: ReadonlyMap<CommandId, Known>,
  rows: readonly Command[],
  columns: readonly Command[],
): Slots {
  const back = new Map(
    [...known].flatMap(([one, { counterpart }]) => (counterpart ? [[counterpart, one] as const] : [])),
  );
  const gaps = [
    gapsOf(left, (one) => known.get(one)?.counterpart ?? null),
    gapsOf(right, (one) => back.get(one) ?? null),
  ];
  const gapOf = (side: 0 | 1, id: CommandId): Gap | undefined => gaps[side]?.get(id);
  // The beginning and the end of a menu are neighbors, too.
  const pairOf = (one: CommandId): CommandId | null =>
    one.startsWith('\n') ? one : (known.get(one)?.counterpart ?? null);
  const of = (row: number, column: number): number => {
    const [here, there] = [gapOf(0, (rows[row] as Command).id), gapOf(1, (columns[column] as Command).id)];
    if (!here || !there) return 0;
    const after = pairOf(here.previous) === there.previous;
    const before = pairOf(here.next) === there.next;
    if (!after && !before) return 0;
    const sides = after && before ? 1 : ONE_SIDE;
    if (here.many === 1 && there.many === 1) return sides;
    const ordered = (after && here.at === there.at) || (before && fromEnd(here) === fromEnd(there));
    return ordered ? sides * IN_ORDER : 0;
  };
  // Those that come as the same after the same neighbor, or before it.
  const placed = new Map<string, number[]>();
  columns.forEach(({ id }, column) => {
    const there = gapOf(1, id);
    for (const place of there ? placesOf(there.previous, there.next, there) : [])
      placed.set(place, [...(placed.get(place) ?? []), column]);
  });
  const near = (row: number): readonly number[] => {
    const here = gapOf(0, (rows[row] as Command).id);
    const places = here ? placesOf(pairOf(here.previous), pairOf(here.next), here) : [];
    return [...new Set(places.flatMap((place) => placed.get(place) ?? []))];
  };
  return { of, near };
}

const fromEnd = ({ many, at }: Gap): number => many - at;
const placesOf = (previous: CommandId | null, next: CommandId | null, gap: Gap): readonly string[] => [
  `after ${gap.at} ${previous}`,
  `before ${fromEnd(gap)} ${next}`,
];

/** Where a command stands between paired ones of its menu: which these are, how many stand there, and as which it does. */
type Gap = { readonly previous: CommandId; readonly next: CommandId; readonly many: number; readonly at: number };

function gapsOf(list: readonly Command[], pairOf: (id: CommandId) => CommandId | null): ReadonlyMap<CommandId, Gap> {
  const gaps = new Map<CommandId, Gap>();
  let menu = '';
  let previous = '';
  let waiting: CommandId[] = [];
  const close = (next: CommandId): void => {
    for (const [at, id] of waiting.entries()) gaps.set(id, { previous, next, many: waiting.length, at });
    waiting = [];
    previous = next;
  };
  for (const { id, path } of list) {
    const own = `\n${path.join('\n')}`;
    if (own !== menu) {
      close(`${menu}\n`);
      menu = own;
      previous = menu;
    }
    if (pairOf(id) === null) waiting.push(id);
    else close(id);
  }
  close(`${menu}\n`);
  return gaps;
}
