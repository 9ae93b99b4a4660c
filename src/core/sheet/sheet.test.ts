import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { conceptTable } from '../comparison/conceptTable';
import { pairsBetween } from '../comparison/pairsBetween';
import { fromProgramFile, type ProgramFile } from '../file/programFile';
import { usKeyboard } from '../keyboard/usKeyboard';
import { whereOf } from '../keyboard/where';
import { type Keymap, keymapOf, rowsOf } from '../keymap/keymap';
import { DEFAULT_RULES, type Program } from '../program/program';
import { INKS } from '../workspace/dressing';
import { balanceColumns, flowColumns, pagesOf, startOf } from './flowColumns';
import { layOutPoster } from './layOutPoster';
import { layOutSheet } from './layOutSheet';
import { makeSheet } from './makeSheet';
import { runsOf, widthOf } from './measure';
import type { Item, SheetContents, SheetLayout, SheetLine } from './sheet';
import { chosenCommands, sheetContents } from './sheetContents';
import type { SheetRequest } from './sheetRequest';
import {
  CARDS,
  DEFAULT_SHEET,
  FORMS,
  GROUPINGS,
  NOTES,
  ORDERS,
  PAPERS,
  SHEET_NOTATIONS,
  type SheetSpec,
  WAYS,
} from './sheetSpec';
import { sideBySide } from './sideBySide';
import { wrapText } from './wrapText';
import { sheetRows } from './writeText';

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

const demo = join(import.meta.dirname, '../../../demo');
const programs = readdirSync(demo)
  .filter((name) => name !== 'draft.json' && name.endsWith('.json'))
  .map((name) => {
    const file = fromProgramFile(JSON.parse(readFileSync(join(demo, name), 'utf8')) as ProgramFile);
    return { name: file.program.name, file };
  });
const tarnlight = programs.find((one) => one.name === 'Tarnlight')?.file;
const retouching = {
  program: tarnlight?.program as Program,
  factory: tarnlight?.factory as Keymap,
  keymap: tarnlight?.keymaps[0]?.keymap as Keymap,
};
const CARD_SIZES = (Object.keys(CARDS) as (keyof typeof CARDS)[]).map((card) => ({ card }));
const FOLDED = [{ card: 'A6' as const, fold: true }];
const NOTE_SIZES = (Object.keys(NOTES) as (keyof typeof NOTES)[]).map((note) => ({ note }));
const squeeze = (text: string): string => text.replace(/\s+/g, '');

/** The names of a layout's lines, spaces left out: what stands in the words' faces before the keys. */
function namesOn(layout: SheetLayout): string[] {
  return layout.pages.flatMap((page) =>
    page.blocks
      .filter((block) => block.role === 'line')
      .map(({ items }) => {
        const words = items.flatMap((item) =>
          item.kind === 'text' && !item.soft && /^(?:words|bold)/.test(item.face) ? [item.text] : [],
        );
        return squeeze(words.join(''));
      }),
  );
}

function expectOnPage(layout: SheetLayout): void {
  for (const page of layout.pages) {
    const lines = page.blocks.filter((block) => block.role === 'line' || block.role === 'heading');
    const extents = lines.map(({ items }) => {
      const boxes = items.flatMap((item) => box(item) ?? []);
      return {
        left: Math.min(...boxes.map((one) => one.left)),
        right: Math.max(...boxes.map((one) => one.right)),
        top: Math.min(...boxes.map((one) => one.top)),
        bottom: Math.max(...boxes.map((one) => one.bottom)),
      };
    });
    const off = extents.filter(
      (one) => one.left < 0 || one.top < 0 || one.right > layout.width + 0.01 || one.bottom > layout.height + 0.01,
    );
    expect(off).toEqual([]);
    // From the top down, so that each is only held against those that begin before it ends.
    extents.sort((a, b) => a.top - b.top);
    extents.forEach((a, i) => {
      for (const b of extents.slice(i + 1)) {
        if (b.top >= a.bottom - 0.4) break;
        if (a.left < b.right - 0.01 && b.left < a.right - 0.01)
          throw new Error(`Two lines lie over each other at ${a.left.toFixed(0)}, ${a.top.toFixed(0)}.`);
      }
    });
  }
}

