import fc from 'fast-check';
import { expect, it } from 'vitest';
import { fitSheet } from './fitSheet';
import { pagesOf } from './flowColumns';
import type { SheetContents } from './sheet';
import { DEFAULT_SHEET } from './sheetSpec';

const anyContents: fc.Arbitrary<SheetContents> = fc
  .array(fc.integer({ min: 1, max: 12 }), { minLength: 3, maxLength: 14 })
  .map((groups) => ({
    title: 'Any lamp',
    notes: [],
    footer: '',
    groups: groups.map((lines, g) => ({
      title: `Menu ${g}`,
      lines: Array.from({ length: lines }, (_, i) => ({ name: `Do ${g} ${i}`, keys: [['Alt', 'W']], changed: false })),
    })),
  }));

it('fills notes evenly: none of the last holds a line or two while others are full', () => {
  let several = 0;
  fc.assert(
    fc.property(anyContents, (contents) => {
      const { placed, pieces } = fitSheet(contents, { ...DEFAULT_SHEET, form: 'note' });
      const heights = Array.from({ length: pagesOf(placed) }, (_, page) =>
        Math.max(...placed.filter((one) => one.page === page).map((one) => one.y + (pieces[one.piece]?.height ?? 0))),
      );
      // Every line once, in order.
      const lines = placed.filter((one) => !one.again).map((one) => one.piece);
      expect(lines).toEqual(pieces.map((_, i) => i));
      if (heights.length < 2) return;
      several++;
      // A heading goes on only with two of its lines, so much is left at most.
      expect(heights.at(-1)).toBeGreaterThan(0.4 * Math.max(...heights.slice(-3)));
    }),
    { numRuns: 300 },
  );
  expect(several).toBeGreaterThan(150);
});
