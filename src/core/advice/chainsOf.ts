import type { PlanTable } from './planTable';

type Chain = { readonly rows: readonly number[]; readonly ring: boolean };

/** Rows that changed, in chains: each has given its column to the next, in a ring the last to the first. */
export function chainsOf({ list }: PlanTable, now: Int32Array, before: Int32Array): Chain[] {
  const takerOf = new Map<number, number>();
  now.forEach((column, r) => {
    if (column >= 0) takerOf.set(column, r);
  });
  const changed = list.map((_, r) => r).filter((r) => now[r] !== before[r]);
  const takes = new Set(changed.map((r) => next(r)).filter((r) => r >= 0));
  function next(r: number): number {
    const own = before[r] as number;
    const taker = own >= 0 ? (takerOf.get(own) ?? -1) : -1;
    return taker === r ? -1 : taker;
  }
  const seen = new Set<number>();
  // Those whose own keys nobody else waits for begin a chain; what is left goes around in a ring.
  return [...changed.filter((r) => !takes.has(r)), ...changed].flatMap((start) => {
    const chain: number[] = [];
    for (let r = start; r >= 0 && !seen.has(r); r = next(r)) {
      seen.add(r);
      chain.push(r);
    }
    return chain.length > 0 ? [{ rows: chain, ring: takes.has(start) }] : [];
  });
}
