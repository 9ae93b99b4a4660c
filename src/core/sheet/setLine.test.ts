import { describe, expect, it } from 'vitest';
import { keymapOf } from '../keymap/keymap';
import { sampleDraft } from '../testing/sampleDraft';
import { sampleProgram } from '../testing/sampleProgram';
import { capsOf } from './capsOf';
import { widthOf } from './measure';
import { pageBox, pageNumber, paperSize } from './pageBox';
import { sheetDataOf } from './requestOf';
import { breakLine, columnsAt, lineBlock, rowsHeight, shorten, text } from './setLine';
import type { SheetLine } from './sheet';
import { sheetEdits } from './sheetEdits';
import { DEFAULT_SHEET } from './sheetSpec';
import type { KeptSheet } from './sheetsView';

const line = (values: Partial<SheetLine> = {}): SheetLine => ({
  name: 'Lift stain',
  keys: [['Ctrl', 'L']],
  changed: false,
  ...values,
});
const LONG = 'Crop to the edge of the sheet and leave a margin of the width of a thumb';

describe('a line of a sheet', () => {
  it('has its keys beside the name where there is room, else below it, else smaller', () => {
    expect(breakLine(line(), 30)).toMatchObject({
      name: ['Lift stain'],
      below: false,
      shrink: 1,
      keyRows: [[['Ctrl', 'L']]],
    });
    const narrow = breakLine(line(), 7);
    expect([narrow.below, narrow.shrink]).toEqual([true, 1]);
    const keys = [['Command', 'Option', 'Shift', 'Page Down']];
    expect(breakLine(line({ keys }), 9).shrink).toBeLessThan(1);
    expect(breakLine(line({ keys: [] }), 9)).toMatchObject({ below: false, shrink: 1, keyRows: [] });
  });
  it('breaks a long name, keys that don’t go beside each other, and notes; each row counts', () => {
    const one = rowsHeight(breakLine(line(), 30));
    const long = breakLine(line({ name: LONG }), 20);
    expect(long.name.length).toBe(3);
    expect(long.name.join(' ')).toBe(LONG);
    expect(rowsHeight(long)).toBeCloseTo(one + (long.name.length - 1) * 1.2, 6);
    const many = breakLine(
      line({
        keys: [
          ['Ctrl', 'Alt', 'Shift', 'L'],
          ['Ctrl', 'Alt', 'Shift', 'M'],
        ],
        again: [['⌘', 'L']],
      }),
      30,
    );
    expect(many.keyRows).toHaveLength(3);
    expect(rowsHeight(many)).toBeCloseTo(3 * one, 6);
    expect(breakLine(line({ keys: [['F2'], ['F3']] }), 40).keyRows).toEqual([[['F2'], ['F3']]]);
    expect(rowsHeight(breakLine(line({ notes: ['was F9', 'Repair'] }), 30))).toBeCloseTo(one + 2 * 1.15 + 0.3, 6);
  });
  it('leaves room before the name for a dot and a mark', () => {
    const x = (values: Partial<SheetLine>) =>
      lineBlock(breakLine(line(values), 30), 10, 0, 300, 10, 20).items.find(
        (one) => one.kind === 'text' && one.text.startsWith('Lift'),
      )?.x;
    expect([x({}), x({ changed: true }), x({ mark: 'madder' }), x({ changed: true, mark: 'madder' })]).toEqual([
      10, 21.5, 22, 33.5,
    ]);
    const kinds = lineBlock(breakLine(line({ changed: true, mark: 'woad' }), 30), 10, 0, 300, 10, 20).items.map(
      (one) => one.kind,
    );
    expect(kinds.filter((one) => one !== 'text')).toEqual(['dot', 'mark', 'cap', 'cap', 'rule']);
  });
  it('ends at the right edge, with a rule below that is as wide as the column', () => {
    const { items } = lineBlock(breakLine(line(), 30), 10, 50, 300, 10, 20);
    const caps = items.flatMap((one) => (one.kind === 'cap' ? [one] : []));
    expect((caps.at(-1)?.x ?? 0) + (caps.at(-1)?.width ?? 0)).toBeCloseTo(310, 6);
    expect(items.at(-1)).toEqual({ kind: 'rule', x: 10, y: 70, width: 300, weight: 0.5, soft: true });
  });
  it('has keys in several programs, each in its own column from where it begins', () => {
    expect([...columnsAt(1), ...columnsAt(2)].map((one) => Math.round(one * 100))).toEqual([30, 30, 65]);
    const set = breakLine(
      line({ columns: [[['Ctrl', 'L']], [], [['F2'], ['Ctrl', 'Alt', 'Shift', 'Page Down']]] }),
      60,
    );
    expect([set.keyRows, set.columns.map((one) => one.rows.length)]).toEqual([[], [1, 0, 2]]);
    expect(rowsHeight(set)).toBeCloseTo(2 * 1.95, 6);
    const xs = lineBlock(set, 0, 0, 600, 10, 20).items.flatMap((one) =>
      one.kind === 'cap' ? [Math.round(one.x)] : [],
    );
    expect([xs[0], xs[2]]).toEqual([180, 460]);
  });
});

