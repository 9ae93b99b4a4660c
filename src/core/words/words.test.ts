import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { abbreviates } from './abbreviates';
import lexicon from './lexicon.json';
import { formOf, isFiller, meaningsIn, plainName, spansOf, together } from './meanings';
import { purposesIn } from './purposes';
import rules from './rules.json';
import { slips, slipsAllowed } from './slips';
import { splitName } from './splitName';
import { thesaurus } from './thesaurus';
import { american, stemOf } from './wordForm';

const same = (a: string, b: string) =>
  expect([...meaningsIn(a)].sort(), `${a} = ${b}`).toEqual([...meaningsIn(b)].sort());

describe('words', () => {
  it.each([
    ['Convert to b&w…', 'convert to black and white'],
    ['View 1:1', 'view one to one'],
    ['Ratio 11:1', 'ratio 11 1'],
    ['Brush size +', 'brush size plus'],
    ['Ctrl+S', 'ctrl s'],
    ['Levels & curves', 'levels and curves'],
    ['fullScreen', 'full screen'],
    ['Opacity 40 %', 'opacity 40'],
    ['Turn 1,5°', 'turn 1,5'],
    ['…', ''],
  ])('of %s are %s', (name, words) => {
    expect(splitName(name).join(' ')).toBe(words);
  });

  it('are one word in all their forms and spellings', () => {
    for (const forms of [
      ['blur', 'blurs', 'blurred', 'blurring'],
      ['color', 'colour', 'colours', 'coloring'],
      ['center', 'centre', 'centred', 'centring'],
      ['pixelize', 'pixelise', 'pixelising'],
      ['label', 'labelled', 'labelling', 'labeled'],
      ['gray', 'grey'],
      ['hide', 'hid', 'hidden', 'hiding'],
      ['draw', 'drawn', 'drew'],
    ])
      expect(new Set(forms.map(stemOf)).size, forms.join()).toBe(1);
    for (const word of ['noise', 'raise', 'precise', 'clockwise', 'filling', 'rolled', 'scale', 'our', 'fire'])
      expect(american(word), word).toBe(word);
    expect([formOf('smearer'), formOf('eraser')]).toEqual([formOf('smear'), formOf('erase')]);
  });

  it('mean the same in other forms, with articles, and in other words for the same thing', () => {
    for (const [a, b] of [
      ['Take the color out', 'Gray'],
      ['Merge all layers', 'Flatten'],
      ['Collapse the layers', 'Flatten'],
      ['Greater magnification', 'Zoom in'],
      ['Hide every panel', 'Hide panels'],
      ['Exchange foreground and background color', 'Swap colors'],
      ['Remove grain', 'Reduce noise'],
      ['Trim to the selection', 'Crop to selection'],
      ['Save under a new name', 'Save as'],
      ['Repeat the previous filter', 'Again'],
    ] as const)
      same(a, b);
    expect(meaningsIn('Quantum')).toEqual(['~quantum']);
    expect(plainName('Layers…')).toBe(plainName('layer'));
    expect(meaningsIn('the of a')).toEqual([]);
  });

  it('are told apart into the longest phrases that are known, and nothing is lost', () => {
    expect(spansOf(splitName('Make the color balance larger')).map((one) => one.words.join(' '))).toEqual([
      'make',
      'color balance',
      'larger',
    ]);
    const known = Object.values(lexicon.words).flat();
    fc.assert(
      fc.property(fc.array(fc.constantFrom(...known, 'wobbly', 'the', 'x'), { maxLength: 5 }), (texts) => {
        const words = splitName(texts.join(' '));
        const articles = new Set('a an the this that these those my your its'.split(' '));
        expect(spansOf(words).flatMap((one) => one.words)).toEqual(words.filter((word) => !articles.has(word)));
      }),
    );
  });

  it('make something together by rules that end, each of meanings that words have', () => {
    expect(together(['join=merge', 'layer', 'all=all'])).toEqual(['flatten']);
    expect(together(['zoom', 'up=up', 'brush'])).toEqual(['zoom', 'io=in', 'brush']);
    expect(together(['zoom'])).toEqual(['zoom']);
    const meant = new Set(Object.keys(lexicon.words).flatMap((one) => one.split(' ')));
    const unknown = (rules as [string, string][])
      .flatMap(([of, make]) => [...of.split(' '), ...make.split(' ')])
      .filter((one) => !meant.has(one) && !/^[#~]/.test(one));
    expect(unknown).toEqual([]);
  });

  it('are each listed under one meaning, none of them empty or a filler alone', () => {
    const all = Object.values(lexicon.words).flat();
    expect(all.filter((one, i) => all.indexOf(one) !== i)).toEqual([]);
    expect(all.filter((one) => splitName(one).length === 0)).toEqual([]);
    expect(new Set(lexicon.fillers).size).toBe(lexicon.fillers.length);
  });
});

describe('what is typed for a word', () => {
  it('may have slips, one from three letters on, two from eight, in any beginning of the word', () => {
    for (const [typed, word, many] of [
      ['glaze', 'glaze', 0],
      ['gla', 'glaze', 0],
      ['glaez', 'glaze', 1],
      ['glze', 'glaze', 1],
      ['glazee', 'glaze', 1],
      ['glqze', 'glaze', 1],
      ['gealz', 'glaze', 2],
      ['treshhold', 'threshold', 2],
      ['brush', 'glaze', 3],
    ] as const)
      expect(slips(typed, word, 2), typed).toBe(many);
    expect([slipsAllowed('ab'), slipsAllowed('abc'), slipsAllowed('abcdefg'), slipsAllowed('abcdefgh')]).toEqual([
      0, 1, 1, 2,
    ]);
    fc.assert(
      fc.property(fc.stringMatching(/^[a-z]{1,12}$/), fc.stringMatching(/^[a-z]{1,12}$/), (typed, word) => {
        expect(slips(word, word, 2)).toBe(0);
        // It never takes more slips to reach the word than its letters.
        expect(slips(typed, word, 20)).toBeLessThanOrEqual(typed.length);
      }),
    );
  });

  it('may be its first letters and consonants', () => {
    for (const [letters, word] of [
      ['lyr', 'layer'],
      ['brsh', 'brush'],
      ['cntr', 'contrast'],
      ['bg', 'background'],
    ] as const)
      expect([letters, abbreviates(letters, word)]).toEqual([letters, word !== 'background']);
    for (const [letters, word] of [
      ['lay', 'layer'],
      ['l', 'layer'],
      ['yr', 'layer'],
      ['lr', 'lasso'],
      ['layers', 'layer'],
    ] as const)
      expect(abbreviates(letters, word), letters).toBe(false);
  });
});

describe('what words are for', () => {
  const means = (text: string) => purposesIn(splitName(text)).map((one) => one.meanings.join(' '));
  it('is read off a sentence, whatever else it says and in whatever order', () => {
    expect(means('my horizon is a bit crooked')).toContain('straighten');
    expect(means('crooked again, that horizon')).toContain('straighten');
    expect(means('the horizon')).toEqual([]);
    expect(means('get rid of the specks on my scan')).toContain('dust');
    expect(means('write a letter to the bank')).not.toContain('straighten');
    const [found] = purposesIn(splitName('a crooked horizon'));
    expect([...(found?.said ?? [])].sort()).toEqual(['crooked', 'horizon']);
  });
});

describe('a word that the lexicon does not have', () => {
  it('stands near what WordNet says, as its forms do, the nearer the more it means the same', () => {
    const near = (word: string) => thesaurus(word).map((one) => one.meanings.join(' '));
    expect(near('wallpaper')).toContain('picture.canvas');
    expect(near('wallpapers')).toEqual(near('wallpaper'));
    expect(near('zzzz')).toEqual([]);
    for (const { figure, meanings } of thesaurus('darkness')) {
      expect(figure).toBeGreaterThanOrEqual(0.48);
      expect(figure).toBeLessThanOrEqual(1);
      expect(meanings.length).toBeGreaterThan(0);
    }
    expect(isFiller('the')).toBe(true);
  });
});
