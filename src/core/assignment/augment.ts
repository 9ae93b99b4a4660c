import type { CostTable } from './costTable';

/** Turns the path around: each row on it takes the column it was reached by, up to the row that began. */
export function augment(
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

/**
 * Gives every row its cheapest column if nobody has it yet, or leaves it out if that is cheaper still; its price is then
 * what that costs, as no other can cost it less.
 * @returns the rows that have to wait, since somebody was there before them.
 */
export function takeCheapest(
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
