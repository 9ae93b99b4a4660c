import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { assign } from './assign';
import { assignDense } from './assignDense';
import { assignSorted } from './assignSorted';
import { augment, takeCheapest } from './augment';
import { type CostTable, costOf } from './costTable';
import { narrowed } from './narrowed';

const table = (costs: number[][], without: number[] = costs.map(() => Number.POSITIVE_INFINITY)): CostTable => ({
  rows: costs.length,
  columns: costs[0]?.length ?? 0,
  costs: Float64Array.from(costs.flat()),
  without: Float64Array.from(without),
});
const _ = Number.POSITIVE_INFINITY;
/** Small tables with many equal costs, so that every way to break a tie is met, wide ones and square ones. */
const anyTable = fc
  .tuple(fc.integer({ min: 1, max: 5 }), fc.integer({ min: 1, max: 12 }))
  .chain(([rows, columns]) =>
    fc.tuple(
      fc.array(
        fc.array(fc.oneof(fc.integer({ min: -2, max: 6 }), fc.constant(_)), { minLength: columns, maxLength: columns }),
        { minLength: rows, maxLength: rows },
      ),
      fc.array(fc.oneof(fc.integer({ min: 0, max: 7 }), fc.constant(_)), { minLength: rows, maxLength: rows }),
    ),
  )
  .map(([costs, without]) => table(costs, without));

/** The cheapest of all assignments there are; null where there is none. */
function cheapest({ rows, columns, costs, without }: CostTable): number | null {
  const from = (row: number, taken: number): number => {
    if (row === rows) return 0;
    let best = (without[row] as number) + from(row + 1, taken);
    for (let j = 0; j < columns; j++)
      if ((taken & (1 << j)) === 0 && costs[row * columns + j] !== _)
        best = Math.min(best, (costs[row * columns + j] as number) + from(row + 1, taken | (1 << j)));
    return best;
  };
  const found = from(0, 0);
  return found === _ ? null : found;
}

describe('each way to assign', () => {
  it('finds what trying everything finds, and gives no column twice', () => {
    let none = 0;
    fc.assert(
      fc.property(anyTable, (one) => {
        const wanted = cheapest(one);
        if (wanted === null) none++;
        const sorted = assignSorted(one);
        for (const columnOf of [assign(one)?.columnOf ?? null, assignDense(one)?.columnOf ?? null, sorted]) {
          expect(columnOf && costOf(one, columnOf)).toBe(wanted);
          const given = [...(columnOf ?? [])].filter((column) => column >= 0);
          expect(new Set(given).size).toBe(given.length);
        }
        expect(assignDense(one)?.cost ?? null).toBe(wanted);
      }),
      { numRuns: 400 },
    );
    expect(none).toBeGreaterThan(20);
  });

  it('says how far it is, and stops when told', () => {
    const crowd = table([
      [1, 2, 3],
      [1, 2, 3],
      [1, 2, 3],
    ]);
    const said = (
      work: (progress: (done: number, rows: number) => boolean) => unknown,
      most = 9,
    ): [unknown, string[]] => {
      const told: string[] = [];
      const found = work((done, rows) => told.push(`${done}/${rows}`) < most);
      return [found === null, told];
    };
    // Of three who want one column, one has it before anything is told.
    expect(said((progress) => assignDense(crowd, progress))).toEqual([false, ['1/3', '2/3']]);
    expect(said((progress) => assignDense(crowd, progress), 2)).toEqual([true, ['1/3', '2/3']]);
    expect(said((progress) => assignSorted(crowd, progress))).toEqual([false, ['0/3', '1/3', '2/3']]);
    expect(said((progress) => assignSorted(crowd, progress), 1)).toEqual([true, ['0/3']]);
    const wide = table([
      [1, 2, 3, 4],
      [1, 2, 3, 4],
    ]);
    expect(said((progress) => assign(wide, progress), 2)).toEqual([true, ['0/2', '1/2']]);
  });
});

