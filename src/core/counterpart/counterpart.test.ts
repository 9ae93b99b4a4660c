import { join } from 'node:path';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { askAndFind, markedListsIn, measureCounterparts } from '../../../bench/counterparts';
import { readListPair } from '../../../bench/unforeseen';
import type { Command, Kind } from '../program/program';
import { meaningsIn } from '../words/meanings';
import type { Counterpart } from './counterpart';
import { describeCandidate, describeCounterpart } from './describeCandidate';
import { findCounterparts, NO_EVIDENCE } from './findCounterparts';
import { knownPairs, type Said, saidOf, withSaid } from './knownPairs';
import { learnMenus } from './learnMenus';
import { afterLessons, type Lesson, lessonsOf } from './lessons';
import { buildVocabulary, likeness, numberReading } from './likeness';
import { meetings } from './meetings';
import type { Pair } from './pair';
import { besideIn, pullTogether } from './pullTogether';
import { questions } from './questions';
import { readCommand } from './readCommand';

const lists = markedListsIn(join(import.meta.dirname, '../../../bench/counterparts'));

const command = (name: string, menu = '', kind: Kind = 'menu item'): Command => ({
  id: `${menu}/${name}`,
  name,
  kind,
  path: menu === '' ? [] : [menu],
  context: 'everywhere',
});
const found = (left: readonly Command[], right: readonly Command[], evidence = NO_EVIDENCE) =>
  (findCounterparts(left, right, evidence) ?? []).map((one) => [one.command, one.confidence, one.counterpart] as const);
const only = (a: string, b: string) => found([command(a)], [command(b)])[0]?.[1];

describe('counterparts', () => {
  it.each(lists.map((one) => [one.name, one] as const))(
    'are right where they are sure, and mostly found: %s',
    (_, marked) => {
      for (const side of [marked.left, marked.right]) expect(side.length).toBeGreaterThanOrEqual(150);
      const said = measureCounterparts(marked);
      expect(said.sureRight).toBeGreaterThanOrEqual(0.98);
      expect(said.found).toBeGreaterThanOrEqual(0.9);
      // Being sure of little would be no help.
      expect(said.surePart).toBeGreaterThan(0.7);
    },
  );

  it('are one to one, whatever is matched, and the same the other way around', () => {
    const all = lists.flatMap((one) => [...one.left, ...one.right]);
    const some = fc
      .uniqueArray(fc.nat(all.length - 1), { maxLength: 40 })
      .map((places) => places.map((at) => ({ ...(all[at] as Command), id: `${at}` })));
    fc.assert(
      fc.property(some, some, (left, right) => {
        const given = found(left, right).flatMap(([, , other]) => other ?? []);
        expect(new Set(given).size).toBe(given.length);
        const sure = found(left, right).filter(([, how]) => how === 'sure');
        const back = new Set(found(right, left).flatMap(([a, how, b]) => (how === 'sure' ? `${b} ${a}` : [])));
        expect(sure.filter(([a, , b]) => !back.has(`${a} ${b}`))).toEqual([]);
      }),
      { numRuns: 60 },
    );
  });

  it('see through other words, word order, abbreviations and dots', () => {
    for (const [a, b] of [
      ['Zoom in', 'Step in'],
      ['Increase brush size', 'Larger tip'],
      ['Rotate 90° CW', 'Turn right a quarter'],
      ['Selection from mask', 'Mask to selection'],
      ['Duplicate layer…', 'Layer: duplicate'],
      ['B&W', 'Black and white…'],
      ['Fit on screen', 'Whole page'],
      ['Swap foreground and background', 'Exchange colors'],
    ] as const)
      expect([a, b, only(a, b)]).toEqual([a, b, 'sure']);
  });

  it('never take opposites for the same', () => {
    for (const [a, b] of [
      ['Step in', 'Step out'],
      ['Turn left', 'Turn right'],
      ['Mask from selection', 'Selection from mask'],
      ['Opacity 10 %', 'Opacity 20 %'],
      ['Larger brush', 'Smaller brush'],
      ['Lock layer', 'Unlock layer'],
      ['New layer', 'Delete layer'],
      ['Flip horizontally', 'Flip vertically'],
    ] as const)
      expect([a, b, only(a, b)]).toEqual([a, b, 'none']);
  });

  it('tell what one word leaves open by the menus', () => {
    const left = [
      command('Smooth', 'Select'),
      command('Smooth', 'Path'),
      command('Grow', 'Select'),
      command('Join', 'Path'),
    ];
    const right = [
      command('Smooth', 'Line'),
      command('Join', 'Line'),
      command('Smooth', 'Choose'),
      command('Grow', 'Choose'),
    ];
    expect(found(left, right).map(([, , other]) => other)).toEqual([
      'Choose/Smooth',
      'Line/Smooth',
      'Choose/Grow',
      'Line/Join',
    ]);
  });

  it('are helped by equal keys and never made by them, whatever keys were given', () => {
    const keys = (list: Record<string, string>) => (id: string) => (list[id] ? [list[id]] : []);
    const evidence = {
      ...NO_EVIDENCE,
      leftKeys: keys({ '/Undo': 'Mod+Z' }),
      rightKeys: keys({ '/Once more not': 'Mod+Z' }),
    };
    expect(found([command('Undo')], [command('Once more not')], evidence)).toEqual([['/Undo', 'none', null]]);
    // Two that have nothing to do with each other get the same keys: nothing is found otherwise than without.
    const sides = [lists[0]?.left ?? [], lists[0]?.right ?? []].map((list) => list.slice(0, 60)) as [
      Command[],
      Command[],
    ];
    const plain = findCounterparts(...sides) ?? [];
    const unlike = (row: number, column: number): boolean =>
      !(plain[row]?.candidates ?? []).some((one) => one.command === sides[1][column]?.id);
    fc.assert(
      fc.property(fc.nat(59), fc.nat(59), fc.constantFrom('Mod+S', 'Mod+Z', 'Alt+7'), (row, column, chord) => {
        fc.pre(unlike(row, column));
        const given = {
          ...NO_EVIDENCE,
          leftKeys: keys({ [sides[0][row]?.id ?? '']: chord }),
          rightKeys: keys({ [sides[1][column]?.id ?? '']: chord }),
        };
        const told = (all: readonly Counterpart[]) => all.map((one) => [one.confidence, one.counterpart]);
        expect(told(findCounterparts(...sides, given) ?? [])).toEqual(told(plain));
      }),
      { numRuns: 60 },
    );
  });

  it('say why, in words', () => {
    const words = (a: string, b: string) => {
      const [one] = findCounterparts([command(a)], [command(b)]) ?? [];
      return (one ? describeCounterpart(one) : []).map((span) => ('text' in span ? span.text : '')).join('');
    };
    expect(words('Levels…', 'Levels')).toBe('same name');
    expect(words('Zoom in', 'Step in')).toBe('both mean “step in”');
    expect(words('Undo', 'Grid')).toBe('none found');
    const [one] = findCounterparts([command('Hand over layers')], [command('Hand over')]) ?? [];
    const candidate = one?.candidates[0];
    expect(candidate && describeCandidate(candidate).map((span) => ('text' in span ? span.text : ''))[0]).toMatch(
      /^name \d+ % alike$|^both/,
    );
  });

  it('stop when told to', () => {
    const [{ left, right }] = lists as [(typeof lists)[number]];
    expect(findCounterparts(left, right, NO_EVIDENCE, () => false)).toBeNull();
  });
});

