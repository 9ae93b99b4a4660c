import type { CostTable } from './costTable';

/** With fewer columns for each row than this there is little to leave out. */
const WIDE = 2;

type Narrow = { readonly table: CostTable; readonly rows: Int32Array; readonly columns: Int32Array };

/**
 * The table with the columns alone that a cheapest assignment needs: of n rows, none ever needs more than its n cheapest,
 * since the others can have no more than n - 1 of them. Rows to which the choice matters most come first, as they are then
 * seldom moved again. Null where that would leave out too little.
 */
export function narrowed({ rows, columns, costs, without }: CostTable): Narrow | null {
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
