import { describe, expect, it } from 'vitest';
import { fieldEdits, sameData, startingAs, wholeEdits } from './edits';

type Thing = { readonly color: string; readonly size: number; readonly parts: readonly string[] };
const thing: Thing = { color: 'gray', size: 1, parts: ['a'] };

describe('edits of some fields', () => {
  const edits = fieldEdits<Thing>();
  it('leave the others as they are', () => {
    expect(edits.apply(thing, { size: 2 })).toEqual({ ...thing, size: 2 });
    expect(edits.apply(thing, {})).toEqual(thing);
  });
  it.each<[string, Partial<Thing>, Partial<Thing>, boolean]>([
    ['another field', { size: 2 }, { color: 'red' }, false],
    ['the same field to something else', { size: 2 }, { size: 3 }, true],
    ['the same field to the same', { size: 2 }, { size: 2 }, false],
    ['a list in it, which was written anew as it was', { parts: ['b'] }, { parts: ['a'] }, false],
    ['one of two', { size: 2, color: 'red' }, { color: 'blue' }, true],
    ['nothing', { size: 2 }, {}, false],
  ])('meet what was made elsewhere of %s: %j beside %j', (_, mine, theirs, met) => {
    expect(edits.meets(mine, thing, { ...thing, ...theirs })).toBe(met);
  });
});

describe('edits of a whole', () => {
  const edits = wholeEdits<readonly string[]>();
  it('stand in its place, and meet whatever was made of it unless it is the same', () => {
    expect(edits.apply(['a'], ['b'])).toEqual(['b']);
    expect([
      edits.meets(['b'], ['a'], ['a']),
      edits.meets(['b'], ['a'], ['c']),
      edits.meets(['b'], ['a'], ['b']),
    ]).toEqual([false, true, false]);
  });
});

describe('edits of what may not be there yet', () => {
  const edits = startingAs(thing, fieldEdits<Thing>());
  it('take it for what it begins as', () => {
    expect(edits.apply(null, { size: 2 })).toEqual({ ...thing, size: 2 });
    expect(edits.apply({ ...thing, color: 'red' }, { size: 2 })?.color).toBe('red');
    expect([
      edits.meets({ size: 2 }, null, null),
      edits.meets({ size: 2 }, null, { ...thing, size: 5 }),
      edits.meets({ size: 2 }, { ...thing, size: 5 }, null),
    ]).toEqual([false, true, true]);
  });
});

it('plain data is the same where it says the same', () => {
  expect([
    sameData([1, { a: null }], [1, { a: null }]),
    sameData({ a: 1 }, { a: 2 }),
    sameData(undefined, null),
  ]).toEqual([true, false, false]);
});