describe('lists written without sight of the lexicon', () => {
  it.each([
    ['rough', 0.92, 0.97],
    ['fourth', 0.85, 0.85],
  ] as const)('are matched: %s', (name, found, afterwards) => {
    const pair = readListPair(join(import.meta.dirname, '../../../bench/unforeseen', name));
    const said = measureCounterparts(pair);
    expect(said.sureRight).toBeGreaterThanOrEqual(0.99);
    expect(said.found).toBeGreaterThanOrEqual(found);
    const after = measureCounterparts(pair, askAndFind(pair, 12));
    expect(after.sureRight).toBeGreaterThanOrEqual(0.99);
    expect(after.found).toBeGreaterThanOrEqual(Math.max(afterwards, said.found));
  });
});

describe('what stands beside a command', () => {
  it('is what comes before and after it in its menu, and its opposite there', () => {
    const list = ['Zoom in', 'Zoom out', 'Undo'].map((name) => command(name, 'Look'));
    expect(besideIn([...list, command('Redo', 'Edit')])).toEqual([
      [-1, 1, 1],
      [0, 2, 0],
      [1, -1, -1],
      [-1, -1, -1],
    ]);
  });

  it('pulls a pair up where it is a pair itself, and never down', () => {
    const pair = (row: number, column: number, figure: number): Pair => {
      return { row, column, figure, same: false, opposed: false, keys: null, tie: 0, strange: 0 };
    };
    const pairs = [pair(0, 0, 0.9), pair(1, 1, 0.5), pair(1, 2, 0.52)];
    const before = Float64Array.from(pairs, (one) => one.figure);
    const here = besideIn(['Zoom in', 'Zoom out'].map((name) => command(name, 'Look')));
    const there = besideIn(['Step in', 'Step out', 'Frame'].map((name) => command(name, 'View')));
    pullTogether(pairs, before, Int32Array.of(0, 2), [here, there]);
    expect(pairs[1]?.figure).toBeGreaterThan(pairs[2]?.figure ?? 1);
    pairs.forEach((one, i) => {
      expect(one.figure).toBeGreaterThanOrEqual(before[i] ?? 1);
    });
    // What is unlikely itself speaks for nobody.
    pairs.forEach((one, i) => {
      one.figure = i === 0 ? 0.4 : (before[i] as number);
    });
    pullTogether(
      pairs,
      Float64Array.from(before, (figure, i) => (i === 0 ? 0.4 : figure)),
      Int32Array.of(0, 2),
      [here, there],
    );
    expect(pairs[1]?.figure).toBe(0.5);
  });
});

