import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { usKeyboard } from '../keyboard/usKeyboard';
import { whereOf } from '../keyboard/where';
import { keymapOf } from '../keymap/keymap';
import type { Command, Program } from '../program/program';
import { sampleProgram } from '../testing/sampleProgram';
import { impose } from './impose';
import { groupTitles, makeSheet } from './makeSheet';
import type { Item, SheetLayout } from './sheet';
import type { SheetRequest } from './sheetRequest';
import { DEFAULT_SHEET, type SheetSpec } from './sheetSpec';
import { OTHER_TASK, TASK_ORDER, taskOf } from './tasks';
import { writeFragment, writePage } from './writeHtml';
import { facesOf, writeSvg } from './writeSvg';
import { writeCsv, writeMarkdown } from './writeText';

/*
 * Sheets as somebody has looked at them and found them good: what stands where, to a tenth of a point. Whoever changes how
 * sheets are laid out looks at what becomes of these, and keeps them anew with `npx vitest run src/core/sheet -u`.
 */

const made = (id: string, name: string, path: string[], kind: Command['kind'] = 'menu item'): Command => ({
  id,
  name,
  kind,
  path,
  context: path[0] === 'Rows' ? 'list' : path[0] === 'Brush' ? 'canvas' : 'everywhere',
});
const program: Program = {
  ...sampleProgram,
  commands: [
    ...sampleProgram.commands,
    made('crop', 'Crop to the edge of the sheet and leave a margin of the width of a thumb', ['Shape', 'Margins']),
    made('rotate', 'Turn a quarter', ['Shape']),
    made('zoom', 'Step in', ['Look'], 'value'),
    made('soft-brush', 'Soft brush', ['Brush'], 'tool'),
    made('flow', 'Flow 20 %', ['Brush', 'Values'], 'value'),
    made('slide', 'Slide the sheet', ['Look'], 'held action'),
    made('save', 'Save', ['File']),
    made('levels', 'Levels', ['Light']),
    made('bare', 'Nothing yet', ['Light']),
  ],
};
const keymap = keymapOf(
  [
    ['lift-stain', 'Alt+Shift+L', false, 'L for lift'],
    ['stain-mask', 'Mod+K Mod+S'],
    ['undo', 'Mod+Z', true],
    ['undo', 'F2'],
    ['trim', 'Mod+Plus'],
    ['dab', 'D'],
    ['smear', 'Shift+D'],
    ['open-row', 'Enter'],
    ['fold-row', 'Mod+-'],
    ['clone', 'S'],
    ['patch', 'S'],
    ['fill', 'G'],
    ['crop', 'Mod+Alt+Shift+C'],
    ['rotate', 'R'],
    ['zoom', 'NumpadAdd'],
    ['soft-brush', 'B'],
    ['flow', '2'],
    ['slide', 'hold:Space'],
    ['save', 'Mod+S'],
    ['levels', 'Mod+L'],
  ],
  ['fill'],
);
const factory = keymapOf([
  ['lift-stain', 'F9'],
  ['undo', 'Mod+Z', true],
  ['trim', 'Mod+Plus'],
  ['clone', 'S'],
  ['patch', 'S'],
  ['save', 'Mod+S'],
  ['bare', 'F7'],
]);
const ALL: SheetSpec['extras'] = ['changed', 'marks', 'hooks', 'path', 'was'];
const request = (spec: Partial<SheetSpec>): SheetRequest => ({
  ...{ program, keymapName: 'Mine', keymap, factory, footer: 'Plate retoucher' },
  spec: { ...DEFAULT_SHEET, ...spec },
  marks: new Map([
    ['undo', 'madder'],
    ['levels', 'woad'],
  ] as const),
  uses: new Map([
    ['clone', 40],
    ['undo', 90],
    ['levels', 12],
    ['bare', 50],
  ]),
  where: whereOf(usKeyboard.choice, 'windows'),
  sideBySide: {
    heads: ['Tarnlight · Mine', 'Nibshore · Mine', 'Quillmoor'],
    rows: [
      {
        name: 'Undo',
        menu: 'Repair',
        task: 'Steps back and forth',
        others: ['Take back'],
        keys: [['Mod+Z', 'F2'], ['Mod+Z'], []],
      },
      {
        name: 'Crop',
        menu: 'Shape',
        task: 'Shape and place',
        others: [],
        keys: [['Mod+Alt+Shift+C'], ['C'], ['Mod+K Mod+C']],
      },
      { name: 'Save', menu: 'File', task: 'Files', others: ['Keep', 'Store'], keys: [['Mod+S'], ['Mod+S'], ['Mod+S']] },
    ],
  },
});
const t = (value: number): string => String(Math.round(value * 10) / 10);
const itemText = (item: Item): string => {
  const at = `${t(item.x)} ${t(item.y)}`;
  switch (item.kind) {
    case 'text':
      return `${at} ${item.face} ${t(item.size)}${item.soft ? ' soft' : ''} ${t(item.width)} ${JSON.stringify(item.text)}`;
    case 'rule':
      return `${at} rule ${t(item.width)} ${item.weight}${item.soft ? ' soft' : ''}`;
    case 'stroke':
      return `${at} stroke ${t(item.toX)} ${t(item.toY)}${item.dashed ? ' dashed' : ''}`;
    case 'cap':
      return `${at} cap ${t(item.width)} ${t(item.height)}${item.strong ? ' strong' : ''}`;
    case 'sign':
      return `${at} sign ${t(item.side)} ${item.sign}`;
    case 'mark':
      return `${at} mark ${t(item.side)} ${item.ink}`;
    case 'dot':
      return `${at} dot ${t(item.radius)}`;
  }
};
const told = (layout: SheetLayout): string =>
  [
    `${t(layout.width)} x ${t(layout.height)}, ${layout.columns} columns at ${t(layout.size)}`,
    ...layout.pages.flatMap((page, i) => [
      `page ${i + 1}`,
      ...page.blocks.flatMap((block) => [` ${block.role}`, ...block.items.map((item) => `  ${itemText(item)}`)]),
    ]),
    '',
  ].join('\n');

