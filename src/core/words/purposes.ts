import { isFiller, type Meaning } from './meanings';
import data from './purposes.json';
import { stemOf } from './wordForm';

/** What a person may want, in words of their own, and what does it: of each word one of several will do. */
type Purpose = { readonly words: readonly ReadonlySet<string>[]; readonly meanings: readonly Meaning[] };
/** A purpose found in a text: what does it, and the words that said so. */
export type PurposeFound = {
  readonly meanings: readonly Meaning[];
  readonly said: ReadonlySet<string>;
  /** How many words said so, fillers counting less. */
  readonly weight: number;
};

const PURPOSES: readonly Purpose[] = Object.entries(data as Readonly<Record<string, readonly string[]>>).flatMap(
  ([meanings, phrases]) =>
    phrases.map((phrase) => ({
      words: phrase.split(' ').map((word) => new Set(word.split('/').map(stemOf))),
      meanings: meanings.split(' '),
    })),
);
/** Purposes by what may stand for their first word. */
const BY_STEM = new Map<string, Purpose[]>();
for (const purpose of PURPOSES)
  for (const stem of purpose.words[0] ?? []) BY_STEM.set(stem, [...(BY_STEM.get(stem) ?? []), purpose]);

/** The purposes of which all words stand in a text, in whatever order, each by a word of its own. */
export function purposesIn(words: readonly string[]): readonly PurposeFound[] {
  const stems = words.map(stemOf);
  const found: PurposeFound[] = [];
  for (const purpose of new Set(stems.flatMap((stem) => BY_STEM.get(stem) ?? []))) {
    const at = placesOf(purpose, stems);
    if (!at) continue;
    const said = new Set(at.map((place) => words[place] as string));
    const weight = [...said].reduce((sum, word) => sum + (isFiller(word) ? 0.3 : 1), 0);
    found.push({ meanings: purpose.meanings, said, weight });
  }
  return found;
}

/** Where the words of a purpose stand, each at a place of its own; null where one is missing. */
function placesOf({ words }: Purpose, stems: readonly string[]): readonly number[] | null {
  const taken: number[] = [];
  for (const any of words) {
    const at = stems.findIndex((stem, i) => any.has(stem) && !taken.includes(i));
    if (at < 0) return null;
    taken.push(at);
  }
  return taken;
}
