import { augment } from './augment';
import type { CostTable, Progress } from './costTable';

/**
 * The same where rows want much the same columns, so that paths pass many rows. Every row has its columns in the order of
 * their costs; since no price is above zero, a row need not be looked at beyond the cost at which the path would be longer
 * than one that is known to end.
 * @returns the column of each row, -1 for those left out.
 */
export function assignSorted({ rows, columns, costs, without }: CostTable, progress?: Progress): Int32Array | null {
  const sorted = sortedColumns(rows, columns, costs);
  const starts = Int32Array.from({ length: rows + 1 }, (_, row) => row * columns);
  const inOrder = Float64Array.from(sorted, (j, k) => costs[Math.floor(k / columns) * columns + j] as number);
  return assignListed({ rows, columns, starts, columnAt: sorted, costs: inOrder, without }, progress);
}

/** The columns that each row may have, the cheapest first, one row after the other. */
export type CostLists = {
  readonly rows: number;
  readonly columns: number;
  /** Where the columns of each row begin, and behind the last of them where they end. */
  readonly starts: Int32Array;
  readonly columnAt: Int32Array;
  readonly costs: Float64Array;
  readonly without: Float64Array;
};

/** The same where each row may have few of the columns, of which it has a list in the order of their costs. */
export function assignListed(lists: CostLists, progress?: Progress): Int32Array | null {
  const { rows, columns, starts, columnAt, costs, without } = lists;
  const u = new Float64Array(rows);
  const v = new Float64Array(columns);
  const columnOf = new Int32Array(rows).fill(-1);
  const rowOf = new Int32Array(columns).fill(-1);
  const shortest = new Float64Array(columns).fill(Infinity);
  const cameFrom = new Int32Array(columns);
  /** Columns that somebody has and a way leads to: those passed stand first, those still to be passed behind them. */
  const reached = new Int32Array(columns);
  for (let row = 0; row < rows; row++) {
    if (progress && !progress(row, rows)) return null;
    let count = 0;
    let passed = 0;
    let at = row;
    let least = 0;
    /** The shortest way known that ends: in a column that nobody has, or in leaving a row out. */
    let bound = Infinity;
    let end = -1;
    let dropRow = -1;
    const touched: number[] = [];
    for (;;) {
      const base = least - (u[at] as number);
      if (base + (without[at] as number) < bound) {
        bound = base + (without[at] as number);
        end = -1;
        dropRow = at;
      }
      const last = starts[at + 1] as number;
      for (let k = starts[at] as number; k < last; k++) {
        const j = columnAt[k] as number;
        const way = base + (costs[k] as number);
        if (way >= bound) break;
        const through = way - (v[j] as number);
        if (through >= bound || through >= (shortest[j] as number)) continue;
        if (shortest[j] === Infinity) touched.push(j);
        cameFrom[j] = at;
        if (rowOf[j] === -1) {
          bound = through;
          end = j;
        } else if (shortest[j] === Infinity) reached[count++] = j;
        shortest[j] = through;
      }
      let nearest = -1;
      least = bound;
      for (let k = passed; k < count; k++) {
        const cost = shortest[reached[k] as number] as number;
        if (cost >= least) continue;
        least = cost;
        nearest = k;
      }
      if (nearest < 0) break;
      const column = reached[nearest] as number;
      reached[nearest] = reached[passed] as number;
      reached[passed++] = column;
      at = rowOf[column] as number;
    }
    if (bound === Infinity) return null;
    u[row] = (u[row] as number) + bound;
    for (let k = 0; k < passed; k++) {
      const j = reached[k] as number;
      const dearer = bound - (shortest[j] as number);
      v[j] = (v[j] as number) - dearer;
      u[rowOf[j] as number] = (u[rowOf[j] as number] as number) + dearer;
    }
    augment(row, end, dropRow, cameFrom, columnOf, rowOf);
    for (const j of touched) shortest[j] = Infinity;
  }
  return columnOf;
}

/** How finely costs are told apart at first. */
const STEPS = 2 ** 30;

/**
 * The columns of every row by their costs. Cost and column are sorted as one figure, which needs no comparing function;
 * costs too close together for that are put right afterwards.
 */
function sortedColumns(rows: number, columns: number, costs: Float64Array): Int32Array {
  const sorted = new Int32Array(rows * columns);
  const figures = new Float64Array(columns);
  for (let i = 0; i < rows; i++) {
    const offset = i * columns;
    let least = Infinity;
    let most = -Infinity;
    for (let j = 0; j < columns; j++) {
      const cost = costs[offset + j] as number;
      if (cost < least) least = cost;
      if (cost > most && cost !== Infinity) most = cost;
    }
    const step = most > least ? STEPS / (most - least) : 0;
    for (let j = 0; j < columns; j++) {
      const cost = costs[offset + j] as number;
      figures[j] = (cost === Infinity ? STEPS + 1 : Math.floor((cost - least) * step)) * columns + j;
    }
    figures.sort();
    for (let k = 0; k < columns; k++) {
      const j = (figures[k] as number) % columns;
      const cost = costs[offset + j] as number;
      let at = offset + k;
      for (; at > offset && (costs[offset + (sorted[at - 1] as number)] as number) > cost; at--)
        sorted[at] = sorted[at - 1] as number;
      sorted[at] = j;
    }
  }
  return sorted;
}