describe('a table made narrower', () => {
  const plain = (one: CostTable) => {
    const found = narrowed(one);
    return (
      found && {
        rows: [...found.rows],
        columns: [...found.columns],
        costs: [...found.table.costs],
        without: [...found.table.without],
      }
    );
  };
  it('keeps of each row its cheapest columns, as many as there are rows; rows with most at stake first', () => {
    const one = table(
      [
        [9, 5, 5, 7, 8, 9, 9, 9],
        [1, 9, 8, 0, 6, 7, 9, 9],
      ],
      [40, 50],
    );
    // The first row wants columns 1 and 2, the second 3 and 0; it has 1 at stake, the first nothing.
    expect(plain(one)).toEqual({
      rows: [1, 0],
      columns: [0, 1, 2, 3],
      costs: [1, 9, 8, 0, 9, 5, 5, 7],
      without: [50, 40],
    });
  });
  it('is none where there are less than twice as many columns as rows, or most are wanted', () => {
    expect([
      plain(
        table([
          [1, 2, 3],
          [1, 2, 3],
        ]),
      ),
      plain(table([[1]])),
      plain(table([[1, 2]])),
    ]).toEqual([null, null, { rows: [0], columns: [0], costs: [1], without: [_] }]);
    // Each row wants others: after two of three, more than half of the columns are.
    expect(
      plain(
        table([
          [1, 1, 1, 9, 9, 9, 9],
          [9, 9, 9, 1, 1, 1, 9],
          [9, 9, 9, 9, 9, 9, 1],
        ]),
      ),
    ).toBeNull();
    expect(
      plain(
        table([
          [1, 1, 1, 9, 9, 9, 9],
          [1, 1, 1, 9, 9, 9, 9],
          [9, 9, 9, 9, 1, 1, 1],
        ]),
      )?.columns,
    ).toEqual([0, 1, 2, 4, 5, 6]);
  });
  it('takes columns of equal cost with them, forbidden ones where there are not enough, which count for nothing', () => {
    const equal = [3, 3, 3, 9, 9, 9];
    expect(plain(table([equal, equal]))?.columns).toEqual([0, 1, 2]);
    const short = plain(
      table([
        [1, 2, 9, 9],
        [_, 4, _, _],
      ]),
    );
    expect([short?.rows, short?.columns]).toEqual([
      [0, 1],
      [0, 1, 2, 3],
    ]);
  });
  it('by any figures, whatever their order', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 4 }),
        fc.array(fc.integer({ min: 0, max: 9 }), { minLength: 8, maxLength: 24 }),
        (rows, figures) => {
          const same = table(Array.from({ length: rows }, () => figures));
          const limit = [...figures].sort((a, b) => a - b)[rows - 1] as number;
          const wanted = figures.flatMap((cost, j) => (cost <= limit ? [j] : []));
          const found = narrowed(same);
          // The same columns in every row: it is given up where they are more than half of all.
          if (rows > 1 && wanted.length * 2 > figures.length) expect(found).toBeNull();
          else expect([...(found?.columns ?? [])]).toEqual(wanted);
        },
      ),
    );
  });
});

describe('a beginning', () => {
  it('gives each its cheapest if nobody has it, leaves out whom that costs less, and lets the others wait', () => {
    const one = table(
      [
        [3, 2, 9],
        [5, 1, 9],
        [7, 8, 9],
        [_, _, _],
        [4, 4, 6],
        [9, 9, 3],
      ],
      [9, 9, 6, _, 4, 3],
    );
    const [u, columnOf, rowOf] = [new Float64Array(6), new Int32Array(6).fill(-1), new Int32Array(3).fill(-1)];
    expect(takeCheapest(one, u, columnOf, rowOf)).toEqual([1, 3]);
    expect([[...columnOf], [...rowOf], [...u]]).toEqual([
      [1, -1, -1, -1, -1, -1],
      [-1, 0, -1],
      [2, 0, 6, 0, 4, 3],
    ]);
  });
  it('is turned around along a path: each row takes the column it was reached by', () => {
    // Row 2 begins, takes 1 from row 1, which takes 0 from row 0, which takes 2.
    const turned = (end: number, dropRow: number) => {
      const [columnOf, rowOf] = [Int32Array.of(0, 1, -1), Int32Array.of(0, 1, -1)];
      augment(2, end, dropRow, Int32Array.of(1, 2, 0), columnOf, rowOf);
      return [[...columnOf], [...rowOf]];
    };
    expect(turned(2, -1)).toEqual([
      [2, 0, 1],
      [1, 2, 0],
    ]);
    expect(turned(-1, 0)).toEqual([
      [-1, 0, 1],
      [1, 2, -1],
    ]);
    expect(turned(-1, 2)).toEqual([
      [0, 1, -1],
      [0, 1, -1],
    ]);
  });
});
