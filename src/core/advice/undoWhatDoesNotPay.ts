import { chainsOf } from './chainsOf';
import type { PlanTable } from './planTable';

/**
 * Where the search ended before a proof, a row may have been moved for nothing: each chain of rows that took the keys of
 * one another is taken back from some row on if that costs no more. In a proven plan there is no such chain.
 */
export function undoWhatDoesNotPay(
  table: PlanTable,
  found: { readonly columnOf: Int32Array },
  before: Int32Array,
  cost: (columnOf: Int32Array) => number,
): Int32Array {
  let now = found.columnOf;
  for (let again = true; again; ) {
    again = false;
    for (const chain of chainsOf(table, now, before).flatMap(({ rows, ring }) =>
      ring ? [rows] : rows.map((_, i) => rows.slice(i)),
    )) {
      const back = now.slice();
      for (const r of chain) back[r] = before[r] as number;
      const [was, would] = [cost(now), cost(back)];
      if (Number.isFinite(would) && would <= was) {
        now = back;
        again = true;
        break;
      }
    }
  }
  return now;
}
