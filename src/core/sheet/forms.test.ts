import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { fromProgramFile, type ProgramFile } from '../file/programFile';
import { keymapOf } from '../keymap/keymap';
import { sampleProgram } from '../testing/sampleProgram';
import { makeSheet } from './makeSheet';
import type { Item, SheetLayout } from './sheet';
import { chosenCommands } from './sheetContents';
import { sheetFromQuery, sheetQuery } from './sheetQuery';
import type { SheetRequest } from './sheetRequest';
import { DEFAULT_SHEET, type SheetSpec, usualSheet, withForm } from './sheetSpec';
import { stepsContents } from './stepsContents';

const requestFor = (name: string, spec: Partial<SheetSpec>): SheetRequest => {
  const path = join(import.meta.dirname, `../../../demo/${name}.json`);
  const { program, factory, keymaps } = fromProgramFile(JSON.parse(readFileSync(path, 'utf8')) as ProgramFile);
  const keymap = keymaps[0]?.keymap ?? factory;
  return { program, keymapName: 'Mine', keymap, factory, spec: { ...DEFAULT_SHEET, ...spec }, footer: '' };
};
const wordsOn = (page: SheetLayout['pages'][number]): string =>
  page.blocks
    .flatMap(({ items }) => items)
    .flatMap((item) => (item.kind === 'text' ? [item.text] : []))
    .join(' ');

describe.each(['tarnlight', 'nibshore', 'quillmoor'])('all layers of %s on one poster', (name) => {
  it.each([
    ['A4', 'across', 5],
    ['A3', 'across', 7],
    ['A4', 'upright', 5],
    ['A3', 'upright', 7],
  ] as const)(
    '%s %s: each command stands on its key, signed, or in full after it; nothing over its key',
    (paper, way, least) => {
      const request = requestFor(name, { form: 'poster', layers: 'together', paper, way });
      const { layout } = makeSheet(request, '');
      expect(layout.size).toBeGreaterThanOrEqual(least);
      expect(layout.warnings.filter((one) => one.includes('left out'))).toEqual([]);
      const [front, ...rest] = layout.pages;
      const [all, after] = [wordsOn(front!), rest.map(wordsOn).join(' ')];
      for (const { name: called } of chosenCommands(request)) {
        const onKey = called.split(' ').every((word) => all.includes(word));
        if (!onKey) expect(after).toContain(called.split(' ')[0]);
      }
      const keys = front!.blocks.filter(({ role, items }) => role === 'line' && items[0]?.kind === 'cap');
      expect(keys.length).toBeGreaterThan(30);
      let signs = 0;
      for (const { items } of keys) {
        const [cap, ...others] = items as [Extract<Item, { kind: 'cap' }>, ...Item[]];
        for (const item of others) {
          if (item.kind === 'sign') signs++;
          const wide = item.kind === 'text' ? item.width : item.kind === 'sign' ? item.side : 0;
          expect(item.x + wide).toBeLessThanOrEqual(cap.x + cap.width + 0.01);
          expect(item.y).toBeLessThanOrEqual(cap.y + cap.height);
        }
      }
      expect(signs).toBeGreaterThan(100);
    },
  );
});

describe('the whole reference', () => {
  it('is whole unless told otherwise, also at an address that names its form alone', () => {
    const request = requestFor('tarnlight', usualSheet('reference'));
    expect(chosenCommands(request)).toHaveLength(request.program.commands.length);
    const picked = { ...DEFAULT_SHEET, contents: 'yours', notation: 'mac' } as const;
    expect(withForm(picked, 'reference')).toMatchObject({ contents: 'all', keyless: true, notation: 'mac' });
    expect(withForm(withForm(picked, 'reference'), 'desk').keyless).toBe(false);
    for (const spec of [usualSheet('reference'), { ...usualSheet('reference'), keyless: false }]) {
      const query = sheetQuery(spec);
      expect({ ...usualSheet('reference'), ...sheetFromQuery(query) }).toEqual(spec);
    }
    expect(sheetQuery(usualSheet('reference'))).toEqual({ form: 'reference', contents: 'all' });
  });
});

describe('the change list on paper', () => {
  it('has every step in its order, a box before each, the keys as they are written there', () => {
    const keymap = keymapOf([
      ['trim', 'Mod+Z'],
      ['undo', 'F3'],
    ]);
    const factory = keymapOf([
      ['trim', 'F5'],
      ['undo', 'Mod+Z'],
    ]);
    const spec: SheetSpec = { ...usualSheet('steps'), notation: 'mac' };
    const request = { program: sampleProgram, keymapName: 'Mine', keymap, factory, spec, footer: '' };
    const { title, groups } = stepsContents(request);
    expect(title).toBe(`${sampleProgram.name} — from Factory keys to Mine`);
    expect(
      groups.flatMap(({ lines }) => lines.map(({ name, keys, notes, box }) => [name, keys, notes?.at(-1), box])),
    ).toEqual([
      ['1. Undo', [['F3']], 'Take off Command+Z, press F3.', true],
      ['2. Trim', [['Command', 'Z']], 'Take off F5, press Command+Z.', true],
    ]);
    const caps = makeSheet(request, '').layout.pages[0]?.blocks.flatMap(({ items }) =>
      items.filter((one) => one.kind === 'cap' && one.strong),
    );
    expect(caps).toHaveLength(2);
    expect(stepsContents({ ...request, keymap: factory }).groups).toEqual([]);
  });

  it('says what the program would not take', () => {
    const keymap = keymapOf([
      ['trim', 'F3'],
      ['undo', 'F3'],
    ]);
    const factory = keymapOf([['undo', 'F3']]);
    const request = {
      program: sampleProgram,
      keymapName: 'Mine',
      keymap,
      factory,
      spec: usualSheet('steps'),
      footer: '',
    };
    expect(stepsContents(request).groups.map(({ lines }) => lines.map(({ notes }) => notes))).toEqual([
      [['Undo has it and keeps it.']],
    ]);
  });
});
