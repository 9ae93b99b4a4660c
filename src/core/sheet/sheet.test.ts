import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { keymapOf } from '../keymap/keymap';
import { DEFAULT_RULES, type Program } from '../program/program';
import { INKS } from '../workspace/dressing';
import { layOutSheet } from './layOutSheet';
import { runsOf, widthOf } from './measure';
import { type Item, PAPERS, type SheetContents, type SheetLine, WAYS } from './sheet';
import { sheetContents } from './sheetContents';
import { wrapText } from './wrapText';

const cap = fc.constantFrom(
  'Ctrl',
  'Command',
  'Option',
  'Shift',
  'Forward Delete',
  'A',
  '0',
  '⌘',
  '⌥',
  'Num +',
  'hold',
);
const line: fc.Arbitrary<SheetLine> = fc.record(
  {
    name: fc
      .oneof(fc.string({ unit: 'grapheme', minLength: 1, maxLength: 40 }), fc.lorem({ maxCount: 9 }))
      .map((t) => t.replace(/\s+/g, ' ').trim() || 'x'),
    keys: fc.array(fc.array(cap, { minLength: 1, maxLength: 5 }), { maxLength: 3 }),
    changed: fc.boolean(),
    mark: fc.constantFrom(...INKS),
  },
  { requiredKeys: ['name', 'keys', 'changed'] },
);
const contents: fc.Arbitrary<SheetContents> = fc.record({
  title: fc.constant('A sheet'),
  notes: fc.constant(['Windows keys']),
  groups: fc.array(
    fc.record({ title: fc.lorem({ maxCount: 4 }), lines: fc.array(line, { minLength: 1, maxLength: 60 }) }),
    { maxLength: 8 },
  ),
  footer: fc.constant('foot'),
});
const paper = fc.constantFrom(...(Object.keys(PAPERS) as (keyof typeof PAPERS)[]));

const box = (item: Item) =>
  item.kind === 'text'
    ? { left: item.x, right: item.x + item.width, top: item.y - item.size * 0.75, bottom: item.y + item.size * 0.25 }
    : item.kind === 'mark'
      ? { left: item.x, right: item.x + item.side, top: item.y, bottom: item.y + item.side }
      : item.kind === 'cap'
        ? { left: item.x, right: item.x + item.width, top: item.y, bottom: item.y + item.height }
        : null;

describe('a sheet', () => {
  it('has every line once, inside the page, none over another, and no heading alone', () => {
    fc.assert(
      fc.property(contents, paper, fc.constantFrom(...WAYS), (sheet, on, way) => {
        const layout = layOutSheet(sheet, on, way, '1 May 2026');
        const wanted = sheet.groups.flatMap((group) => group.lines);
        expect(layout.lines).toBe(wanted.length);
        expect(layout.pages.flatMap((page) => page.blocks.filter((block) => block.role === 'line'))).toHaveLength(
          wanted.length,
        );
        for (const page of layout.pages) {
          const drawn = page.blocks.filter((block) => block.role === 'line' || block.role === 'heading');
          const extents = drawn.map(({ items }) => {
            const rule = items.find((item) => item.kind === 'rule');
            const tops = items.flatMap((item) => box(item)?.top ?? []);
            return {
              left: rule?.x ?? 0,
              right: (rule?.x ?? 0) + (rule && 'width' in rule ? rule.width : 0),
              top: Math.min(...tops),
              bottom: rule?.y ?? 0,
            };
          });
          for (const block of page.blocks) {
            for (const item of block.items) {
              const b = box(item);
              if (b)
                expect(b.left >= 0 && b.right <= layout.width + 0.01 && b.top >= 0 && b.bottom <= layout.height).toBe(
                  true,
                );
            }
          }
          extents.forEach((a, i) => {
            const clear = extents
              .slice(i + 1)
              .every(
                (b) => a.right <= b.left || b.right <= a.left || a.bottom <= b.top + 0.01 || b.bottom <= a.top + 0.01,
              );
            expect(clear).toBe(true);
          });
          drawn.forEach((block, i) => {
            if (block.role === 'heading') expect(drawn[i + 1]?.role).toBe('line');
          });
        }
      }),
      { numRuns: 150 },
    );
  }, 60_000);

  it('is set as large as one page allows, and goes on to more pages before it gets too small', () => {
    const many = (n: number): SheetContents => ({
      title: 'T',
      notes: [],
      footer: '',
      groups: [
        {
          title: 'Repair',
          lines: Array.from({ length: n }, (_, i) => ({ name: `Command ${i}`, keys: [['Ctrl', 'A']], changed: false })),
        },
      ],
    });
    const few = layOutSheet(many(12), 'A4', 'across', '');
    expect([few.pages.length, few.size]).toEqual([1, 11]);
    const some = layOutSheet(many(90), 'A4', 'across', '');
    expect(some.pages).toHaveLength(1);
    expect(some.size).toBeGreaterThanOrEqual(7.5);
    const lots = layOutSheet(many(1000), 'A4', 'across', '');
    expect(lots.size).toBe(9);
    expect(lots.pages.length).toBeGreaterThan(5);
  });

  it('measures by the shipped fonts and says what they lack', () => {
    expect(widthOf('Ctrl', 'keys')).toBeCloseTo(4 * widthOf('C', 'keys'), 6);
    expect(runsOf('⌥⌘O', 'keys').map((run) => run.face)).toEqual(['symbols', 'keys']);
    const layout = layOutSheet({ title: '版', notes: [], footer: '', groups: [] }, 'A4', 'across', '');
    expect(layout.warnings).toHaveLength(1);
    fc.assert(
      fc.property(fc.lorem({ maxCount: 12 }), fc.integer({ min: 3, max: 20 }), (words, width) => {
        const lines = wrapText(words, 'words', width);
        expect(lines.join('').replaceAll(' ', '')).toBe(words.replaceAll(' ', ''));
        for (const one of lines) expect(widthOf(one, 'words')).toBeLessThanOrEqual(width);
      }),
    );
  });

  it('holds what was asked for, in menu order, tools that take turns on one line', () => {
    const command = (id: string, path: string[]) => ({
      id,
      name: id,
      kind: 'tool' as const,
      path,
      context: 'everywhere',
    });
    const program: Program = {
      name: 'P',
      version: '1',
      contexts: [{ id: 'everywhere', name: 'everywhere', parent: null }],
      rules: { ...DEFAULT_RULES, turns: [['Tool rail']] },
      commands: [
        command('clone', ['Tool rail']),
        command('patch', ['Tool rail']),
        command('lift', ['Repair']),
        command('bare', ['Repair']),
      ],
    };
    const factory = keymapOf([
      ['clone', 'S'],
      ['patch', 'S'],
      ['lift', 'F9'],
    ]);
    const keymap = keymapOf([
      ['clone', 'S'],
      ['patch', 'S'],
      ['lift', 'Mod+Alt+W'],
    ]);
    const request = { program, keymapName: 'k', keymap, factory, notation: 'windows' as const, footer: '' };
    expect(sheetContents({ ...request, contents: 'all' }).groups).toEqual([
      { title: 'Tool rail', lines: [{ name: 'clone · patch', keys: [['S']], changed: false }] },
      { title: 'Repair', lines: [{ name: 'lift', keys: [['Ctrl', 'Alt', 'W']], changed: true }] },
    ]);
    expect(sheetContents({ ...request, contents: 'yours' }).groups.flatMap((g) => g.lines.map((l) => l.name))).toEqual([
      'lift',
    ]);
  });
});
