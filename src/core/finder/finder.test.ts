import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fromProgramFile, type ProgramFile } from '../file/programFile';
import { keymapOf } from '../keymap/keymap';
import type { Command } from '../program/program';
import { countFilters, finderRows, passes } from './finderRows';
import { nearWord } from './nearWord';
import { searchCommands } from './searchCommands';
import { buildSearchIndex } from './searchIndex';

const { program } = fromProgramFile(JSON.parse(readFileSync('demo/tarnlight.json', 'utf8')) as ProgramFile);
const index = buildSearchIndex(program.commands);
const first = (query: string, n = 1) =>
  searchCommands(index, query)
    .slice(0, n)
    .map((command) => command.name);
const command = (name: string, path: string[] = []): Command => ({
  id: name,
  name,
  kind: 'menu item',
  path,
  context: 'everywhere',
});

describe('the finder', () => {
  it('puts the whole name first, then its beginning, its words, initials, parts, and the menu', () => {
    const some = ['Repaint', 'Paint on mask', 'Paint', 'Dry paint', 'Pale ant']
      .map((name) => command(name))
      .concat(command('Rinse', ['Paint']));
    const found = searchCommands(buildSearchIndex(some), 'paint').map((one) => one.name);
    expect(found).toEqual(['Paint', 'Paint on mask', 'Dry paint', 'Repaint', 'Rinse']);
    expect(
      searchCommands(buildSearchIndex(some), 'pa')
        .map((one) => one.name)
        .slice(-1),
    ).toEqual(['Rinse']);
  });

  it('finds by two letters, by words in any order, by menu and name together, accents or not, with one slip', () => {
    expect(first('li')).toEqual(['Lift stain']);
    expect(first('gp')).toEqual(['Gray proof']);
    expect(first('stain lift')).toEqual(['Lift stain']);
    expect(first('surface sweep')).toEqual(['Dust sweep']);
    expect(first('moire')).toEqual(['Remove moiré']);
    expect(first('shrapen')).toEqual(['Sharpen']);
    expect(first('opacity 40')).toEqual(['Opacity 40 %']);
    expect(searchCommands(index, 'zzzz')).toEqual([]);
    expect(searchCommands(index, '  ')).toEqual(program.commands);
  });

  it('finds every command by its own name, and lists none twice', () => {
    fc.assert(
      fc.property(fc.constantFrom(...program.commands), (one) => {
        const found = searchCommands(index, one.name);
        expect(found.slice(0, 3).map((other) => other.name)).toContain(one.name);
        expect(new Set(found).size).toBe(found.length);
      }),
    );
  });

  it('takes one slip for the word, and no more', () => {
    for (const typed of ['glaez', 'galze', 'glze', 'glazee', 'glqze', 'gla'])
      expect(nearWord(typed, 'glaze'), typed).toBe(true);
    for (const typed of ['gealz', 'zealg', 'brush', 'gqqze']) expect(nearWord(typed, 'glaze'), typed).toBe(false);
    fc.assert(fc.property(fc.string({ maxLength: 12 }), (word) => nearWord(word, word)));
  });

  it('filters by no key and by yours, with counts that agree, and heads the menus', () => {
    const commands = [command('a', ['One']), command('b', ['One']), command('c', ['Two'])];
    const factory = keymapOf([
      ['a', 'F2'],
      ['b', 'F3'],
    ]);
    const keymap = keymapOf([
      ['a', 'F2'],
      ['c', 'F4'],
    ]);
    expect(countFilters(commands, keymap, factory)).toEqual({ all: 3, 'no key': 1, yours: 2 });
    expect(commands.filter((one) => passes('yours', one, keymap, factory)).map((one) => one.id)).toEqual(['b', 'c']);
    expect(finderRows(commands, true).map((row) => ('heading' in row ? row.heading : row.command.id))).toEqual([
      'One',
      'a',
      'b',
      'Two',
      'c',
    ]);
    expect(finderRows(commands, false)).toHaveLength(3);
  });
});
