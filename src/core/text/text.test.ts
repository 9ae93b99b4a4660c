import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cutText } from './cutText';
import { distinct } from './distinct';
import { entryOf } from './entryOf';
import { oddCharacter, withoutOdd } from './oddCharacter';
import { slug, slugs } from './slug';
import { trimEnd } from './trimEnd';

describe('text', () => {
  it('is cut at whole characters, and addresses are', () => {
    expect(cutText('a😀b', 2)).toBe('a');
    expect(cutText('a😀b', 3)).toBe('a😀');
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme' }), fc.nat(40), (text, most) => {
        const cut = cutText(text, most);
        expect(text.startsWith(cut)).toBe(true);
        expect(cut.length).toBeLessThanOrEqual(most);
        expect(cut.length).toBeGreaterThanOrEqual(Math.min(text.length, most) - 1);
        expect(oddCharacter(cut)).toBe(oddCharacter(text) === null ? null : oddCharacter(cut));
      }),
    );
    const letters = `a${'𝒜'.repeat(40)}`;
    expect(oddCharacter(slug(letters))).toBeNull();
    expect(slug(letters).length).toBeLessThanOrEqual(60);
    expect(slugs([slug(letters)])(letters)).toBe(`${slug(letters)}-2`);
  });

  it('tells characters that nobody can see, and does without them', () => {
    const ODD = ['\u0000', '\u001b', '\u007f', '\u200b', '\u202e', '\u2066', '\ufeff', '\ud83d', '\ude00', '\u00ad'];
    for (const odd of ODD) {
      expect(oddCharacter(`Lift${odd}stain`)).toMatch(/^U\+[0-9A-F]{4}$/);
      expect(withoutOdd(`Lift${odd}${odd}stain`)).toBe('Liftstain');
    }
    for (const plain of ['Café, 😀, नि, می‌خواهم, 👩‍🎨', 'two\nlines\tand a tab\r\n', '']) {
      expect(oddCharacter(plain)).toBeNull();
      expect(withoutOdd(plain)).toBe(plain);
    }
    fc.assert(fc.property(fc.string({ unit: 'binary' }), (text) => oddCharacter(withoutOdd(text)) === null));
  });

  it('as names that stand beside each other is made distinct, whatever they are', () => {
    expect(distinct(['Mine', 'Mine', 'Mine (2)', 'Yours', 'Mine'])).toEqual([
      'Mine',
      'Mine (2)',
      'Mine (2) (2)',
      'Yours',
      'Mine (3)',
    ]);
    fc.assert(
      fc.property(fc.array(fc.constantFrom('a', 'a (2)', 'b')), (names) => {
        const made = distinct(names);
        expect(new Set(made).size).toBe(names.length);
        expect(made.every((one, i) => one.startsWith(names[i] ?? ''))).toBe(true);
      }),
    );
  });

  it('loses at its end only what is asked, and finds in an object only what is its own', () => {
    expect([trimEnd('a**b**', '*'), trimEnd('***', '*'), trimEnd('a', '')]).toEqual(['a**b', '', 'a']);
    expect([entryOf({ a: 1 }, 'a'), entryOf({ a: 1 }, 'constructor'), entryOf({}, '__proto__')]).toEqual([
      1,
      undefined,
      undefined,
    ]);
  });
});
