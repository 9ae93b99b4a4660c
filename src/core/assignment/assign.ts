/**
 * What a table of costs is asked for: every row is given a column of its own, or left without one where that costs less.
 * Costs are whole or broken numbers of any size; `Infinity` forbids a cell, or in `without` leaving the row out.
 */
export type CostTable = {
  readonly rows: number;
  readonly columns: number;
  /** Row by row; `rows * columns` figures. */
  readonly costs: Float64Array;
  /** What it costs to leave a row without a column. */
  readonly without: Float64Array;
};

/** The column of each row, -1 for a row left without one, and what it all costs. */
export type Assignment = { readonly columnOf: Int32Array; readonly cost: number };

/** What is handed on to learn how far it is; answering false stops it. */
export type Progress = (rowsDone: number, rows: number) => boolean;

/**
 * The cheapest assignment of rows to columns, proven: most rows by bidding for columns, the rest by shortest augmenting
 * paths over reduced costs. Leaving a row out is a column that only this row reaches, so it needs no place in the table.
 * Source: R. Jonker and A. Volgenant, A shortest augmenting path algorithm for dense and sparse linear assignment
 * problems, Computing 38 (1987), for rectangular tables as in D. F. Crouse, On implementing 2D rectangular assignment
 * algorithms, IEEE Transactions on Aerospace and Electronic Systems 52 (2016).
 * @returns null when some row can neither have a column nor be left out, or when progress says to stop.
 */
export function assign({ rows, columns, costs, without }: CostTable, progress?: Progress): Assignment | null {
  const u = new Float64Array(rows);
  const v = new Float64Array(columns);
  const columnOf = new Int32Array(rows).fill(-1);
  const rowOf = new Int32Array(columns).fill(-1);
  const shortest = new Float64Array(columns);
  const cameFrom = new Int32Array(columns);
  const treeRows = new Int32Array(rows);
  /** The columns not yet in the tree stand first, so that each look passes only those. */
  const open = new Int32Array(columns);
  if (progress && !progress(0, rows)) return null;
  const waiting = bid({ rows, columns, costs, without }, u, v, columnOf, rowOf);
  for (let n = 0; n < waiting.length; n++) {
    const row = waiting[n] as number;
    if (progress && !progress(rows - waiting.length + n, rows)) return null;
    for (let j = 0; j < columns; j++) open[j] = j;
    shortest.fill(Infinity);
    let left = columns;
    let inTree = 0;
    let at = row;
    let least = 0;
    /** The cheapest way so far that ends in leaving a row out. */
    let dropCost = Infinity;
    let dropRow = -1;
    let end = -1;
    for (;;) {
      treeRows[inTree++] = at;
      const base = least - (u[at] as number);
      const drop = base + (without[at] as number);
      if (drop < dropCost) {
        dropCost = drop;
        dropRow = at;
      }
      const offset = at * columns;
      let nearest = -1;
      let nearestCost = Infinity;
      for (let k = 0; k < left; k++) {
        const j = open[k] as number;
        const through = base + (costs[offset + j] as number) - (v[j] as number);
        let best = shortest[j] as number;
        if (through < best) {
          best = through;
          shortest[j] = through;
          cameFrom[j] = at;
        }
        // Of columns equally near, one that nobody has ends the search at once.
        if (best < nearestCost || (best === nearestCost && nearest >= 0 && rowOf[j] === -1)) {
          nearestCost = best;
          nearest = k;
        }
      }
      if (dropCost <= nearestCost) {
        if (dropCost === Infinity) return null;
        least = dropCost;
        break;
      }
      least = nearestCost;
      const column = open[nearest] as number;
      open[nearest] = open[--left] as number;
      open[left] = column;
      if (rowOf[column] === -1) {
        end = column;
        break;
      }
      at = rowOf[column] as number;
    }
    // The prices follow, so that no cell is cheaper than row and column together.
    for (let i = 0; i < inTree; i++) {
      const r = treeRows[i] as number;
      u[r] = (u[r] as number) + least - (r === row ? 0 : (shortest[columnOf[r] as number] as number));
    }
    for (let k = left; k < columns; k++) {
      const j = open[k] as number;
      v[j] = (v[j] as number) - (least - (shortest[j] as number));
    }
    augment(row, end, dropRow, cameFrom, columnOf, rowOf);
  }
  return { columnOf, cost: costOf({ rows, columns, costs, without }, columnOf) };
}

/** How often the rows that were outbid may bid again before paths are searched for them. */
const ROUNDS = 2;

/**
 * Each row bids for the column that is cheapest for it, so much that the next cheapest becomes as good, and whoever had the
 * column bids again (the augmenting row reduction of Jonker and Volgenant). Afterwards no cell is cheaper than the prices
 * of its row and column together, and those of cells chosen are as dear.
 * @returns the rows that have neither a column nor been left out.
 */
function bid(
  { rows, columns, costs, without }: CostTable,
  u: Float64Array,
  v: Float64Array,
  columnOf: Int32Array,
  rowOf: Int32Array,
): number[] {
  let waiting = Array.from({ length: rows }, (_, row) => row);
  for (let round = 0; round < ROUNDS && waiting.length > 0; round++) {
    const outbid: number[] = [];
    // A row that was outbid for less bids again at once; each such step makes some column dearer, so the steps end, but
    // not always soon.
    let steps = 8 * rows;
    for (let at = 0; at < waiting.length; at++) {
      let row = waiting[at] as number;
      for (;;) {
        const offset = row * columns;
        const out = without[row] as number;
        let first = Infinity;
        let second = Infinity;
        let column = -1;
        for (let j = 0; j < columns; j++) {
          const cost = (costs[offset + j] as number) - (v[j] as number);
          if (cost >= second) continue;
          if (cost < first || (cost === first && rowOf[j] === -1 && rowOf[column] !== -1)) {
            second = first;
            first = cost;
            column = j;
          } else second = cost;
        }
        if (out <= first) {
          // Left out, unless there is nothing for it at all.
          if (out === Infinity) outbid.push(row);
          else u[row] = out;
          break;
        }
        if (out < second) second = out;
        // With one choice alone there is no price that would make another as good.
        const step = second === Infinity ? 0 : second - first;
        u[row] = first + step;
        v[column] = (v[column] as number) - step;
        const before = rowOf[column] as number;
        rowOf[column] = row;
        columnOf[row] = column;
        if (before === -1) break;
        columnOf[before] = -1;
        if (step > 0 && steps-- > 0) row = before;
        else {
          outbid.push(before);
          break;
        }
      }
    }
    waiting = outbid;
  }
  return waiting;
}

/** Turns the path around: each row on it takes the column it was reached by, up to the row that began. */
function augment(
  row: number,
  end: number,
  dropRow: number,
  cameFrom: Int32Array,
  columnOf: Int32Array,
  rowOf: Int32Array,
): void {
  let column = end;
  if (end === -1) {
    // The last row of the path is left out; the column it had goes to the row before it.
    column = columnOf[dropRow] as number;
    columnOf[dropRow] = -1;
    if (dropRow === row) return;
  }
  for (;;) {
    const from = cameFrom[column] as number;
    const next = columnOf[from] as number;
    rowOf[column] = from;
    columnOf[from] = column;
    if (from === row) return;
    column = next;
  }
}

/** What an assignment costs in a table. */
export function costOf({ columns, costs, without }: CostTable, columnOf: Int32Array): number {
  let sum = 0;
  columnOf.forEach((column, row) => {
    sum += (column < 0 ? without[row] : costs[row * columns + column]) as number;
  });
  return sum;
}
