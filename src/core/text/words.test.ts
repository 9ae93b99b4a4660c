import { describe, expect, it } from 'vitest';
import { fold } from './fold';
import { remembering } from './remembering';
import { counted, listed, plainWords } from './sentence';
import { slug, slugs } from './slug';
import { wordsOf } from './wordsOf';

describe('words', () => {
  it.each([
    ['Lift Stain', 'lift stain', ['lift', 'stain']],
    ['ÉRASER  ça', 'eraser ca', ['eraser', 'ca']],
    ['Opacity 40 %', 'opacity 40 %', ['opacity', '40', '%']],
    ['Straße/ÖL', 'straße/ol', ['straße', 'ol']],
    ['…', '…', []],
    ['', '', []],
  ])('%s are compared as %s', (text, folded, words) => {
    expect([fold(text).replace(/ {2}/, ' '), wordsOf(text)]).toEqual([folded, words]);
  });

  it('are joined as people say them', () => {
    const said = (...words: string[]) => plainWords(listed(words.map((text) => [{ text }])));
    expect([said(), said('a'), said('a', 'b'), said('a', 'b', 'c')]).toEqual(['', 'a', 'a and b', 'a, b and c']);
    expect(plainWords([{ strong: 'Undo' }, { text: ' holds ' }, { keys: 'F2' }, { soft: ' (Edit)' }])).toBe(
      'Undo holds F2 (Edit)',
    );
    expect([
      counted(0, 'change'),
      counted(1, 'change'),
      counted(2, 'change'),
      counted(2, 'key is', 'keys are'),
    ]).toEqual([...['0 changes', '1 change', '2 changes', '2 keys are']]);
  });

  it('become addresses, each its own', () => {
    expect([slug('Lift Stain!'), slug('  ÉRASER  '), slug('!!!'), slug('日本 2')]).toEqual([
      'lift-stain',
      'eraser',
      'x',
      '日本-2',
    ]);
    const next = slugs(['undo']);
    expect([next('Undo', 'Edit'), next('Undo', 'Edit'), next('Undo'), next('Redo'), next('Redo')]).toEqual([
      ...['undo-edit', 'undo-edit-2', 'undo-2', 'redo', 'redo-2'],
    ]);
  });

  it('are worked out once, until there are too many', () => {
    let asked = 0;
    const long = remembering((text) => `${text}${++asked}`, 2);
    expect([long('a'), long('a'), long('b'), long('a')]).toEqual(['a1', 'a1', 'b2', 'a1']);
    // A third makes room by forgetting all.
    expect([long('c'), long('a'), long('c')]).toEqual(['c3', 'a4', 'c3']);
    let calls = 0;
    const none = remembering(() => {
      calls++;
      return undefined;
    });
    none('a');
    none('a');
    expect(calls).toBe(2);
  });
});
