import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { keymapOf } from '../keymap/keymap';
import type { Command } from '../program/program';
import { reachOf } from '../reach/reachOf';
import { here, sampleProgram } from '../testing/sampleProgram';
import { bringMost } from './bringMost';
import { gainsOf } from './gains';
import { OPERATORS, secondsByKey, secondsByMenu, secondsPerUse } from './klm';
import { readCounts } from './readCounts';
import { usesOf } from './uses';

const { K, P, B, H, M } = OPERATORS;
const reach = reachOf(here, 'left');
const command = (id: string) => sampleProgram.commands.find((one) => one.id === id) as Command;

describe('effort', () => {
  it('adds up the operators of the model', () => {
    // Get ready, point and tap at the menu and at the line in it, back to the picture.
    expect(secondsByMenu(command('lift-stain'))).toBeCloseTo(M + 2 * (P + 2 * B) + P);
    expect(secondsByMenu(command('clone'))).toBeCloseTo(M + (P + 2 * B) + P);
    expect(secondsByKey(reach('Mod+S'))).toBeCloseTo(M + 2 * K);
    // The pen goes down and is taken up again.
    expect(secondsByKey(reach('Mod+Shift+F9'))).toBeCloseTo(M + 3 * K + 2 * H);
    expect(secondsPerUse(command('lift-stain'), [reach('Mod+Shift+F9'), reach('Mod+S')])).toBeCloseTo(M + 2 * K);
    expect(secondsPerUse(command('lift-stain'), [])).toBe(secondsByMenu(command('lift-stain')));
  });

  it('says what a keymap brings, and its parts add up to the whole', () => {
    const before = keymapOf(
      [
        ['lift-stain', 'Mod+Shift+F9'],
        ['clone', 'S'],
      ],
      ['trim'],
    );
    const after = keymapOf(
      [
        ['lift-stain', 'Alt+S'],
        ['clone', 'S'],
        ['undo', 'Mod+Z'],
      ],
      ['trim'],
    );
    const told = new Map([['lift-stain', 60]]);
    const gains = gainsOf(sampleProgram, before, after, told, reach);
    expect(gains.commands.map((one) => one.command.id)).toEqual(['lift-stain', 'undo']);
    const saved = gains.commands.reduce((sum, one) => sum + one.before - one.after, 0);
    expect(gains.minutesBefore - gains.minutesAfter).toBeCloseTo(saved / 60);
    expect(saved).toBeCloseTo(60 * (K + 2 * H) + 2 * (2 * (P + 2 * B) + P - 2 * K));
    const all = (spread: { steps: readonly number[]; menus: number }) =>
      spread.steps.reduce((sum, n) => sum + n, spread.menus);
    const uses = sampleProgram.commands.reduce((sum, one) => sum + usesOf(one, told, one.id === 'trim'), 0);
    expect([all(gains.reachBefore), all(gains.reachAfter)]).toEqual([uses, uses]);
    const presses = gains.fingersAfter.reduce((sum, one) => sum + one.presses, 0);
    expect(presses).toBe(60 * 2 + 12 + 2 * 2);
    expect(gainsOf(sampleProgram, after, before, told, reach).commands.at(-1)?.command.id).toBe('lift-stain');
  });

  it('knows which commands good keys would bring most, without spares, keepers and those there are already', () => {
    const keymap = keymapOf(
      [
        ['lift-stain', 'Mod+Shift+F9'],
        ['clone', 'S'],
        ['undo', 'Mod+Shift+F10', true],
      ],
      ['trim'],
    );
    const told = new Map([
      ['lift-stain', 60],
      ['stain-mask', 30],
      ['trim', 900],
      ['undo', 900],
      ['clone', 900],
      ['patch', 0],
    ]);
    const found = bringMost(sampleProgram, keymap, told, reach, 3);
    // By menu costs more each time than far keys do, so that half as many uses weigh more.
    expect(found.slice(0, 2).map((one) => one.id)).toEqual(['stain-mask', 'lift-stain']);
    expect(found).toHaveLength(3);
    const all = bringMost(sampleProgram, keymap, told, reach, 99).map((one) => one.id);
    for (const id of ['trim', 'undo', 'clone', 'patch']) expect(all).not.toContain(id);
    const besides = bringMost(sampleProgram, keymap, told, reach, 99, new Set(['stain-mask']));
    expect(besides.map((one) => one.id)).toEqual(all.filter((id) => id !== 'stain-mask'));
  });

  it('reads counts from two columns in either order', () => {
    const text = 'command;a day\nLift stain;40\n12;Repair › Undo\n\nclone;2,5\nNobody;3\ntrim\nLift stain;2\n';
    const { uses, problems } = readCounts(text, sampleProgram.commands);
    expect([...uses]).toEqual([
      ['lift-stain', 42],
      ['undo', 12],
      ['clone', 2.5],
    ]);
    expect(problems).toEqual([
      { line: 6, text: 'Nobody, 3', why: 'No command is called that here.' },
      { line: 7, text: 'trim', why: 'There is no count beside it.' },
    ]);
    const twice = [...sampleProgram.commands, { ...command('undo'), id: 'undo-2', path: ['Brush'] }];
    expect(readCounts('Undo\t3', twice).problems[0]?.why).toMatch('2 commands');
    expect(readCounts('Brush Undo,3', twice).uses.get('undo-2')).toBe(3);
    expect(readCounts('\uFEFFUndo,999999', sampleProgram.commands).problems).toHaveLength(1);
    fc.assert(fc.property(fc.string(), (any) => void readCounts(any, sampleProgram.commands)));
  });
});