describe('words on paper', () => {
  it('are set run by run, each as wide as its letters', () => {
    const [first, second] = text('Ctrl ⌘', 'words', 10, 5, 20, true);
    expect([first, second]).toMatchObject([
      { kind: 'text', x: 5, y: 20, size: 10, text: 'Ctrl ', face: 'words', soft: true },
      { text: '⌘', face: 'symbols' },
    ]);
    expect(second?.kind === 'text' && second.x).toBeCloseTo(5 + widthOf('Ctrl ', 'words') * 10, 6);
    expect(text('a', 'words', 10, 0, 0)[0]).not.toHaveProperty('soft');
  });
  it('are cut where they are too wide, at a letter, and not where they just fit', () => {
    const wide = widthOf('Lift stain', 'words') * 10;
    expect(shorten('Lift stain', 'words', 10, wide)).toBe('Lift stain');
    const cut = shorten('Lift stain', 'words', 10, wide - 1);
    expect(cut).toMatch(/^Lift s?t?a?i?…$/);
    expect(widthOf(cut, 'words') * 10).toBeLessThanOrEqual(wide - 1);
    expect(shorten('Lift stain', 'words', 10, 0)).toBe('L…');
    expect(shorten('i wide', 'words', 10, widthOf('i w…', 'words') * 10 - 0.01)).toBe('i…');
  });
  it('say keys in every notation', () => {
    const caps = (chord: string) => (['windows', 'mac', 'symbols'] as const).map((one) => capsOf(chord, one).join(' '));
    expect(caps('Mod+Shift+A')).toEqual(['Ctrl Shift A', 'Command Shift A', '⇧ ⌘ A']);
    expect(caps('hold:Space')).toEqual(['Space hold', 'Space hold', 'Space hold']);
    expect(caps('Mod+K Mod+S')[0]).toBe('Ctrl K then Ctrl S');
  });
});

describe('the page', () => {
  it('is the paper as it is laid, or a card or note', () => {
    expect(paperSize({ paper: 'Letter', way: 'upright' })).toEqual({ width: 612, height: 792 });
    expect(paperSize({ paper: 'Letter', way: 'across' })).toEqual({ width: 792, height: 612 });
    const box = (values: Partial<typeof DEFAULT_SHEET>) => pageBox({ ...DEFAULT_SHEET, ...values });
    expect(box({})).toMatchObject({
      margin: 34,
      title: 18,
      columns: { least: 1, most: 4 },
      footer: true,
      largest: 11,
      smallest: 7.5,
    });
    expect(box({ way: 'upright' }).columns.most).toBe(3);
    expect([
      box({ paper: 'A3' }).largest,
      box({ form: 'reference' }).smallest,
      box({ form: 'programs' }).columns.most,
    ]).toEqual([13, 9, 1]);
    expect(box({ form: 'card' })).toMatchObject({
      title: 11,
      notes: 0,
      footer: false,
      columns: { least: 1, most: 3 },
      fold: false,
    });
    expect(box({ form: 'card', fold: true })).toMatchObject({ columns: { least: 2, most: 2 }, fold: true });
    expect(box({ form: 'card', card: 'business card' })).toMatchObject({ title: 9, columns: { most: 2 } });
    expect(box({ form: 'note', fold: true })).toMatchObject({ fold: false, title: 9, columns: { most: 1 } });
    expect(box({ form: 'note', note: '127 x 76 mm' }).columns.most).toBe(3);
    expect([pageNumber('1 May', 0, 4), pageNumber('', 3, 4)]).toEqual(['1 May · 1 of 4', '4 of 4']);
  });
});

describe('kept sheets', () => {
  const kept = (id: number, values: Partial<KeptSheet> = {}): KeptSheet => ({
    id,
    slug: `s${id}`,
    name: `Sheet ${id}`,
    putAway: false,
    spec: DEFAULT_SHEET,
    ...values,
  });
  it('are changed one by one; a new one waits for the server', () => {
    const sheets = [kept(1), kept(2)];
    expect(sheetEdits.apply(sheets, { kind: 'keep', name: 'New', spec: DEFAULT_SHEET })).toBe(sheets);
    expect(
      sheetEdits.apply(sheets, { kind: 'change', id: 2, change: { name: 'Other' } }).map((one) => one.name),
    ).toEqual(['Sheet 1', 'Other']);
  });
  it('meet what was made of the same of them elsewhere', () => {
    const meets = (change: object, now: readonly KeptSheet[]) =>
      sheetEdits.meets({ kind: 'change', id: 1, change }, [kept(1), kept(2)], now);
    expect(meets({ name: 'Mine' }, [kept(1, { name: 'Theirs' }), kept(2)])).toBe(true);
    expect(meets({ name: 'Mine' }, [kept(1, { putAway: true }), kept(2, { name: 'Theirs' })])).toBe(false);
    expect(meets({ putAway: true }, [kept(2)])).toBe(true);
    expect(sheetEdits.meets({ kind: 'keep', name: 'New', spec: DEFAULT_SHEET }, [kept(1)], [])).toBe(false);
  });
  it('are made of a keymap as it is, beside the factory’s, with marks and uses', () => {
    const data = sheetDataOf({
      view: {
        programSlug: 'p',
        program: sampleProgram,
        draft: sampleDraft(),
        bindings: [['undo', 'F2']],
        spares: [],
        toKept: [],
        toFactory: [{ command: 'undo', before: [{ chord: 'F2' }], after: [{ chord: 'Mod+Z' }] }],
        tape: [],
        earlier: 0,
      },
      dressing: { marks: [['undo', 'madder']], hidden: [] },
      uses: { undo: 90 },
      bases: [],
      sheets: { revision: 0, value: [] },
    });
    expect([data.keymap, data.factory]).toEqual([keymapOf([['undo', 'F2']]), keymapOf([['undo', 'Mod+Z']])]);
    expect([[...data.marks], [...data.uses]]).toEqual([[['undo', 'madder']], [['undo', 90]]]);
  });
});