const CASES: readonly (readonly [name: string, spec: Partial<SheetSpec>])[] = [
  ['desk', { extras: ALL, notation: 'both' }],
  [
    'desk-by-task',
    { way: 'upright', paper: 'Letter', group: 'task', order: 'name', notation: 'symbols', pages: 1, extras: ALL },
  ],
  ['desk-by-modifier', { paper: 'A3', group: 'modifier', order: 'key', notation: 'mac', keyless: true, extras: [] }],
  ['used', { contents: 'used', most: 3, groupNames: [['Repair', 'Mending']] }],
  ['places', { contents: 'places', contexts: ['canvas'], kinds: ['tool', 'value'], keyless: true }],
  ['picked', { contents: 'picked', picked: ['levels', 'undo', 'gone', 'bare'], keyless: true, order: 'name' }],
  ['yours', { contents: 'yours', menus: ['Repair', 'Shape'], extras: ['was', 'changed'] }],
  ['card', { form: 'card', fold: true }],
  ['business-card', { form: 'card', card: 'business card', contents: 'used', most: 4 }],
  ['note', { form: 'note' }],
  ['wide-note', { form: 'note', note: '127 x 76 mm', paper: 'Letter', way: 'upright' }],
  ['poster', { form: 'poster' }],
  ['poster-a3', { form: 'poster', paper: 'A3', way: 'upright', notation: 'symbols' }],
  ['poster-together', { form: 'poster', layers: 'together' }],
  ['difference', { form: 'difference', extras: ALL }],
  ['steps', { form: 'steps' }],
  ['programs', { form: 'programs' }],
  ['programs-by-task', { form: 'programs', group: 'task', order: 'key', way: 'upright', extras: ALL }],
  ['reference', { form: 'reference', extras: ALL }],
];

describe('sheets as they were found good', () => {
  it.each(CASES)('%s', async (name, spec) => {
    const { layout } = makeSheet(request(spec), '1 May 2026');
    await expect(told(layout)).toMatchFileSnapshot(`fixtures/${name}.txt`);
  });

  it('as text, tables and pages for the web', async () => {
    const { contents, layout } = makeSheet(request({ extras: ALL, notation: 'both' }), '1 May 2026');
    const programs = makeSheet(request({ form: 'programs' }), '1 May 2026').contents;
    for (const [name, text] of [
      ['sheet.md', writeMarkdown(contents)],
      ['sheet.csv', writeCsv(contents)],
      ['fragment.html', writeFragment(contents)],
      ['page.html', writePage(makeSheet(request({ contents: 'used', most: 2 }), '').contents)],
      ['programs.md', writeMarkdown(programs)],
      ['programs.csv', writeCsv(programs)],
      ['programs.html', writeFragment(programs)],
    ] as const)
      await expect(text).toMatchFileSnapshot(`fixtures/${name}`);
    const fonts = new Map([...facesOf(layout)].map((face) => [face, `data:font/woff2;${face}`] as const));
    const small = makeSheet(request({ form: 'card', contents: 'used', most: 3, extras: ALL }), '1 May 2026').layout;
    await expect(writeSvg(small, 'A <card> & more', fonts)).toMatchFileSnapshot('fixtures/card.svg');
    await expect(
      writeSvg(makeSheet(request({ form: 'note', fold: true }), '').layout, 'Notes', new Map()),
    ).toMatchFileSnapshot('fixtures/notes.svg');
  });

  it('put cards on the sheet they are printed on, cut lines between them, and leave pages alone', async () => {
    const { layout } = makeSheet(request({}), '');
    expect(impose(layout, { ...DEFAULT_SHEET })).toBe(layout);
    expect(groupTitles(request({ groupNames: [['Repair', 'Mending']] }))).toEqual([
      'Repair',
      'Brush',
      'Rows',
      'Tool rail',
      'Shape',
      'Look',
      'File',
      'Light',
    ]);
  });
});

describe('what people are at', () => {
  const rows = readFileSync(join(import.meta.dirname, 'fixtures/tasks.tsv'), 'utf8')
    .trim()
    .split('\n')
    .slice(1);
  it('is told of every command by what its name says, else by its menu', () => {
    expect(rows.length).toBeGreaterThan(300);
    const wrong = rows.filter((row) => {
      const [name = '', task] = row.split('\t');
      return taskOf({ name, path: ['Anything'] }) !== task;
    });
    expect(wrong).toEqual([]);
    expect(taskOf({ name: 'Sixty', path: ['Layers', 'Opacity'] })).not.toBe(OTHER_TASK);
    expect(taskOf({ name: 'Sixty', path: ['Anything'] })).toBe(OTHER_TASK);
    expect(TASK_ORDER).toEqual([
      ...[
        'Steps back and forth',
        'Masking',
        'Mending',
        'Selecting',
        'Tone and color',
        'Brushes and drawing',
        'Layers',
        'Words',
      ],
      ...['Shape and place', 'Sharpness', 'Looking', 'Files', 'Everything else'],
    ]);
  });
});
