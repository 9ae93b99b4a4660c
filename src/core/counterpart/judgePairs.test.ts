import { describe, expect, it } from 'vitest';
import type { Command, Kind } from '../program/program';
import { judgePairs } from './judgePairs';
import type { Likeness } from './likeness';
import type { Pair } from './pair';

const command = (name: string, kind: Kind = 'menu item'): Command => ({
  id: name,
  name,
  kind,
  path: [],
  context: 'everywhere',
});
const pair = (row: number, column: number, figure: number, more: Partial<Pair> = {}): Pair => ({
  row,
  column,
  figure,
  same: false,
  opposed: false,
  keys: null,
  tie: 0,
  strange: 0,
  ...more,
});
const LEFT = ['Lift stain', 'Grow'].map((name) => command(name));
const RIGHT = ['Take stain away', 'Widen', 'Larger'].map((name) => command(name));
/** What is said of the first row, given the pairs and the column it was assigned. */
const judged = (
  pairs: readonly Pair[],
  column = 0,
  left: readonly Command[] = LEFT,
  right: readonly Command[] = RIGHT,
) => {
  const of = (row: number, at: number): Likeness =>
    ({ figure: pairs.find((one) => one.row === row && one.column === at)?.figure ?? 0 }) as Likeness;
  return judgePairs(left, right, pairs, Int32Array.from([column, -1]), of)[0];
};

describe('judging a pair', () => {
  it.each<readonly [what: string, said: string, pairs: readonly Pair[]]>([
    ['very like, nobody near', 'sure', [pair(0, 0, 0.82)]],
    ['not like enough', 'check', [pair(0, 0, 0.78)]],
    ['another that comes near in its row', 'check', [pair(0, 0, 0.9), pair(0, 1, 0.85)]],
    ['another far behind in its row', 'sure', [pair(0, 0, 0.9), pair(0, 1, 0.8)]],
    ['another that comes near in its column', 'check', [pair(0, 0, 0.9), pair(1, 0, 0.88)]],
    ['they say opposite things', 'check', [pair(0, 0, 0.95, { opposed: true })]],
    ['one name, a rival near of another name', 'sure', [pair(0, 0, 0.9, { same: true }), pair(0, 1, 0.88)]],
    ['the keys that every program has for it', 'sure', [pair(0, 0, 0.6, { keys: 'convention' })]],
    ['those keys, but a rival near', 'check', [pair(0, 0, 0.6, { keys: 'convention' }), pair(0, 1, 0.55)]],
    ['menus that say otherwise', 'check', [pair(0, 0, 0.86, { strange: 1 })]],
    ['menus that say otherwise, but very like', 'sure', [pair(0, 0, 0.9, { strange: 1 })]],
  ])('%s: %s', (_, said, pairs) => {
    expect(judged(pairs)).toMatchObject({ confidence: said, counterpart: 'Take stain away' });
  });

  it('makes less of a rival that has a better pair of its own', () => {
    const pairs = [pair(0, 0, 0.9), pair(1, 0, 0.86), pair(1, 1, 0.99)];
    const of = () => ({}) as Likeness;
    const [taken] = judgePairs(LEFT, RIGHT, pairs, Int32Array.from([0, 1]), of);
    expect(taken?.confidence).toBe('sure');
    // Were it free, it would come near.
    expect(judged(pairs)?.confidence).toBe('check');
  });

  it('is never sure across kinds that don’t fit, or of one word where menus say otherwise', () => {
    const tool = [command('Lift stain', 'tool'), ...LEFT.slice(1)];
    expect(judged([pair(0, 0, 0.99)], 0, tool)?.confidence).toBe('check');
    const words = [
      [command('Grow'), ...LEFT.slice(1)],
      [command('Grow'), ...RIGHT.slice(1)],
    ] as const;
    const strange = pair(0, 0, 0.99, { same: true, strange: 1 });
    expect(judged([strange], 0, ...words)?.confidence).toBe('check');
    expect(judged([{ ...strange, strange: 0 }], 0, ...words)?.confidence).toBe('sure');
  });

  it('has none where none was given, and proposes the likeliest, the given one first, five at most', () => {
    const many = Array.from({ length: 7 }, (_, i) => command(`Name ${i}`));
    const pairs = many.map((_, i) => pair(0, i, 0.5 + i / 20));
    expect(judged(pairs, -1, LEFT, many)).toMatchObject({ confidence: 'none', counterpart: null });
    expect(judged(pairs, 2, LEFT, many)?.candidates.map((one) => one.command)).toEqual(
      [2, 6, 5, 4, 3].map((i) => `Name ${i}`),
    );
    // What is too faint to be proposed is no rival either, but in menus that belong together.
    expect(judged([pair(0, 0, 0.45)], 0)).toMatchObject({ confidence: 'none', candidates: [] });
    expect(judged([pair(0, 0, 0.45, { tie: 1 })], 0)).toMatchObject({ confidence: 'check' });
  });
});
