import { assignDense } from './assignDense';
import { assignSorted } from './assignSorted';
import { type Assignment, type CostTable, costOf, type Progress } from './costTable';
import { narrowed } from './narrowed';

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