describe('what is said of a pair', () => {
  it('teaches what its names differ in, ways and numbers never', () => {
    const lessons = (...pairs: [string, string][]) => lessonsOf(pairs.map(([a, b]) => [command(a), command(b)]));
    expect(lessons(['Frobnicate layer', 'Duplicate layer'])).toEqual([['copy.double', '~frobnic']]);
    expect(lessons(['Frobnicate layer', 'Zonk layer'])).toEqual([['~frobnic', '~zonk']]);
    expect(lessons(['Layer up', 'Layer down'], ['Turn 90', 'Turn 45'], ['Save', 'Save'])).toEqual([]);
    expect(lessons(['Frobnicate', 'Duplicate layer'])).toEqual([]);
  });

  it('finds others by the same word, here and in other programs', () => {
    const left = ['Frobnicate layer', 'Frobnicate mask', 'Frobnicate guide'].map((name) => command(name));
    const right = ['Duplicate layer', 'Duplicate mask', 'Duplicate guide'].map((name) => command(name));
    const all = (lessons: readonly Lesson[]) =>
      found(left, right, { ...NO_EVIDENCE, lessons }).map(([, confidence]) => confidence);
    expect(all([])).not.toContain('sure');
    expect(all(lessonsOf([[left[0] as Command, right[0] as Command]]))).toEqual(['sure', 'sure', 'sure']);
    expect(afterLessons([['~a', '~b']])(['~b', 'layer'])).toEqual(['~a', 'layer']);
  });

  it('is asked where it teaches most, of the likeliest candidates, and not again when skipped', () => {
    const left = ['Frobnicate layer', 'Frobnicate mask', 'Frobnicate guide', 'Merge shown lines', 'Undo'];
    const right = ['Duplicate layer', 'Duplicate mask', 'Duplicate guide', 'Merge lines', 'Undo'];
    const [here, there] = [left, right].map((list) => list.map((name) => command(name))) as [Command[], Command[]];
    const asked = questions(findCounterparts(here, there) ?? [], here, there);
    expect(asked[0]?.command).toMatch(/Frobnicate/);
    expect(asked[0]?.teaches).toBe(2);
    expect(asked.map((one) => one.command)).not.toContain('/Undo');
    expect(asked.every((one) => one.candidates.length > 0 && one.candidates.length <= 3)).toBe(true);
    const skipped = new Set([asked[0]?.command ?? '']);
    expect(questions(findCounterparts(here, there) ?? [], here, there, skipped)).toHaveLength(asked.length - 1);
  });
});

describe('what is worth comparing', () => {
  it('leaves out nothing that is as much alike as is kept, and likeness is the same from both sides', () => {
    const all = lists.flatMap((one) => [...one.left, ...one.right]);
    const some = fc.uniqueArray(fc.nat(all.length - 1), { minLength: 5, maxLength: 40 });
    let [alike, leftOut] = [0, 0];
    fc.assert(
      fc.property(some, some, (lefts, rights) => {
        const read = (places: readonly number[]) => places.map((at) => readCommand(all[at] as Command));
        const [left, right] = [read(lefts), read(rights)];
        const vocabulary = buildVocabulary([...left, ...right]);
        const rows = left.map((one) => numberReading(vocabulary, one));
        const columns = right.map((one) => numberReading(vocabulary, one));
        const near = meetings(columns, vocabulary);
        for (const row of rows) {
          const met = new Set(near(row));
          columns.forEach((column, c) => {
            const like = likeness(vocabulary, row, column);
            const back = likeness(vocabulary, column, row);
            expect(like.figure).toBeCloseTo(back.figure, 10);
            if (!met.has(c)) leftOut++;
            // Names alone; what the menus and kinds make of them comes later.
            if (like.name < 0.37) return;
            alike++;
            expect([row.reading.plain, column.reading.plain, met.has(c)]).toContain(true);
          });
        }
      }),
      { numRuns: 40 },
    );
    expect([alike > 40, leftOut > 1000]).toEqual([true, true]);
  });

  it('raises pairs in menus that belong together, lowers them in menus that have theirs elsewhere', () => {
    const menu = (name: string, count: number) => Array.from({ length: count }, (_, i) => command(`Thing ${i}`, name));
    const [left, right] = [
      [...menu('Repair', 4), ...menu('Look', 4)],
      [...menu('Mend', 4), ...menu('View', 4)],
    ];
    const pair = (row: number, column: number, figure: number): Pair => ({
      row,
      column,
      figure,
      same: false,
      opposed: false,
      keys: null,
      tie: 0,
      strange: 0,
    });
    const plain = [0, 1, 2, 4, 5, 6].map((i) => pair(i, i, 0.9));
    const [within, across] = [pair(3, 3, 0.5), pair(3, 7, 0.5)];
    learnMenus([...plain, within, across], left, right);
    expect(within.figure).toBeGreaterThan(0.5);
    expect(within.tie).toBeGreaterThan(0.5);
    expect(across.figure).toBeLessThan(0.5);
    expect(across.strange).toBe(2);
  });
});

