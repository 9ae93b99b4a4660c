import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { measurePhrases, readListPair, readPhrases } from '../../../bench/unforeseen';
import { buildClashIndex, programFacts } from '../clash/clashIndex';
import { fromProgramFile, type ProgramFile } from '../file/programFile';
import { CONCEPTS, PARTNERS } from '../glossary/glossary';
import { keymapOf } from '../keymap/keymap';
import type { Command } from '../program/program';
import { reachOf } from '../reach/reachOf';
import { here, sampleProgram } from '../testing/sampleProgram';
import { buildFinder } from './buildFinder';
import { chordTyped } from './chordTyped';
import { chosenEdits, wordsTyped } from './chosen';
import { applyFilter, countMarks, countOn, markCommands, NO_FILTER } from './filters';
import { finderRows, neighborsOf } from './finderRows';

const { program } = fromProgramFile(JSON.parse(readFileSync('demo/tarnlight.json', 'utf8')) as ProgramFile);
const find = buildFinder(program.commands);
const first = (query: string, n = 1) =>
  find(query)
    .commands.slice(0, n)
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
    const found = buildFinder(some)('paint').commands.map((one) => one.name);
    expect(found).toEqual(['Paint', 'Paint on mask', 'Dry paint', 'Repaint', 'Rinse']);
    expect(
      buildFinder(some)('pa')
        .commands.map((one) => one.name)
        .slice(-1),
    ).toEqual(['Rinse']);
  });

  it('finds by two letters, by words in any order, by menu and name together, accents or not, with one slip', () => {
    expect(first('li')).toEqual(['Lift stain']);
    expect(first('gp')).toEqual(['Gray proof']);
    expect(first('stain lift')).toEqual(['Lift stain']);
    expect(first('detail draw')).toEqual(['Draw veins']);
    expect(first('moire')).toEqual(['Lift moiré']);
    expect(first('shrapen')).toEqual(['Sharpen']);
    expect(first('opacity 40')).toEqual(['Opacity 40 %']);
    expect(find('zzzz').commands).toEqual([]);
    expect(find('  ').commands).toEqual(program.commands);
  });

  it('finds every command by its own name, and lists none twice', () => {
    fc.assert(
      fc.property(fc.constantFrom(...program.commands), (one) => {
        const found = find(one.name).commands;
        expect(found.slice(0, 3).map((other) => other.name)).toContain(one.name);
        expect(new Set(found).size).toBe(found.length);
      }),
    );
  });

  it('finds what has most of the meaning, says what it lacks, and of what is only near that it is', () => {
    const found = find('remove specks from the budget');
    expect([found.commands[0]?.name, found.unmatched, found.near]).toEqual(['Dust sweep', ['budget'], []]);
    const near = find('spell check the budget');
    expect([near.commands, near.near.length, near.menu?.length]).toEqual([[], 3, 1]);
    expect(find('zzzz qqqq')).toEqual({ commands: [], unmatched: [], near: [], menu: null });
    expect(first('crooked horizon')).toEqual(['Straighten tool']);
    expect(first('turn the guides off')).toEqual(['Guides']);
    expect(first('blurring')).toEqual(['Soften']);
    // Apart in one, together in the other.
    const two = buildFinder([command('Lineart cleanup'), command('Air brush'), command('Undo')]);
    expect(two('line art').commands.map((one) => one.name)).toEqual(['Lineart cleanup']);
    expect(two('airbrush').commands.map((one) => one.name)).toEqual(['Air brush']);
  });

  it('puts first what was chosen for the same words before, found or not', () => {
    const curves = program.commands.find((one) => one.name === 'Curves')?.id ?? '';
    expect(
      find('soften', curves)
        .commands.slice(0, 2)
        .map((one) => one.name),
    ).toEqual(['Curves', 'Soften']);
    expect(find('zzzz', curves).commands.map((one) => one.name)).toEqual(['Curves']);
    expect(find('soften', 'gone').commands[0]?.name).toBe('Soften');
    expect([wordsTyped('  Soft  EDGE! '), wordsTyped('…')]).toEqual(['soft edge', '']);
    const before = { 'soft edge': 'feather' };
    const edit = { words: 'soft edge', command: 'curves' };
    expect(chosenEdits.apply(before, edit)).toEqual({ 'soft edge': 'curves' });
    expect([
      chosenEdits.meets(edit, before, before),
      chosenEdits.meets(edit, before, { 'soft edge': 'crop' }),
      chosenEdits.meets(edit, before, { 'soft edge': 'curves' }),
    ]).toEqual([false, true, false]);
  });

  it.each([
    ['Ctrl+H', 'Mod+H'],
    ['ctrl-shift-s', 'Mod+Shift+S'],
    ['F5', 'F5'],
    ['⌘S', 'Mod+S', 'mac'],
    ['alt+', null],
    ['b', null],
    ['black-and-white', null],
    ['shift', null],
    ['find', null],
  ] as const)('takes %s for the keys %s', (typed, chord, dialect: 'windows' | 'mac' = 'windows') => {
    expect(chordTyped(typed, dialect)).toBe(chord);
  });

  it('understands phrases that nobody foresaw, and invents nothing', () => {
    const rough = readListPair('bench/unforeseen/rough');
    const [left, right] = [buildFinder(rough.left), buildFinder(rough.right)];
    const said = measurePhrases(readPhrases(), {
      left: (typed) => left(typed).commands,
      right: (typed) => right(typed).commands,
    });
    expect([said.of, said.none]).toEqual([120, 20]);
    expect(said.first).toBeGreaterThanOrEqual(108);
    expect(said.three).toBeGreaterThanOrEqual(114);
    expect(said.invented).toBeLessThanOrEqual(1);
  });

  it('finds by other words of the trade for the same thing, after what is called so', () => {
    expect(first('blur', 12)).toContain('Soften mask edge');
    expect(first('eyedropper', 4)).toContain('Pick color');
    expect(first('zoom in', 3)).toContain('Step in');
    expect(first('lasso', 2)).toContain('Loop select');
    expect(first('history', 6)).toContain('Recorded steps');
    expect(first('curves')).toEqual(['Curves']);
    expect(CONCEPTS.length).toBeGreaterThanOrEqual(250);
    const ids = new Set(CONCEPTS.map((one) => one.id));
    expect(ids.size).toBe(CONCEPTS.length);
    expect(PARTNERS.flat().filter((id) => !ids.has(id))).toEqual([]);
    expect(CONCEPTS.filter((one) => one.words.length === 0 || new Set(one.words).size !== one.words.length)).toEqual(
      [],
    );
  });

  it('filters by what is so of a command, each further one with the count it would leave', () => {
    const factory = keymapOf([
      ['undo', 'Mod+Z', true],
      ['clone', 'S'],
      ['patch', 'S'],
      ['lift-stain', 'Alt+W'],
    ]);
    const keymap = keymapOf(
      [
        ['undo', 'Mod+Z', true],
        ['clone', 'S'],
        ['patch', 'S'],
        ['fill', 'hold:Space'],
        ['trim', 'Alt+T'],
        ['stain-mask', 'Alt+T'],
        ['smear', 'Mod+Shift+F9'],
        ['smear', 'Mod+Alt+Shift+P'],
      ],
      ['trim', 'dab'],
    );
    const index = buildClashIndex(programFacts(sampleProgram), keymap, here.place);
    const marks = markCommands(index, factory, here.place, reachOf(here, 'left'));
    const ids = (filter: Partial<typeof NO_FILTER>) =>
      applyFilter(sampleProgram.commands, marks, { ...NO_FILTER, ...filter }).map((one) => one.id);
    expect(countMarks(sampleProgram.commands, marks, NO_FILTER)).toEqual({
      'no key': 4,
      yours: 5,
      keeper: 1,
      spare: 2,
      clashing: 2,
      'takes turns': 2,
      hold: 1,
      'hard to reach': 1,
      'both hands': 1,
    });
    expect(ids({ marks: ['both hands'] })).toEqual(['smear']);
    expect(ids({ marks: ['yours'] })).toEqual(['lift-stain', 'stain-mask', 'trim', 'smear', 'fill']);
    expect(ids({ marks: ['yours', 'clashing'] })).toEqual(['stain-mask', 'trim']);
    expect(ids({ marks: ['spare'], contexts: ['canvas'] })).toEqual(['dab']);
    expect(ids({ kinds: ['tool'], marks: ['hold'] })).toEqual(['fill']);
    expect(ids({ menus: ['Rows', 'Brush'] })).toEqual(['dab', 'smear', 'open-row', 'fold-row']);
    expect(countMarks(sampleProgram.commands, marks, { ...NO_FILTER, marks: ['spare'] }).clashing).toBe(1);
    expect([ids({}).length, countOn({ ...NO_FILTER, kinds: ['tool'] })]).toEqual([sampleProgram.commands.length, 1]);
  });

  it('heads the menus, and knows the neighbors of a command in its own', () => {
    const commands = [command('a', ['One']), command('b', ['One']), command('c', ['Two'])];
    expect(finderRows(commands, true).map((row) => ('heading' in row ? row.heading : row.command.id))).toEqual([
      'One',
      'a',
      'b',
      'Two',
      'c',
    ]);
    expect(finderRows(commands, false)).toHaveLength(3);
    expect(neighborsOf(commands).get(commands[0]!)).toEqual({ before: null, after: commands[1] });
    expect(neighborsOf(commands).get(commands[2]!)).toEqual({ before: null, after: null });
  });
});
