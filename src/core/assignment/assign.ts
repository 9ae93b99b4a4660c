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
 * The cheapest assignment of rows to columns, proven: shortest augmenting paths over reduced costs. Leaving a row out is a column that only this row reaches, so it needs no place in the table.
 * Source: R. Jonker and A. Volgenant, A shortest augmenting path algorithm for dense and sparse linear assignment
 * problems, Computing 38 (1987), for rectangular tables as in D. F. Crouse, On implementing 2D rectangular assignment
 * algorithms, IEEE Transactions on Aerospace and Electronic Systems 52 (2016).
 * @returns null when some row can neither have a column nor be left out, or when progress says to stop.
 */
export function assign(table: CostTable, progress?: Progress): Assignment | null {
  const narrow = narrowed(table);
  if (!narrow) return assignDense(table, progress);
  const found = assignSorted(narrow.table, progress);
  if (!found) return null;
  const columnOf = new Int32Array(table.rows);
  found.forEach((column, i) => {
    columnOf[narrow.rows[i] as number] = column < 0 ? -1 : (narrow.columns[column] as number);
  });
  return { columnOf, cost: costOf(table, columnOf) };
}

/** By paths over every column that is left. */
function assignDense({ rows, columns, costs, without }: CostTable, progress?: Progress): Assignment | null {
  const u = new Float64Array(rows);
  const v = new Float64Array(columns);
  const columnOf = new Int32Array(rows).fill(-1);
  const rowOf = new Int32Array(columns).fill(-1);
  const shortest = new Float64Array(columns);
  const cameFrom = new Int32Array(columns);
  const treeRows = new Int32Array(rows);
  /** The columns not yet in the tree stand first, so that each look passes only those. */
  const open = new Int32Array(columns);
  const waiting = takeCheapest({ rows, columns, costs, without }, u, columnOf, rowOf);
  for (const [done, row] of waiting.entries()) {
    if (progress && !progress(rows - waiting.length + done, rows)) return null;
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
        if (best > nearestCost || (best === nearestCost && (rowOf[j] as number) >= 0)) continue;
        nearestCost = best;
        nearest = k;
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

/**
 * Gives every row its cheapest column if nobody has it yet, or leaves it out if that is cheaper still; its price is then
 * what that costs, as no other can cost it less.
 * @returns the rows that have to wait, since somebody was there before them.
 */
function takeCheapest(
  { rows, columns, costs, without }: CostTable,
  u: Float64Array,
  columnOf: Int32Array,
  rowOf: Int32Array,
): number[] {
  const waiting: number[] = [];
  for (let row = 0; row < rows; row++) {
    const offset = row * columns;
    let least = without[row] as number;
    let column = -1;
    for (let j = 0; j < columns; j++) {
      if ((costs[offset + j] as number) >= least) continue;
      least = costs[offset + j] as number;
      column = j;
    }
    const taken = column >= 0 && rowOf[column] !== -1;
    if (taken || least === Infinity) waiting.push(row);
    else {
      u[row] = least;
      columnOf[row] = column;
      if (column >= 0) rowOf[column] = row;
    }
  }
  return waiting;
}

/**
 * The same where rows want much the same columns, so that paths pass many rows. Every row has its columns in the order of
 * their costs; since no price is above zero, a row need not be looked at beyond the cost at which the path would be longer
 * than one that is known to end.
 * @returns the column of each row, -1 for those left out.
 */
function assignSorted({ rows, columns, costs, without }: CostTable, progress?: Progress): Int32Array | null {
  const sorted = sortedColumns(rows, columns, costs);
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
      const offset = at * columns;
      for (let k = 0; k < columns; k++) {
        const j = sorted[offset + k] as number;
        const way = base + (costs[offset + j] as number);
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

/** With fewer columns for each row than this there is little to leave out. */
const WIDE = 2;

type Narrow = { readonly table: CostTable; readonly rows: Int32Array; readonly columns: Int32Array };

/**
 * The table with the columns alone that a cheapest assignment needs: of n rows, none ever needs more than its n cheapest,
 * since the others can have no more than n - 1 of them. Rows to which the choice matters most come first, as they are then
 * seldom moved again. Null where that would leave out too little.
 */
function narrowed({ rows, columns, costs, without }: CostTable): Narrow | null {
  if (columns < WIDE * rows) return null;
  const wanted = new Uint8Array(columns);
  const stake = new Float64Array(rows);
  const row = new Float64Array(columns);
  let count = 0;
  for (let i = 0; i < rows; i++) {
    // Where rows want different columns this soon has most of them.
    if (count * WIDE > columns) return null;
    const offset = i * columns;
    row.set(costs.subarray(offset, offset + columns));
    const limit = smallest(row, rows);
    let least = limit;
    for (let j = 0; j < columns; j++) {
      const cost = costs[offset + j] as number;
      if (cost > limit) continue;
      if (cost < least) least = cost;
      if (wanted[j] === 1) continue;
      wanted[j] = 1;
      count++;
    }
    stake[i] = limit === Infinity ? 0 : limit - least;
  }
  const kept = Int32Array.from({ length: columns }, (_, j) => j).filter((j) => wanted[j] === 1);
  const order = Int32Array.from({ length: rows }, (_, i) => i).sort(
    (a, b) => (stake[b] as number) - (stake[a] as number),
  );
  const width = kept.length;
  const narrow = new Float64Array(rows * width);
  order.forEach((from, i) => {
    for (let j = 0; j < width; j++) narrow[i * width + j] = costs[from * columns + (kept[j] as number)] as number;
  });
  const table = { rows, columns: width, costs: narrow, without: Float64Array.from(order, (i) => without[i] as number) };
  return { table, rows: order, columns: kept };
}

/** The n-th smallest of some figures, which are put in another order (C. A. R. Hoare, Algorithm 65: Find, 1961). */
function smallest(figures: Float64Array, n: number): number {
  let low = 0;
  let high = figures.length - 1;
  const at = n - 1;
  while (low < high) {
    const pivot = figures[at] as number;
    let i = low;
    let j = high;
    while (i <= j) {
      while ((figures[i] as number) < pivot) i++;
      while ((figures[j] as number) > pivot) j--;
      if (i > j) break;
      const other = figures[i] as number;
      figures[i++] = figures[j] as number;
      figures[j--] = other;
    }
    if (j < at) low = i;
    if (i > at) high = j;
  }
  return figures[at] as number;
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
