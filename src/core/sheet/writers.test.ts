import fc from 'fast-check';
import Papa from 'papaparse';
import { type DefaultTreeAdapterMap, parseFragment } from 'parse5';
import { describe, expect, it } from 'vitest';
import { INKS } from '../workspace/dressing';
import { layOutSheet } from './layOutSheet';
import type { SheetContents, SheetLine } from './sheet';
import { sheetFromQuery, sheetQuery } from './sheetQuery';
import { DEFAULT_SHEET, FORMS, GROUPINGS, ORDERS, SHEET_NOTATIONS, type SheetSpec } from './sheetSpec';
import { writeFragment, writePage } from './writeHtml';
import { pageShapes, writeSvg } from './writeSvg';
import { keysText, rowHeads, sheetRows, writeCsv, writeMarkdown } from './writeText';

type Node = DefaultTreeAdapterMap['node'];

/** Names as people and files bring them: markup, formulas, quotes, bars, accents. */
const name = fc.oneof(
  fc.constantFrom(
    '=1+1',
    '@now',
    '-5 px',
    '<b>Bold</b>',
    'A "quote", b',
    'Pipe | bar',
    '`tick`',
    'Éraser & co',
    "it's",
  ),
  fc.lorem({ maxCount: 4 }),
);
const cap = fc.constantFrom('Ctrl', 'Shift', 'A', '0', '⌘', '⌥', '+', '`', '|', '<');
const line: fc.Arbitrary<SheetLine> = fc.record(
  {
    name,
    keys: fc.array(fc.array(cap, { minLength: 1, maxLength: 4 }), { maxLength: 3 }),
    changed: fc.boolean(),
    notes: fc.array(name, { maxLength: 2 }),
    mark: fc.constantFrom(...INKS),
  },
  { requiredKeys: ['name', 'keys', 'changed'] },
);
const contents: fc.Arbitrary<SheetContents> = fc.record({
  title: name,
  notes: fc.constant(['● changed from the factory keys', 'Windows keys']),
  groups: fc.array(fc.record({ title: name, lines: fc.array(line, { minLength: 1, maxLength: 8 }) }), { maxLength: 4 }),
  footer: fc.constant(''),
});

function textOf(node: Node): string {
  if ('value' in node) return node.value;
  return 'childNodes' in node ? node.childNodes.map(textOf).join('') : '';
}
function named(node: Node, tag: string): Node[] {
  const own = 'tagName' in node && node.tagName === tag ? [node] : [];
  return [...own, ...('childNodes' in node ? node.childNodes.flatMap((one) => named(one, tag)) : [])];
}
const lines = (sheet: SheetContents): readonly SheetLine[] => sheet.groups.flatMap((one) => one.lines);

describe('what a sheet is written as', () => {
  it('keeps every name and key in a web page, whatever is in them, and runs nothing', () => {
    fc.assert(
      fc.property(contents, (sheet) => {
        const page = parseFragment(writeFragment(sheet));
        expect(named(page, 'script')).toEqual([]);
        expect(named(page, 'h1').map(textOf)).toEqual([sheet.title]);
        expect(named(page, 'h2').map(textOf)).toEqual(sheet.groups.map((one) => one.title));
        const rows = named(page, 'tr');
        expect(rows).toHaveLength(lines(sheet).length);
        lines(sheet).forEach((one, i) => {
          const [first, second] = named(rows[i] as Node, 'td');
          expect(
            textOf(first as Node)
              .trimStart()
              .startsWith(one.name),
          ).toBe(true);
          expect(named(second as Node, 'kbd').map(textOf)).toEqual(one.keys.flat());
        });
        expect(writePage(sheet)).toContain('<!DOCTYPE html>');
      }),
      { numRuns: 150 },
    );
  });

  it('comes back from separated text as it was, but for the apostrophe before a formula', () => {
    fc.assert(
      fc.property(contents, (sheet) => {
        const [heads, ...rows] = Papa.parse<string[]>(writeCsv(sheet).trimEnd()).data;
        expect(heads).toEqual(rowHeads(sheet));
        const wanted = sheetRows(sheet).map((row) => row.map((one) => (/^[=+\-@\t\r]/.test(one) ? `'${one}` : one)));
        expect(lines(sheet).length === 0 ? [] : rows).toEqual(wanted);
        expect(writeCsv(sheet)).toMatch(/\r\n$/);
      }),
      { numRuns: 150 },
    );
  });

  it('has one row a line in Markdown, and no cell broken by what is in it', () => {
    fc.assert(
      fc.property(contents, (sheet) => {
        const rows = writeMarkdown(sheet)
          .split('\n')
          .filter((one) => one.startsWith('| ') && !one.startsWith('| ---') && one !== '| Command | Keys |');
        expect(rows).toHaveLength(lines(sheet).length);
        for (const row of rows) expect(row.replace(/\\\|/g, '').split('|')).toHaveLength(4);
      }),
      { numRuns: 150 },
    );
  });

  it('is drawn as SVG with every text of the layout, escaped', () => {
    fc.assert(
      fc.property(contents, (sheet) => {
        const layout = layOutSheet(sheet, DEFAULT_SHEET, '1 May 2026');
        const wanted = layout.pages.flatMap((page) =>
          page.blocks.flatMap((block) => block.items.flatMap((item) => (item.kind === 'text' ? [item.text] : []))),
        );
        const svg = parseFragment(writeSvg(layout, sheet.title, new Map()).replace(/^<\?xml[^>]*>/, ''));
        expect(named(svg, 'text').map(textOf)).toEqual(wanted);
        expect(named(svg, 'title').map(textOf)).toEqual([sheet.title]);
        const [first] = layout.pages;
        if (first)
          expect(pageShapes(first, { family: () => 'a "b"', held: false })).toContain('font-family="a &#34;b&#34;"');
      }),
      { numRuns: 80 },
    );
  });

  it('writes keys as they are typed', () => {
    const written = (...keys: string[][]) => keysText({ keys });
    expect(written(['Ctrl', 'Alt', 'E'], ['F5'])).toBe('Ctrl+Alt+E or F5');
    expect(written(['⌥', '⌘', 'E'])).toBe('⌥⌘E');
    expect(written(['Space', 'hold'])).toBe('hold Space');
    expect(written(['Ctrl', 'K', 'then', 'Ctrl', 'S'])).toBe('Ctrl+K then Ctrl+S');
  });

  it('tells its choices by an address and takes them back', () => {
    const spec: fc.Arbitrary<SheetSpec> = fc.record({
      ...(Object.fromEntries(Object.entries(DEFAULT_SHEET).map(([key, value]) => [key, fc.constant(value)])) as {
        [K in keyof SheetSpec]: fc.Arbitrary<SheetSpec[K]>;
      }),
      form: fc.constantFrom(...FORMS),
      group: fc.constantFrom(...GROUPINGS),
      order: fc.constantFrom(...ORDERS),
      notation: fc.constantFrom(...SHEET_NOTATIONS),
      picked: fc.uniqueArray(name, { maxLength: 4 }),
      groupNames: fc.uniqueArray(fc.tuple(name, name), { maxLength: 3, selector: ([group]) => group }),
      fold: fc.boolean(),
      pages: fc.nat(60),
    });
    fc.assert(
      fc.property(spec, (one) => {
        const query = Object.fromEntries(new URLSearchParams(sheetQuery(one)));
        expect({ ...DEFAULT_SHEET, ...sheetFromQuery(query) }).toEqual(one);
      }),
    );
  });
});
