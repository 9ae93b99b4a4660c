import { type Meaning, spansOf } from './meanings';
import { stemOf } from './wordForm';
import data from './wordNet.json';

/** What a word that the lexicon doesn't have may mean, and how near that is, from 0 to 1. */
type Near = { readonly meanings: readonly Meaning[]; readonly figure: number };

let read: ReadonlyMap<string, readonly (readonly [anchor: string, figure: number])[]> | null = null;

/** The words by their stems, read when first asked for. */
function readAll(): NonNullable<typeof read> {
  const anchors = data.anchors.split(' ');
  const all = new Map<string, (readonly [string, number])[]>();
  for (const row of data.near.split('\n')) {
    const [word = '', ...near] = row.split(' ');
    const stem = stemOf(word);
    const list = all.get(stem) ?? [];
    for (const one of near) {
      const [anchor, figure] = one.split(':');
      list.push([anchors[Number(anchor)] as string, Number(figure) / 100]);
    }
    all.set(stem, list);
  }
  return all;
}

/** Looks a word up among those that stand near a word of our lexicon, as WordNet has them (scripts/wordNet.mjs). */
export const thesaurus = (word: string): readonly Near[] => {
  read ??= readAll();
  return (read.get(stemOf(word)) ?? NONE_NEAR).map(([anchor, figure]) => ({
    meanings: spansOf([anchor]).flatMap((one) => one.meanings),
    figure,
  }));
};
const NONE_NEAR: readonly (readonly [string, number])[] = [];
