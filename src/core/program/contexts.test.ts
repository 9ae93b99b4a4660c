import { describe, expect, it } from 'vitest';
import { contextsAround, contextsOverlap, outsideTree } from './contextsOverlap';
import { type Context, DEFAULT_RULES, FORMS, type Rules } from './program';
import { actsOnlyHeld, takenAs } from './takenAs';

const at = (id: string, parent: string | null): Context => ({ id, name: id, parent });
const tree = [at('everywhere', null), at('canvas', 'everywhere'), at('text', 'canvas'), at('list', 'everywhere')];

describe('places where keys are listened for', () => {
  it('are around those that lie in them, however deep', () => {
    const around = contextsAround(tree);
    expect(tree.map(({ id }) => [id, [...(around.get(id) ?? [])]])).toEqual([
      ['everywhere', []],
      ['canvas', ['everywhere']],
      ['text', ['canvas', 'everywhere']],
      ['list', ['everywhere']],
    ]);
  });
  it('hear the same press where one contains the other', () => {
    const overlap = contextsOverlap(tree);
    for (const [a, b, both] of [
      ['text', 'text', true],
      ['text', 'everywhere', true],
      ['everywhere', 'text', true],
      ['text', 'list', false],
      ['list', 'canvas', false],
      ['gone', 'list', false],
      ['gone', 'gone', true],
    ] as const)
      expect([a, b, overlap(a, b)]).toEqual([a, b, both]);
  });
  it('that lie in each other are heard nowhere, are told, and hang nobody', () => {
    const loop = [...tree, at('a', 'b'), at('b', 'a'), at('c', 'a'), at('self', 'self'), at('lost', 'nowhere')];
    expect(outsideTree(loop).map((one) => one.id)).toEqual(['a', 'b', 'c', 'self', 'lost']);
    expect([...(contextsAround(loop).get('a') ?? [])]).toEqual(['b', 'a']);
    expect([outsideTree(tree), outsideTree([at('a', 'b'), at('b', 'a')]).length]).toEqual([[], 2]);
    expect(contextsOverlap(loop)('a', 'c')).toBe(true);
  });
});

describe('keys as a command takes them', () => {
  const loose: Rules = { ...DEFAULT_RULES, forms: { ...DEFAULT_RULES.forms, 'held action': FORMS } };
  it.each([
    ['Z', 'held action', DEFAULT_RULES, 'hold:Z'],
    ['Mod+Shift+Z', 'held action', DEFAULT_RULES, 'hold:Mod+Shift+Z'],
    ['hold:Space', 'held action', DEFAULT_RULES, 'hold:Space'],
    ['Mod+K Z', 'held action', DEFAULT_RULES, 'Mod+K Z'],
    ['Z', 'held action', loose, 'Z'],
    ['Z', 'tool', DEFAULT_RULES, 'Z'],
  ] as const)('%s for a %s', (chord, kind, rules, taken) => {
    expect(takenAs(chord, { kind }, rules)).toBe(taken);
  });
  it('are never taken as held where nothing may be had at all', () => {
    expect(actsOnlyHeld({ kind: 'held action' }, { forms: { ...DEFAULT_RULES.forms, 'held action': [] } })).toBe(false);
  });
});
