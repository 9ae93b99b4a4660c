import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { costOf } from '../assignment/costTable';
import { chainsOf } from './chainsOf';
import type { PlanTable } from './planTable';
import { undoWhatDoesNotPay } from './undoWhatDoesNotPay';

/** A table of rows that stand for commands, of which only the costs are asked. */
function tableOf(costs: readonly (readonly number[])[], without = 100): PlanTable {
  const rows = costs.length;
  return {
    rows,
    columns: costs[0]?.length ?? 0,
    costs: Float64Array.from(costs.flat()),
    without: new Float64Array(rows).fill(without),
    list: Array.from({ length: rows }, () => ({})),
  } as unknown as PlanTable;
}
/** What is left of a plan, and what it costs. */
function polished(costs: readonly (readonly number[])[], planned: readonly number[], before: readonly number[]) {
  const table = tableOf(costs);
  const columnOf = Int32Array.from(planned);
  const now = undoWhatDoesNotPay(table, { columnOf }, Int32Array.from(before), (of) => costOf(table, of));
  return [[...now], costOf(table, now)];
}

describe('a plan that was not searched to its end', () => {
  it('has no row moved for nothing: alone, behind another, or in a ring', () => {
    const equal = [
      [3, 3, 3],
      [3, 3, 3],
      [3, 3, 3],
    ];
    expect(polished(equal, [2, 1, 0], [0, 1, 2])).toEqual([[0, 1, 2], 9]);
    expect(polished(equal, [1, 2, 0], [0, 1, 2])).toEqual([[0, 1, 2], 9]);
    // The first gains by moving, the one whose keys it took has to; what it did not take is given back.
    const gains = [
      [9, 1, 5],
      [5, 2, 2],
      [5, 5, 4],
    ];
    expect(polished(gains, [1, 2, 0], [0, 1, -1])).toEqual([[1, 2, 0], 8]);
    expect(polished(gains, [1, 0, 2], [0, 1, 2])).toEqual([[1, 0, 2], 10]);
  });

  it('costs no more than before, keeps each column to one row, and leaves no chain that could be taken back', () => {
    const size = 5;
    const figures = fc.array(fc.array(fc.integer({ min: 0, max: 6 }), { minLength: size, maxLength: size }), {
      minLength: size,
      maxLength: size,
    });
    const places = fc.shuffledSubarray([0, 1, 2, 3, 4], { minLength: size, maxLength: size });
    let undone = 0;
    fc.assert(
      fc.property(figures, places, places, (costs, planned, before) => {
        const table = tableOf(costs);
        const cost = (of: Int32Array): number =>
          new Set(of).size < size ? Number.POSITIVE_INFINITY : costOf(table, of);
        const [from, back] = [Int32Array.from(planned), Int32Array.from(before)];
        const now = undoWhatDoesNotPay(table, { columnOf: from }, back, cost);
        expect(cost(now)).toBeLessThanOrEqual(cost(from));
        expect(new Set(now).size).toBe(size);
        for (const { rows } of chainsOf(table, now, back)) {
          const without = now.slice();
          for (const r of rows) without[r] = back[r] as number;
          expect(cost(without)).toBeGreaterThan(cost(now));
        }
        if (now.join() !== from.join()) undone++;
      }),
      { numRuns: 200 },
    );
    expect(undone).toBeGreaterThan(20);
  });
});
