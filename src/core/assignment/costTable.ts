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

/** What an assignment costs in a table. */
export function costOf({ columns, costs, without }: CostTable, columnOf: Int32Array): number {
  let sum = 0;
  columnOf.forEach((column, row) => {
    sum += (column < 0 ? without[row] : costs[row * columns + column]) as number;
  });
  return sum;
}