describe('what was said of counterparts', () => {
  const a = (id: string) => ({ program: 'a', command: id, other: 'b' });

  it('stands, both ways, and what was denied is not proposed again', () => {
    const said: Said[] = [
      { ...a('Undo'), counterpart: 'Grid' },
      { ...a('Levels'), counterpart: null },
    ];
    const left = ['Undo', 'Levels', 'Curves'].map((name) => ({ ...command(name), id: name }));
    const right = ['Grid', 'Undo', 'Levels', 'Curves'].map((name) => ({ ...command(name), id: name }));
    const evidence = (from: string, to: string) => ({ ...NO_EVIDENCE, ...knownPairs(said, from, to, (one) => one) });
    expect(found(left, right, evidence('a', 'b'))).toEqual([
      ['Undo', 'sure', 'Grid'],
      ['Levels', 'none', null],
      ['Curves', 'sure', 'Curves'],
    ]);
    expect(found(right, left, evidence('b', 'a'))).toEqual([
      ['Grid', 'sure', 'Undo'],
      ['Undo', 'none', null],
      ['Levels', 'none', null],
      ['Curves', 'sure', 'Curves'],
    ]);
  });

  it('goes by way of a third program, but never against what was said of the two', () => {
    const third: Said[] = [
      { program: 'a', command: 'x', other: 'c', counterpart: 'z' },
      { program: 'b', command: 'y', other: 'c', counterpart: 'z' },
    ];
    const known = (said: readonly Said[]) => [...knownPairs(said, 'a', 'b', () => 'Third').known];
    expect(known(third)).toEqual([['x', { counterpart: 'y', through: 'Third' }]]);
    expect(known([...third, { ...a('x'), counterpart: null }])).toEqual([['x', { counterpart: null, through: null }]]);
    expect(known([...third, { ...a('w'), counterpart: 'y' }])).toEqual([['w', { counterpart: 'y', through: null }]]);
  });

  it('is replaced by what is said later of either of the two, whichever way it is said', () => {
    const one = withSaid([], a('x'), 'y');
    expect(withSaid(one, a('x'), 'w')).toEqual([{ ...a('x'), counterpart: 'w' }]);
    expect(withSaid(one, { program: 'b', command: 'y', other: 'a' }, null)).toEqual([
      { program: 'b', command: 'y', other: 'a', counterpart: null },
    ]);
    expect(withSaid(one, a('v'), 'y')).toEqual([{ ...a('v'), counterpart: 'y' }]);
    expect(withSaid(one, a('x'), undefined)).toEqual([]);
  });
});

describe('the reading of names', () => {
  it('finds meanings as written first, in any form of a word else', () => {
    expect(meaningsIn('Merged copies')).toEqual(['join=merge', 'copy']);
    expect(meaningsIn('Opacity 90 %')).toEqual(['opacity', '#90']);
    expect(meaningsIn('Turn half')).toContain('#180');
    expect(meaningsIn('')).toEqual([]);
  });
});

describe('what was said of a command', () => {
  it('is found from either side, and none of what was forgotten', () => {
    const here = { program: 'a', command: 'lift', other: 'b' };
    const there = { program: 'b', command: 'raise', other: 'a' };
    const said = withSaid([], here, 'raise');
    expect([saidOf(said, here), saidOf(said, there)]).toEqual(['raise', 'lift']);
    expect(saidOf(said, { ...here, other: 'c' })).toBeUndefined();
    expect(saidOf(withSaid(said, here, null), here)).toBeNull();
    expect(saidOf(withSaid(said, here, undefined), here)).toBeUndefined();
  });
});
