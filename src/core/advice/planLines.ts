import type { Assignment } from '../assignment/costTable';
import type { ChordText } from '../chord/chord';
import type { ClashIndex } from '../clash/clashIndex';
import { applyTicket, type Ticket } from '../keymap/ticket';
import type { Command, CommandId } from '../program/program';
import { type Advisor, type Weighed, wantsOf, weigh } from './advisor';
import { chainsOf } from './chainsOf';
import { chordOf } from './chordOf';
import type { PlanRow, PlanTable } from './planTable';
import type { Pair } from './searchPairs';
import type { PlanLine, WishList } from './wishList';

export function linesOf(
  advisor: Advisor,
  index: ClashIndex,
  list: WishList,
  table: PlanTable,
  chosen: Assignment,
  ticket: Ticket | null,
  pairs: readonly Pair[],
  costs: readonly [atFirst: Float64Array, now: Float64Array],
): PlanLine[] {
  const { where } = advisor;
  const { keymap } = index;
  const done = ticket ? applyTicket(keymap, ticket) : keymap;
  const before = Int32Array.from(table.list, (row) => row.ownColumn);
  const [atFirst, now] = costs;
  const weighed = (row: PlanRow, chord: ChordText | null): Weighed | null =>
    chord === null ? null : weigh(advisor, wantsOf(advisor, done, row.command), chord);
  const takers = new Map<ChordText, CommandId>();
  table.list.forEach((row, r) => {
    const chord = chordOf(table, chosen, r);
    if (chord !== null && chord !== row.own) takers.set(where.place(chord), row.command.id);
  });
  const payers = payersOf(table, pairs, chosen.columnOf, before);
  const pinned = new Set(list.pins.map(([id, chord]) => `${id} ${where.place(chord)}`));
  const settled = new Set(list.settled.map(([id]) => id));
  const lost = new Set(table.lostPins.map(([id]) => id));
  const told = new Set([...list.pins, ...list.forbids].map(([id]) => id));
  const idOf = (r: number): CommandId => (table.list[r] as PlanRow).command.id;
  const gainOf = (r: number): number => (atFirst[r] as number) - (now[r] as number);
  /** Those that gain, the one that gains most first, and those of whom a person said what they get. */
  const paying = (rows: readonly number[]): CommandId[] => {
    const pay = rows.filter((one) => gainOf(one) > 0 || told.has(idOf(one)));
    return (pay.length > 0 ? pay : [...rows]).sort((a, b) => gainOf(b) - gainOf(a)).map(idOf);
  };
  const lines = table.list.flatMap((row, r): PlanLine[] => {
    const id = row.command.id;
    const chord = chordOf(table, chosen, r);
    if (!row.wish && chord === row.own) return [];
    const after = weighed(row, chord);
    const gain = gainOf(r);
    const holders = chord === null || chord === row.own ? [] : (index.holders.get(where.place(chord)) ?? []);
    const to = row.own === null || chord === row.own ? null : (takers.get(where.place(row.own)) ?? null);
    return [
      {
        command: id,
        role: row.wish ? 'wish' : 'giver',
        uses: row.uses,
        before: row.own === null ? null : weigh(advisor, row.wants, row.own),
        after,
        reasons: after?.reasons ?? [],
        from: holders.map((one) => one.command.id).filter((one) => one !== id),
        to,
        settled: row.stays && settled.has(id),
        pinned: chord !== null && !lost.has(id) && pinned.has(`${id} ${where.place(chord)}`),
        troubled: row.troubled,
        paidBy: gain < 0 ? paying(payers.get(r) ?? []) : [],
        gain: gain / 1000,
      },
    ];
  });
  const spares = (ticket?.changes ?? [])
    .filter((change) => keymap.spares.has(change.command) && !list.wishes.includes(change.command))
    .flatMap((change): PlanLine[] =>
      change.before
        .filter((one) => !change.after.includes(one))
        .map((one) => ({
          command: change.command,
          role: 'spare',
          uses: 0,
          before: weigh(
            advisor,
            wantsOf(advisor, keymap, advisor.facts.commands.get(change.command) as Command),
            one.chord,
          ),
          after: null,
          reasons: [],
          from: [],
          to: takers.get(where.place(one.chord)) ?? null,
          pinned: false,
          settled: false,
          troubled: false,
          paidBy: [],
          gain: 0,
        })),
    );
  return [...lines, ...spares];
}

/**
 * For every row that changed, and every one whose partner did, the rows whose gain may pay for it: those that took its keys
 * and theirs, their partners, and those that pay for these in turn.
 */
function payersOf(
  table: PlanTable,
  pairs: readonly Pair[],
  now: Int32Array,
  before: Int32Array,
): ReadonlyMap<number, readonly number[]> {
  const partners = new Map(pairs.flatMap(({ a, b }) => [[a, b] as const, [b, a] as const]));
  const takers = new Map(
    chainsOf(table, now, before).flatMap(({ rows, ring }) =>
      rows.map((row, i) => [row, ring ? [...rows.slice(i + 1), ...rows.slice(0, i)] : rows.slice(i + 1)] as const),
    ),
  );
  const left = [...takers.keys()].flatMap((row) => partners.get(row) ?? []);
  return new Map(
    [...new Set([...takers.keys(), ...left])].map((row) => {
      const found = new Set([row]);
      // What is added is gone through in turn.
      for (const one of found)
        for (const next of [...(takers.get(one) ?? []), partners.get(one) ?? row]) found.add(next);
      return [row, [...found].slice(1)];
    }),
  );
}
