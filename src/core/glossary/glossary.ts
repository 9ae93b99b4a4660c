import { firstFrom } from '../text/firstFrom';
import { wordsOf } from '../text/wordsOf';
import { stemOf } from '../words/wordForm';
import data from './glossary.json';

/** A thing that programs of this trade do, and the words people use for it; our own list. */
export type Concept = { readonly id: string; readonly words: readonly string[] };

export const CONCEPTS: readonly Concept[] = data.concepts;
/** Concepts that come in pairs, such as in and out; the first usually stands first. */
export const PARTNERS = data.partners as unknown as readonly (readonly [string, string])[];

/** The numbers of the concepts that each phrase belongs to, by its folded words, and by their stems. */
const BY_PHRASE = new Map<string, number[]>();
const BY_STEMS = new Map<string, number[]>();
CONCEPTS.forEach((concept, number) => {
  for (const phrase of concept.words) {
    const words = wordsOf(phrase);
    note(BY_PHRASE, words.join(' '), number);
    // Steps are a history, a step is none.
    if (!words.some((word) => word.endsWith('s'))) note(BY_STEMS, words.map(stemOf).join(' '), number);
  }
});
const PHRASES = [...BY_PHRASE].sort(([a], [b]) => (a < b ? -1 : 1));
const NONE: readonly number[] = [];
const LONGEST = Math.max(...PHRASES.map(([phrase]) => phrase.split(' ').length));

function note(lists: Map<string, number[]>, key: string, number: number): void {
  const list = lists.get(key);
  if (!list) lists.set(key, [number]);
  else if (!list.includes(number)) list.push(number);
}

/** The numbers of the concepts of which a row of folded words is a whole phrase, in whatever form. */
export const conceptsNamed = (words: readonly string[]): readonly number[] =>
  BY_PHRASE.get(words.join(' ')) ?? BY_STEMS.get(words.map(stemOf).join(' ')) ?? NONE;

/** The numbers of the concepts whose phrases stand in a row of folded words, in whatever form. */
export function conceptsOf(words: readonly string[]): number[] {
  const found = new Set<number>();
  for (let from = 0; from < words.length; from++) {
    for (let to = from + 1; to <= words.length && to - from <= LONGEST; to++)
      for (const one of conceptsNamed(words.slice(from, to))) found.add(one);
  }
  return [...found];
}

/** The numbers of the concepts that have a phrase beginning with what was typed; nothing for less than three letters. */
export function conceptsBeginning(typed: string): ReadonlySet<number> {
  const found = new Set<number>();
  if (typed.length < 3) return found;
  // The phrases are in order, so those with one beginning stand together.
  for (let i = firstFrom(PHRASES, typed); PHRASES[i]?.[0].startsWith(typed); i++)
    for (const one of PHRASES[i]?.[1] ?? []) found.add(one);
  return found;
}