describe('a sheet', () => {
  it('has every line once, inside the page, none over another, and no heading alone', () => {
    fc.assert(
      fc.property(contents, paper, fc.constantFrom(...WAYS), (sheet, on, way) => {
        const layout = layOutSheet(sheet, { ...DEFAULT_SHEET, paper: on, way }, '1 May 2026');
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
    const few = layOutSheet(many(12), DEFAULT_SHEET, '');
    expect([few.pages.length, few.size]).toEqual([1, 11]);
    const some = layOutSheet(many(90), DEFAULT_SHEET, '');
    expect(some.pages).toHaveLength(1);
    expect(some.size).toBeGreaterThanOrEqual(7.5);
    const lots = layOutSheet(many(1000), DEFAULT_SHEET, '');
    expect(lots.size).toBe(9);
    expect(lots.pages.length).toBeGreaterThan(5);
  });

  it('sets a page again as it was, and moves nothing before the last one when that is evened out', () => {
    const piece = fc.record({ height: fc.integer({ min: 5, max: 40 }), heading: fc.boolean() });
    fc.assert(
      fc.property(
        fc.array(piece, { minLength: 1, maxLength: 80 }),
        fc.integer({ min: 1, max: 4 }),
        (drawn, columns) => {
          let group = 0;
          const pieces = drawn.map((one) => ({ ...one, group: one.heading ? ++group : group }));
          const heights = () => 100;
          const full = flowColumns(pieces, columns, heights, 6);
          const last = pagesOf(full) - 1;
          for (let page = 0; page <= last; page++)
            expect(flowColumns(pieces, columns, heights, 6, startOf(page, full, pieces))).toEqual(
              full.filter((one) => one.page >= page),
            );
          const even = balanceColumns(full, pieces, columns, heights, 6);
          const ends = (placed: typeof full): number =>
            Math.max(
              ...placed.filter((one) => one.page === last).map((one) => one.y + (pieces[one.piece]?.height ?? 0)),
            );
          expect(even.filter((one) => one.page < last)).toEqual(full.filter((one) => one.page < last));
          expect(even.filter((one) => !one.again).map((one) => one.piece)).toEqual([...pieces.keys()]);
          expect(ends([...even])).toBeLessThanOrEqual(ends(full));
        },
      ),
    );
  });

  it('measures by the shipped fonts and says what they lack', () => {
    expect(widthOf('Ctrl', 'keys')).toBeCloseTo(4 * widthOf('C', 'keys'), 6);
    expect(runsOf('⌥⌘O', 'keys').map((run) => run.face)).toEqual(['symbols', 'keys']);
    const layout = layOutSheet({ title: '版', notes: [], footer: '', groups: [] }, DEFAULT_SHEET, '');
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
    const request = { program, keymapName: 'k', keymap, factory, footer: '' };
    expect(sheetContents({ ...request, spec: DEFAULT_SHEET }).groups).toEqual([
      { title: 'Tool rail', lines: [{ name: 'clone · patch', keys: [['S']], changed: false }] },
      { title: 'Repair', lines: [{ name: 'lift', keys: [['Ctrl', 'Alt', 'W']], changed: true }] },
    ]);
    expect(
      sheetContents({ ...request, spec: { ...DEFAULT_SHEET, contents: 'yours' } }).groups.flatMap((g) =>
        g.lines.map((l) => l.name),
      ),
    ).toEqual(['lift']);
  });

  it('groups by task or modifier, orders by name or key, tells hooks, places and what keys were', () => {
    const { program, factory, keymap } = retouching;
    const base: SheetRequest = { program, keymapName: 'k', keymap, factory, footer: '', spec: DEFAULT_SHEET };
    const of = (spec: Partial<SheetSpec>, more: Partial<SheetRequest> = {}) =>
      sheetContents({ ...base, ...more, spec: { ...DEFAULT_SHEET, ...spec } });
    const names = (contents: SheetContents) => contents.groups.flatMap((one) => one.lines.map((line) => line.name));
    const all = of({});
    for (const group of GROUPINGS)
      for (const order of ORDERS) expect(names(of({ group, order })).length).toBeGreaterThan(0.8 * names(all).length);
    expect(of({ group: 'modifier' }).groups[0]?.title).toBe('Without a modifier');
    expect(of({ group: 'modifier', notation: 'mac' }).groups.map((one) => one.title)).toContain('Command + Shift');
    expect(of({ group: 'task' }).groups.map((one) => one.title)).toContain('Masking');
    for (const { lines } of of({ order: 'name' }).groups)
      expect(lines.map((one) => one.name)).toEqual(
        [...lines].sort((a, b) => (a.name.toLowerCase() < b.name.toLowerCase() ? -1 : 1)).map((one) => one.name),
      );
    expect(of({ groupNames: [['Mask', 'Covering up']] }).groups.map((one) => one.title)).toContain('Covering up');
    // What goes on it.
    const [one, two] = program.commands.filter((command) => keymap.bindings.has(command.id));
    expect(names(of({ contents: 'picked', picked: [one?.id ?? '', 'no-such'] }))).toEqual([one?.name]);
    const uses = new Map([
      [one?.id ?? '', 3],
      [two?.id ?? '', 40],
    ]);
    expect(names(of({ contents: 'used', most: 1 }, { uses }))).toEqual([two?.name]);
    expect(of({ contents: 'places', menus: ['Mask'] }).groups.map((group) => group.title)).toEqual(['Mask']);
    const tools = of({ contents: 'places', kinds: ['tool'] });
    expect(tools.groups.map((group) => group.title)).toEqual(['Tool rail']);
    expect(names(of({ keyless: true })).length).toBeGreaterThan(names(all).length);
    // Both notations, the second only where it differs.
    const both = of({ notation: 'both' }).groups.flatMap((group) => group.lines);
    expect(both.some((line) => line.again?.[0]?.includes('⌘'))).toBe(true);
    for (const line of both) expect(line.again?.[0]?.join()).not.toBe(line.keys[0]?.join());
    const where = of({ extras: ['path'] }).groups.flatMap((group) => group.lines.flatMap((line) => line.notes ?? []));
    expect(where).toContain('Light › Detail');
    // A difference sheet has those that lost their keys, too.
    const difference = of({ form: 'difference' });
    expect(difference.title).toContain('against Factory keys');
    const notes = difference.groups.flatMap((group) => group.lines.map((line) => line.notes?.join(' ') ?? ''));
    expect(notes.some((note) => note.startsWith('was '))).toBe(true);
    expect(notes.some((note) => note === 'had no key')).toBe(true);
  });

  it('draws the keyboard with its commands on a poster, each of them on its keys or on the lines after it', () => {
    for (const { file } of programs)
      for (const { name, keymap } of file.keymaps)
        for (const layout of ['us', 'fr', 'de'])
          for (const paper of ['A4', 'A3'] as const) {
            const spec: SheetSpec = { ...DEFAULT_SHEET, form: 'poster', paper };
            const where = whereOf({ shape: layout === 'us' ? 'ansi' : 'iso', size: 'full', layout });
            const request = {
              program: file.program,
              keymapName: name,
              keymap,
              factory: file.factory,
              footer: '',
              spec,
            };
            const poster = makeSheet({ ...request, where }, '1 May 2026').layout;
            expectOnPage(poster);
            const words = squeeze(
              poster.pages
                .flatMap((page) =>
                  page.blocks
                    .filter((block) => block.role === 'line')
                    .flatMap((block) => block.items.flatMap((item) => (item.kind === 'text' ? item.text : ''))),
                )
                .join(''),
            );
            const lost = chosenCommands({ ...request, where }).filter((one) => !words.includes(squeeze(one.name)));
            expect(lost.map((one) => one.name)).toEqual([]);
            expect(poster.size).toBeGreaterThanOrEqual(6.5);
          }
  });

  it('sets several programs side by side, what at least two of them do once, each with its own keys', () => {
    const sides = programs.map(({ name, file }) => ({
      slug: name,
      program: file.program,
      factory: rowsOf(file.factory),
    }));
    const table = conceptTable(
      sides.map((one) => one.program.commands),
      pairsBetween(sides, {}, []),
    );
    const columns = programs.map(({ name, file }) => ({
      head: `${name} · mine`,
      keymap: file.keymaps[0]?.keymap ?? file.factory,
    }));
    const rows = sideBySide(columns, table);
    expect(rows.rows.length).toBeGreaterThan(60);
    for (const one of rows.rows) expect(one.keys.filter((keys) => keys.length > 0).length).toBeGreaterThan(0);
    const { program, factory, keymap } = retouching;
    for (const differ of [false, true])
      for (const paper of ['A4', 'A3'] as const)
        for (const group of ['menu', 'task'] as const) {
          const spec: SheetSpec = { ...DEFAULT_SHEET, form: 'programs', paper, group, differ };
          const request: SheetRequest = {
            program,
            keymapName: 'k',
            keymap,
            factory,
            footer: '',
            spec,
            sideBySide: rows,
          };
          const { contents, layout } = makeSheet(request, '');
          const names = contents.groups.flatMap((one) => one.lines.map((line) => line.name));
          if (differ) expect(names.length).toBeLessThan(rows.rows.length);
          else expect(names).toHaveLength(rows.rows.length);
          expect(namesOn(layout).sort()).toEqual(names.map(squeeze).sort());
          expectOnPage(layout);
          expect(sheetRows(contents)[0]).toHaveLength(3 + programs.length);
        }
  });

  it('keeps to the pages wanted, with a warning where the type gets too small for paper', () => {
    const { program, factory, keymap } = retouching;
    const request: SheetRequest = { program, keymapName: 'k', keymap, factory, footer: '', spec: DEFAULT_SHEET };
    const set = (spec: Partial<SheetSpec>) =>
      makeSheet({ ...request, spec: { ...DEFAULT_SHEET, ...spec } }, '1 May 2026').layout;
    for (const pages of [2, 3, 5]) {
      const layout = set({ pages });
      expect(layout.pages.length).toBeLessThanOrEqual(pages);
      expect(layout.size < 6.5).toBe(layout.warnings.some((one) => one.includes('hard to read')));
    }
    expect(set({ pages: 5 }).size).toBeGreaterThan(set({ pages: 2 }).size);
    const crowded = set({ form: 'note', pages: 1 });
    expect(crowded.warnings[0]).toContain('does not go on 1 page');
    // The most used fifteen go on one card.
    const ids = program.commands.filter((one) => keymap.bindings.has(one.id)).slice(0, 15);
    const card = set({ form: 'card', contents: 'picked', picked: ids.map((one) => one.id) });
    expect([card.pages.length, card.cards, card.warnings]).toEqual([1, 1, []]);
  });

  it.each(programs)('of $name: a poster has each name on its key, under what the key is called', ({ file }) => {
    const { program, factory, keymaps } = file;
    const { keymap = factory, name = '' } = keymaps[0] ?? {};
    const boards = [
      usKeyboard.choice,
      { layout: 'fr', shape: 'iso', size: 'full' },
      { layout: 'jp', shape: 'jis', size: 'compact' },
    ] as const;
    for (const board of boards)
      for (const paper of Object.keys(PAPERS) as (keyof typeof PAPERS)[])
        for (const way of WAYS) {
          const spec: SheetSpec = { ...DEFAULT_SHEET, form: 'poster', paper, way };
          const layout = layOutPoster(
            { program, keymapName: name, keymap, factory, footer: '', spec },
            whereOf(board),
            '',
          );
          let keys = 0;
          for (const { items } of layout.pages.flatMap((page) =>
            page.blocks.filter((block) => block.role === 'line'),
          )) {
            const [cap, ...texts] = items.flatMap((item) =>
              item.kind === 'cap' || item.kind === 'text' ? [item] : [],
            );
            // Lines that follow the pictures begin with words.
            if (cap?.kind !== 'cap') continue;
            keys++;
            const key = box(cap)!;
            const lines = texts.map((one) => box(one)!);
            expect(lines.length).toBeGreaterThan(1);
            const outside = lines.filter(
              (one) => one.left < key.left || one.right > key.right || one.top < key.top || one.bottom > key.bottom,
            );
            expect(outside).toEqual([]);
            lines.forEach((one, i) => {
              for (const other of lines.slice(i + 1))
                if (one.left < other.right && other.left < one.right)
                  expect(one.bottom <= other.top + 0.01 || other.bottom <= one.top + 0.01).toBe(true);
            });
          }
          expect(keys).toBeGreaterThan(20);
        }
  });

  it.each(programs)(
    'of $name: every form, paper, way and notation has each line once, on the page, over no other',
    ({ file }) => {
      const { program, factory, keymaps } = file;
      // Each of the rest in one notation, all of them in turn.
      let turn = 0;
      for (const { name, keymap } of keymaps)
        for (const form of FORMS.filter((one) => one !== 'poster' && one !== 'programs'))
          for (const paper of Object.keys(PAPERS) as (keyof typeof PAPERS)[])
            for (const way of WAYS)
              for (const size of form === 'card' ? [...FOLDED, ...CARD_SIZES] : form === 'note' ? NOTE_SIZES : [{}]) {
                const notation = SHEET_NOTATIONS[turn++ % SHEET_NOTATIONS.length] ?? 'windows';
                const spec: SheetSpec = { ...DEFAULT_SHEET, form, paper, way, notation, ...size };
                const request: SheetRequest = { program, keymapName: name, keymap, factory, footer: 'foot', spec };
                const { contents, layout } = makeSheet(request, '1 May 2026');
                const wanted = contents.groups.flatMap((group) => group.lines.map((line) => line.name));
                const index = form === 'reference' ? 2 : 1;
                const drawn = namesOn(layout);
                const there = new Set(drawn);
                expect(wanted.filter((one) => !there.has(squeeze(one)))).toEqual([]);
                if (index === 1) expect(drawn).toHaveLength(wanted.length);
                expectOnPage(layout);
              }
    },
    120_000,
  );
});
