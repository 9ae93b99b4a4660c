import type { ClashIndex } from '../clash/clashIndex';
import type { Command } from '../program/program';
import { type Advisor, WORTH } from './advisor';
import { areNext } from './beside';
import { linesOf } from './planLines';
import { buildPlanTable, type PlanRow, type PlanTable } from './planTable';
import { ticketOf } from './planTicket';
import { type Near, type Pair, searchPairs } from './searchPairs';
import { undoWhatDoesNotPay } from './undoWhatDoesNotPay';
import type { Plan, WishList } from './wishList';

/** How much work the search for pairs may do: cells looked at, all plain assignments together. */
const WORK = 6_000_000;
const FEWEST_NODES = 8;
const MOST_NODES = 600;

/**
 * The best whole plan for a wish list: chords for all wishes at once, at the least cost over all of them, where a cost is
 * how hard the keys are to reach less what speaks for them, times uses a day. Keepers, what the program fixes, and what was
 * said to stay are never touched; no chord is given that anything stands in the way of.
 * @param usesOf how often a day a command is used.
 * @returns null when progress says to stop.
 */
export function planWishes(
  advisor: Advisor,
  index: ClashIndex,
  list: WishList,
  usesOf: (command: Command) => number,
  progress?: (done: number, of: number) => boolean,
): Plan | null {
  const table = buildPlanTable(advisor, index, list, usesOf);
  const pairs = pairsOf(advisor, table);
  const nodes = Math.round(WORK / Math.max(1, table.rows * table.columns));
  const near = nearIn(advisor, table);
  const found = searchPairs(table, pairs, near, Math.min(MOST_NODES, Math.max(FEWEST_NODES, nodes)), progress);
  if (!found) return null;
  const before = new Int32Array(table.rows);
  table.list.forEach((row, r) => {
    before[r] = row.ownColumn;
  });
  const rowCosts = rowCostsOf(table, pairs, near);
  const cost = (columnOf: Int32Array): number => rowCosts(columnOf).reduce((sum, one) => sum + one, 0);
  const polished = found.cost <= found.bound ? found.columnOf : undoWhatDoesNotPay(table, found, before, cost);
  const firstCosts = rowCosts(before, true);
  const atFirst = firstCosts.reduce((sum, one) => sum + one, 0);
  const now = cost(polished);
  const most = atFirst - found.bound;
  const chosen = { columnOf: polished, cost: now };
  const ticket = ticketOf(index.keymap, advisor, list, table, chosen);
  return {
    lines: linesOf(advisor, index, list, table, chosen, ticket, pairs, [firstCosts, rowCosts(polished)]),
    proven: now <= found.bound,
    share: most <= 0 ? 1 : Math.min(1, (atFirst - now) / most),
    lostPins: table.lostPins,
    ticket,
  };
}

/** The rows whose commands are partners of each other. */
function pairsOf({ partnerOf }: Advisor, { list }: PlanTable): Pair[] {
  const rowOf = new Map(list.map((row, r) => [row.command.id, r]));
  return list.flatMap((row, a) => {
    const b = rowOf.get(partnerOf(row.command)?.id ?? '');
    return b !== undefined && a < b && row.wish && list[b]?.wish ? [{ a, b }] : [];
  });
}

/** For every row and column, where its partner would have to be. */
function nearIn({ where }: Advisor, { list, chords }: PlanTable): Near {
  const columnOf = new Map(chords.map((one, j) => [one.place, j]));
  const layer = new Map<string, number[]>();
  chords.forEach((one, j) => {
    const text = one.modifiers.join('+');
    layer.set(text, [...(layer.get(text) ?? []), j]);
  });
  const known = new Map<number, readonly (readonly [number, number])[]>();
  const around = (column: number): readonly (readonly [number, number])[] => {
    let found = known.get(column);
    if (found) return found;
    const chord = chords[column];
    const key = chord && where.keyboard.byCode.get(chord.code);
    if (!chord || !key) return [];
    const besides = (layer.get(chord.modifiers.join('+')) ?? []).filter((j) => {
      const other = where.keyboard.byCode.get(chords[j]?.code ?? '');
      return j !== column && other !== undefined && areNext(key, other);
    });
    const withShift = chords.findIndex(
      (other, j) =>
        j !== column &&
        other.code === chord.code &&
        other.modifiers.filter((one) => one !== 'Shift').join() ===
          chord.modifiers.filter((one) => one !== 'Shift').join(),
    );
    found = [
      ...besides.map((j) => [j, WORTH.partner] as const),
      ...(withShift >= 0 ? [[withShift, WORTH.partnerWithShift] as const] : []),
    ];
    known.set(column, found);
    return found;
  };
  const none: readonly (readonly [number, number])[] = [];
  const scaled = new Map<string, readonly (readonly [number, number])[]>();
  return (r, column) => {
    const row = list[r] as PlanRow;
    // Its own keys outside the table lie beside others only if they are in the table all the same.
    const at = column >= 0 ? column : row.own === null ? -1 : (columnOf.get(where.place(row.own)) ?? -1);
    if (at < 0) return none;
    const id = `${row.uses} ${at}`;
    let gains = scaled.get(id);
    if (!gains) {
      gains = around(at).map(([j, worth]) => [j, Math.round(1000 * row.uses * worth)] as const);
      scaled.set(id, gains);
    }
    return gains;
  };
}

/**
 * What each row costs under a choice of columns, its own part of a pair's gain taken off. As things were at first, its own
 * keys cost what they cost even where they have been ruled out since.
 */
function rowCostsOf(
  table: PlanTable,
  pairs: readonly Pair[],
  near: Near,
): (columnOf: Int32Array, atFirst?: boolean) => Float64Array {
  const partners = new Map(pairs.flatMap(({ a, b }) => [[a, b] as const, [b, a] as const]));
  return (columnOf, atFirst = false) =>
    Float64Array.from(columnOf, (column, r) => {
      const cost = column < 0 ? table.without[r] : table.costs[r * table.columns + column];
      const partner = partners.get(r);
      const gain = partner === undefined ? undefined : near(r, column).find(([one]) => one === columnOf[partner])?.[1];
      return ((atFirst ? table.list[r]?.stay : cost) as number) - (gain ?? 0);
    });
}
