import { assign } from '../assignment/assign';
import type { Assignment, CostTable } from '../assignment/costTable';

/** Two rows that gain if they come to lie beside each other. */
export type Pair = { readonly a: number; readonly b: number };
/**
 * The columns in which its partner has to be for a row to gain by lying in a column, and by how much. A column of -1 is
 * the row's own keys, outside the table.
 */
export type Near = (row: number, column: number) => readonly (readonly [partnerColumn: number, gain: number])[];

export type PairSearch = {
  readonly columnOf: Int32Array;
  /** What it costs, the gains of pairs taken off. */
  readonly cost: number;
  /** No answer costs less than this. */
  readonly bound: number;
};

/** A cell settled on the way down the tree: the row there and its partner beside it, there and its partner not, or not there. */
type Rule = {
  readonly row: number;
  readonly column: number;
  readonly kind: 'together' | 'apart' | 'not here';
};
type Node = { readonly rules: readonly Rule[]; readonly found: Assignment };

/**
 * The cheapest assignment where pairs of rows gain by lying beside each other: branch and bound. Each row of a pair first
 * has its own gain taken off wherever its partner could lie beside it, which makes a plain assignment that no real answer
 * can cost less than; where the two then lie apart, the cell in question is settled in each of the three ways.
 * Source of the method: A. H. Land and A. G. Doig, An automatic method of solving discrete programming problems,
 * Econometrica 28 (1960).
 * @param mostNodes how many plain assignments may be solved; where that ends the search, bound and cost stay apart.
 * @returns null when the table has no answer or progress says to stop.
 */
export function searchPairs(
  table: CostTable,
  pairs: readonly Pair[],
  near: Near,
  mostNodes: number,
  progress?: (nodes: number, mostNodes: number) => boolean,
): PairSearch | null {
  if (pairs.length === 0) {
    const found = assign(table, progress);
    return found && { ...found, bound: found.cost };
  }
  const partners = new Map(pairs.flatMap(({ a, b }) => [[a, b] as const, [b, a] as const]));
  const gain = (row: number, column: number, partnerColumn: number): number =>
    near(row, column).find(([one]) => one === partnerColumn)?.[1] ?? 0;
  const trueCost = (columnOf: Int32Array): number => {
    let cost = 0;
    columnOf.forEach((column, row) => {
      cost += (column < 0 ? table.without[row] : table.costs[row * table.columns + column]) as number;
      const partner = partners.get(row);
      if (partner !== undefined) cost -= gain(row, column, columnOf[partner] as number);
    });
    return cost;
  };
  const all = new Map([...partners.keys()].map((row) => [row, allowedIn(table, row)]));
  let best: Omit<PairSearch, 'bound'> | null = null;
  let nodes = 0;
  const solve = (rules: readonly Rule[]): Node | null => {
    nodes++;
    const found = assign(relaxed(table, all, partners, near, rules));
    if (!found) return null;
    const cost = trueCost(found.columnOf);
    if (!best || cost < best.cost) best = { columnOf: found.columnOf, cost };
    return { rules, found };
  };
  const first = solve([]);
  if (!first) return null;
  const open: Node[] = [first];
  for (;;) {
    const found = best as unknown as Omit<PairSearch, 'bound'>;
    open.sort((p, q) => q.found.cost - p.found.cost);
    const node = open.pop();
    // Costs are whole numbers, so less than one apart is the same.
    if (!node || node.found.cost > found.cost - 1) return { ...found, bound: found.cost };
    const row = widest(node, all, partners, near, gain);
    if (nodes >= mostNodes || row === null) return { ...found, bound: node.found.cost };
    if (progress && !progress(nodes, mostNodes)) return null;
    const column = node.found.columnOf[row] as number;
    for (const kind of ['together', 'apart', 'not here'] as const) {
      const child = solve([...node.rules, { row, column, kind }]);
      if (child) open.push(child);
    }
  }
}

/** For every column whether a row may have it, the row's own keys first. */
function allowedIn({ columns, costs, without }: CostTable, row: number): Uint8Array {
  const allowed = new Uint8Array(columns + 1);
  allowed[0] = Number.isFinite(without[row]) ? 1 : 0;
  for (let j = 0; j < columns; j++) allowed[j + 1] = Number.isFinite(costs[row * columns + j]) ? 1 : 0;
  return allowed;
}

type Restricted = { readonly allowed: ReadonlyMap<number, Uint8Array>; readonly apart: ReadonlySet<number> };

/** What the rules leave each row of a pair, and which rows can no longer gain. */
function restrict(
  all: ReadonlyMap<number, Uint8Array>,
  partners: ReadonlyMap<number, number>,
  near: Near,
  rules: readonly Rule[],
): Restricted {
  const allowed = new Map(all);
  const apart = new Set<number>();
  const keep = (row: number, fits: (column: number) => boolean): void => {
    allowed.set(
      row,
      (allowed.get(row) as Uint8Array).map((one, i) => (one && fits(i - 1) ? 1 : 0)),
    );
  };
  for (const { row, column, kind } of rules) {
    if (kind === 'not here') {
      keep(row, (one) => one !== column);
      continue;
    }
    const partner = partners.get(row) as number;
    const beside = new Set(near(row, column).map(([one]) => one));
    keep(row, (one) => one === column);
    keep(partner, (one) => beside.has(one) === (kind === 'together'));
    if (kind === 'apart') apart.add(row).add(partner);
  }
  return { allowed, apart };
}

/** The most a row can gain in a column, whatever becomes of its partner. */
function claim({ allowed, apart }: Restricted, near: Near, row: number, column: number, partner: number): number {
  if (apart.has(row)) return 0;
  const there = allowed.get(partner) as Uint8Array;
  let most = 0;
  for (const [one, gain] of near(row, column)) if (there[one + 1] && gain > most) most = gain;
  return most;
}

/** The table in which every row of a pair has the most it can gain taken off, and the rules hold. */
function relaxed(
  table: CostTable,
  all: ReadonlyMap<number, Uint8Array>,
  partners: ReadonlyMap<number, number>,
  near: Near,
  rules: readonly Rule[],
): CostTable {
  const { columns } = table;
  const costs = table.costs.slice();
  const without = table.without.slice();
  const left = restrict(all, partners, near, rules);
  for (const [row, partner] of partners) {
    const own = left.allowed.get(row) as Uint8Array;
    without[row] = own[0] ? (without[row] as number) - claim(left, near, row, -1, partner) : Infinity;
    const offset = row * columns;
    for (let j = 0; j < columns; j++) {
      if (!own[j + 1]) costs[offset + j] = Infinity;
      else costs[offset + j] = (costs[offset + j] as number) - claim(left, near, row, j, partner);
    }
  }
  return { ...table, costs, without };
}

/** The row that claims most without its partner lying so; null where every claim is true. */
function widest(
  { rules, found }: Node,
  all: ReadonlyMap<number, Uint8Array>,
  partners: ReadonlyMap<number, number>,
  near: Near,
  gain: (row: number, column: number, partnerColumn: number) => number,
): number | null {
  const left = restrict(all, partners, near, rules);
  let widest: number | null = null;
  let most = 0;
  for (const [row, partner] of partners) {
    const column = found.columnOf[row] as number;
    const short = claim(left, near, row, column, partner) - gain(row, column, found.columnOf[partner] as number);
    if (short > most) {
      most = short;
      widest = row;
    }
  }
  return widest;
}
