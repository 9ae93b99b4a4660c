import { describe, expect, it } from 'vitest';
import { type Choices, NO_CHOICES } from './choices';
import { correctRows, rowsAlike } from './correctRows';
import { readCommandList } from './readCommandList';
import { rememberedFor } from './rememberedFor';

const LIST = [
  'Menu,Command,Keys',
  'Repair,Lift stain,Ctrl+K',
  'Repair,Dust sweep,Ctrl+Shfit+L',
  'Repair,Press flat,F5 or Shfit+F',
  '* Holds on Windows too,,',
  '* Another note,,',
  'View,Closer,-',
  'View,Farther,+',
].join('\n');

describe('rows', () => {
  const { rows, signs } = readCommandList(LIST);
  const row = (line: number) => rows.find((one) => one.line === line) ?? rows[0]!;

  it('have keys of their own, and are corrected by them: a command, none, with another name, place, keys', () => {
    expect(new Set(rows.map((one) => one.key)).size).toBe(rows.length);
    const corrected = correctRows(rows, {
      [row(2).key]: { none: true },
      [row(3).key]: { keys: ['Mod+Shift+L'] },
      [row(5).key]: { name: 'Wash', path: ['Repair', 'Wet'], keys: [] },
      [row(7).key]: {},
    });
    const told = corrected.map(({ line, result, why, command }) => [
      line,
      result,
      why !== null,
      command?.path.join(),
      command?.name,
      command?.keys.join(),
    ]);
    expect(told.slice(1, 7)).toEqual([
      [2, 'unused', true, undefined, undefined, undefined],
      [3, 'used', false, 'Repair', 'Dust sweep', 'Mod+Shift+L'],
      [4, 'partly', true, 'Repair', 'Press flat', 'F5'],
      [5, 'used', false, 'Repair,Wet', 'Wash', ''],
      [6, 'unused', true, undefined, undefined, undefined],
      [7, 'used', false, 'View', 'Closer', '-'],
    ]);
    // What was said to be none can be said to be one again.
    const [back] = correctRows([corrected[1]!], { [row(2).key]: {} });
    expect(back?.command).toEqual(row(2).command);
  });

  it('are alike where the same became of them for the same reason, whatever they hold', () => {
    const lines = (line: number) => rowsAlike(rows, row(line)).map((one) => one.line);
    expect([lines(5), lines(3), lines(2), lines(7)]).toEqual([[5, 6], [3], [2], [7, 8]]);
  });

  it('read a sign that stands alone as it was said, for all of them', () => {
    expect(signs).toEqual({ cells: 1, keys: true });
    const keys = (said: boolean | null) =>
      readCommandList(LIST, { ...NO_CHOICES, signs: said }).rows.find((one) => one.line === 7)?.command?.keys;
    expect([keys(null), keys(true), keys(false)]).toEqual([['-'], ['-'], []]);
  });

  it('have further keys from a column that was left out, which is said', () => {
    const text = 'Command,Keys,Alternate\nLift,Ctrl+K,F2\nSweep,F3,Alt+Q\nPress,,Alt+W\n';
    const { groups } = readCommandList(text);
    expect(groups[0]?.otherKeys).toEqual([2]);
    const taken = readCommandList(text, { ...NO_CHOICES, roles: [['name', 'keys', 'more keys']] });
    expect(taken.rows.flatMap(({ command }) => (command ? [command.keys] : []))).toEqual([
      ['Mod+K', 'F2'],
      ['F3', 'Alt+Q'],
      ['Alt+W'],
    ]);
    expect(taken.groups[0]?.otherKeys).toEqual([]);
  });
});

describe('what was said of a list', () => {
  const shown = [{ text: 'when F3 is down : sweep', name: [18, 23], keys: [5, 7], path: null }] as const;
  const choices: Choices = { ...NO_CHOICES, shown };
  const text = 'when F3 is down : sweep\nwhen Ctrl+K is down : lift\nwhen F5 is down : press\nwhen F6 is down : fold\n';
  const read = (by: Choices) => readCommandList(text, by);

  it('is remembered for another list of the same program, told by its commands, and for no other', () => {
    const names = ['sweep', 'lift', 'press', 'wash'];
    const found = rememberedFor([{ program: 'Copperlamp', choices, names }], read);
    expect([found?.by.program, found?.reading.format]).toEqual(['Copperlamp', 'shown']);
    for (const others of [['sweep', 'dust', 'paper', 'flat'], [...names, ...'abcdef'], []])
      expect(rememberedFor([{ program: 'Other', choices, names: others }], read)).toBeNull();
  });
});
