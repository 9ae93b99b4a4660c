import { augment, takeCheapest } from './augment';
import { type Assignment, type CostTable, costOf, type Progress } from './costTable';

/** By paths over every column that is left. */
export function assignDense({ rows, columns, costs, without }: CostTable, progress?: Progress): Assignment | null {
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
