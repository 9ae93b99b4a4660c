import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { buildClashIndex, programFacts } from '../clash/clashIndex';
import { keymapOf } from '../keymap/keymap';
import { sideBySide } from '../sheet/sideBySide';
import { anyKeymap, here, sampleProgram } from '../testing/sampleProgram';
import { agreement } from './agreement';
import { compareHands } from './compareHands';
import { conceptTable } from './conceptTable';
import { harmOf } from './harmOf';
import { otherActions } from './otherActions';

const ids = sampleProgram.commands.map((one) => one.id);
const pairs = ids.map((id) => ({ mine: id, theirs: id }));
const facts = programFacts(sampleProgram);
const usesOf = (id: string) => ids.indexOf(id) + 1;

describe('how much of the hand carries over', () => {
  it('is all of it between equals, and adds up in every comparison', () => {
    fc.assert(
      fc.property(anyKeymap, anyKeymap, (mine, theirs) => {
        const own = agreement(pairs, mine, mine, here.place, usesOf);
        expect(own.same).toBe(own.all);
        const { same, all, part, weighted } = agreement(pairs, mine, theirs, here.place, usesOf);
        const sides = [mine, theirs].map((keymap) => ({ commands: sampleProgram.commands, keymap }));
        const sorted = compareHands(sides[0] as never, sides[1] as never, pairs, here.place);
        expect(sorted.same).toHaveLength(same);
        expect(sorted.same.length + sorted.otherKeys.length + sorted.onlyTheirs.length).toBe(all);
        // Where nothing is done in both, that nothing is alike is not said.
        for (const figure of [part, weighted])
          expect(figure === null ? all === 0 : figure >= 0 && figure <= 1 && all > 0).toBe(true);
      }),
    );
  });

  it('counts what is used most for most', () => {
    const theirs = keymapOf([
      ['lift-stain', 'S'],
      ['fill', 'W'],
    ]);
    const mine = keymapOf([['fill', 'W']]);
    const { same, all, part, weighted } = agreement(pairs, mine, theirs, here.place, usesOf);
    expect([same, all, part]).toEqual([1, 2, 0.5]);
    expect(weighted).toBeCloseTo(11 / 12);
  });
});

describe('the same keys with other actions', () => {
  it('are told, the most harmful first, and not where what is meant answers, too', () => {
    const theirs = keymapOf([
      ['lift-stain', 'S'],
      ['undo', 'Mod+Z'],
      ['dab', 'W'],
      ['clone', 'Alt+W'],
    ]);
    const mine = keymapOf([
      ['trim', 'W'],
      ['stain-mask', 'S'],
      ['undo', 'Mod+Z'],
      ['fill', 'Alt+W'],
      ['clone', 'Alt+W'],
    ]);
    const index = buildClashIndex(facts, mine, here.place);
    const found = otherActions(index, theirs, sampleProgram.commands, pairs, here.place, usesOf);
    expect(found.map((one) => [one.theirs.id, one.mine.id, one.harm])).toEqual([
      ['dab', 'trim', 'loses work'],
      ['lift-stain', 'stain-mask', 'changes the picture'],
    ]);
  });

  it('know what loses work from what only changes the view', () => {
    const command = { id: 'x', path: ['Layer'], context: 'everywhere', kind: 'menu item' as const };
    for (const name of [
      'Delete layer',
      'Flatten picture',
      'Merge down',
      'Go back to saved',
      'Close all',
      'Crop to selection',
    ])
      expect([name, harmOf({ ...command, name })]).toEqual([name, 'loses work']);
    for (const name of ['Step in', 'Full screen', 'Rulers', 'Clear desk'])
      expect([name, harmOf({ ...command, name })]).toEqual([name, 'changes the view']);
    for (const name of ['Levels', 'Close tear', 'Trim overlap'])
      expect([name, harmOf({ ...command, name })]).toEqual([name, 'changes the picture']);
    expect(harmOf({ ...command, name: 'Delete', kind: 'tool' })).toBe('changes a tool');
    // Held or not, a value or not: what it does is what counts.
    const held = (name: string) => harmOf({ ...command, name, kind: 'held action' });
    expect([held('Slide the sheet'), held('Step in while held')]).toEqual(['changes the view', 'changes the view']);
    expect([held('Rub out while held'), held('Pick a color while held')]).toEqual(['changes a tool', 'changes a tool']);
    const value = (name: string) => harmOf({ ...command, name, kind: 'value' });
    expect([value('Brush opacity 40 %'), value('Layer opacity 40 %'), value('View at 200 %')]).toEqual([
      'changes a tool',
      'changes the picture',
      'changes the view',
    ]);
  });
});

describe('a table over several programs', () => {
  it('has every command once, and at most one of a program in a row, whatever is joined', () => {
    const programs = [0, 1, 2].map((p) =>
      sampleProgram.commands.slice(0, 6).map((one) => ({ ...one, id: `${p}${one.id}` })),
    );
    const anyPairs = fc.array(
      fc.tuple(fc.constantFrom([0, 1], [1, 2], [0, 2]), fc.nat(5), fc.nat(5)).map(([[first, second], a, b]) => ({
        first: first as number,
        second: second as number,
        pairs: [[programs[first as number]?.[a]?.id ?? '', programs[second as number]?.[b]?.id ?? ''] as const],
        likely: 0,
      })),
      { maxLength: 12 },
    );
    fc.assert(
      fc.property(anyPairs, (between) => {
        const rows = conceptTable(programs, between);
        const listed = rows.flatMap((row) => row.commands.flatMap((one) => (one ? [one.id] : [])));
        expect([...listed].sort()).toEqual(
          programs
            .flat()
            .map((one) => one.id)
            .sort(),
        );
        for (const row of rows)
          row.commands.forEach((one, p) => {
            if (one) expect(one.id.startsWith(`${p}`)).toBe(true);
          });
      }),
    );
  });

  it('joins by way of a third program', () => {
    const [a, b, c] = ['a', 'b', 'c'].map((id) => ({ ...(sampleProgram.commands[0] as never as object), id }) as never);
    const rows = conceptTable([[a], [b], [c]] as never, [
      { first: 0, second: 1, pairs: [['a', 'b']], likely: 0 },
      { first: 1, second: 2, pairs: [['b', 'c']], likely: 1 },
    ]);
    expect(rows).toHaveLength(1);
    // That the third does the same as the first follows, and is not sure by itself.
    expect(rows[0]?.likely).toEqual([2]);
    const keymap = keymapOf([
      ['a', 'F2'],
      ['b', 'F2'],
      ['c', 'F2'],
    ]);
    const columns = ['One', 'Two', 'Three'].map((head) => ({ head, keymap }));
    expect(sideBySide(columns, rows).rows[0]?.others).toEqual([`Three: ${sampleProgram.commands[0]?.name} (likely)`]);
  });
});
