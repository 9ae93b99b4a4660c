import fc from 'fast-check';
import { linearSumAssignment } from 'linear-sum-assignment';
import { describe, expect, it } from 'vitest';
import { assign } from './assign';
import { type CostTable, costOf } from './costTable';

/** A table of whole costs, rectangular either way, a part of its cells forbidden. */
const anyTable: fc.Arbitrary<CostTable> = fc
  .record({
    rows: fc.integer({ min: 1, max: 14 }),
    columns: fc.integer({ min: 1, max: 60 }),
    forbidden: fc.constantFrom(0, 0.2, 0.7),
    least: fc.constantFrom(0, -300),
    // Rows that want much the same columns, as wishes do, or each its own.
    alike: fc.boolean(),
  })
  .chain(({ rows, columns, forbidden, least, alike }) => {
    const cell = fc
      .tuple(fc.double({ min: 0, max: 1, noNaN: true }), fc.integer({ min: least, max: 400 }))
      .map(([chance, cost]) => (chance < forbidden ? Infinity : cost));
    return fc
      .tuple(
        fc.array(cell, { minLength: rows * columns, maxLength: rows * columns }),
        fc.array(fc.integer({ min: 100, max: 900 }), { minLength: rows, maxLength: rows }),
      )
      .map(([costs, without]) => ({
        rows,
        columns,
        costs: Float64Array.from(costs, (cost, i) =>
          alike ? Math.floor(cost / 60) + (1 + (Math.floor(i / columns) % 5)) * 4 * (i % columns) : cost,
        ),
        without: Float64Array.from(without),
      }));
  });

/** The same table for the package: leaving a row out is a column of its own, what is forbidden is dear. */
function padded({ rows, columns, costs, without }: CostTable): number[][] {
  return Array.from({ length: rows }, (_, i) =>
    Array.from({ length: columns + rows }, (_cell, j) => {
      const cost = j < columns ? costs[i * columns + j] : j - columns === i ? without[i] : Infinity;
      return Math.min(cost as number, 1e6);
    }),
  );
}

describe('assignment', () => {
  it('costs what a published package finds, on 1,000 tables, rectangular and with forbidden cells', () => {
    fc.assert(
      fc.property(anyTable, (table) => {
        const ours = assign(table);
        expect(ours?.cost).toBe(linearSumAssignment(padded(table), { maximaze: false }).gain);
        const columns = [...(ours?.columnOf ?? [])].filter((column) => column >= 0);
        expect(new Set(columns).size).toBe(columns.length);
        expect(costOf(table, ours?.columnOf ?? new Int32Array())).toBe(ours?.cost);
      }),
      { numRuns: 1000 },
    );
  });

  it('says so when a row can have nothing, and stops when told', () => {
    const table = { rows: 2, columns: 1, costs: Float64Array.of(1, 2), without: Float64Array.of(Infinity, Infinity) };
    expect(assign(table)).toBeNull();
    const loose = { ...table, without: Float64Array.of(9, 5) };
    expect(assign(loose)).toMatchObject({ cost: 6 });
    expect(costOf(loose, Int32Array.of(-1, 0))).toBe(11);
    expect(assign(loose, () => false)).toBeNull();
  });
});
