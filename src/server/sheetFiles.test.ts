import { describe, expect, it } from 'vitest';
import { FORMS, SHEET_NOTATIONS, WAYS } from '../core/sheet/sheetSpec';
import { onDemoDatabase } from './testing/onDemoDatabase';
import { misplaced, pdfPages } from './testing/pdfPages';
import { sheetFile } from './useCases/sheets';

onDemoDatabase();

/** ISO 216 and the North American sizes, in points, upright. */
const POINTS = { A4: [595.28, 841.89], Letter: [612, 792], A3: [841.89, 1190.55] } as const;
/** Commands of the keymap with keys of its own. */
const NAMES = ['Dust sweep', 'Stain mask', 'Merge down', 'Next jar', 'Levels'];
const write = async (query: object): Promise<Buffer> =>
  (await sheetFile({ program: 'tarnlight', keymap: 'sheet-retouching', date: 'May', contents: 'yours', ...query }))
    .bytes;
const forms = FORMS.filter((one) => one !== 'programs').flatMap((form) =>
  Object.keys(POINTS).map((paper) => ({ form, paper: paper as keyof typeof POINTS })),
);

describe('a sheet as a file', () => {
  it.each(forms)('$form on $paper has every word on its page and none over another', async ({ form, paper }) => {
    for (const way of WAYS)
      for (const notation of form === 'reference' ? (['windows'] as const) : SHEET_NOTATIONS) {
        const at = `${form} ${paper} ${way} ${notation}`;
        const pages = pdfPages(await write({ form, paper, way, notation }));
        const size = way === 'across' ? [...POINTS[paper]].reverse() : POINTS[paper];
        expect(pages.length, at).toBeGreaterThan(0);
        for (const page of pages) {
          expect([at, Math.round(page.wide), Math.round(page.high)]).toEqual([at, ...size.map(Math.round)]);
          expect([at, misplaced(page)]).toEqual([at, []]);
        }
        const words = new Set(pages.flatMap((page) => page.words.map((word) => word.text)));
        for (const name of NAMES)
          expect([at, name, name.split(' ').filter((word) => !words.has(word))]).toEqual([at, name, []]);
      }
  });

  it('has the same lines as text: web page, fragment, Markdown, CSV, and a workbook is one', async () => {
    const text = async (as: string): Promise<string> => (await write({ as })).toString('utf8');
    expect(await text('csv')).toContain('Lift,Dust sweep,Alt+Q,');
    expect(await text('markdown')).toMatch(/^# Tarnlight — Sheet retouching$[\s\S]*^\| Dust sweep \| `Alt\+Q` \|/m);
    for (const as of ['html', 'fragment'])
      expect(await text(as)).toMatch(/Dust sweep<\/td><td><kbd>Alt<\/kbd><kbd>Q<\/kbd>/);
    expect(await text('fragment')).not.toMatch(/<(?:style|script|html)/);
    expect(await text('svg')).toContain('>Dust sweep<');
    expect((await write({ as: 'xlsx' })).subarray(0, 2).toString()).toBe('PK');
  });
});
