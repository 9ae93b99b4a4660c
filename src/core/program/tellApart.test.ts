import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { tellApart } from './tellApart';

describe('programs told apart', () => {
  it.each([
    [['a', 'Inkwell', '3'], ['b', 'Outline', '1'], 'Inkwell', 'Outline'],
    [['a', 'Inkwell', '3'], ['b', 'Inkwell', '4'], 'Inkwell 3', 'Inkwell 4'],
    [['a', 'Inkwell', '3'], ['a-2', 'Inkwell', '3'], 'Inkwell 3 (a)', 'Inkwell 3 (a-2)'],
    [['a', 'Inkwell', ''], ['b', 'Inkwell', ''], 'Inkwell (a)', 'Inkwell (b)'],
  ] as const)('%j and %j are %s and %s', (one, other, first, second) => {
    const called = tellApart([one, other].map(([slug, name, version]) => ({ slug, name, version })));
    expect([...called.values()]).toEqual([first, second]);
  });

  it('are never called the same', () => {
    const word = fc.constantFrom('Ink', 'Ink 1', 'Ink 1 (b)', '', '1');
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.constantFrom('a', 'b', 'c', 'd')),
        fc.array(fc.tuple(word, word)),
        (slugs, rest) => {
          const programs = slugs.map((slug, i) => {
            const [name, version] = rest[i] ?? ['Ink', '1'];
            return { slug, name: name || 'Ink', version };
          });
          const called = [...tellApart(programs).values()];
          expect(new Set(called).size).toBe(programs.length);
        },
      ),
    );
  });
});
