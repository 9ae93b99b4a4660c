import { fold } from '../text/fold';
import data from './glossary.json';

/** A thing that programs of this trade do, and the words people use for it; our own list. */
export type Concept = { readonly id: string; readonly words: readonly string[] };

export const CONCEPTS: readonly Concept[] = data.concepts;
/** Concepts that come in pairs, such as in and out; the first usually stands first. */
export const PARTNERS = data.partners as unknown as readonly (readonly [string, string])[];

/** The numbers of the concepts that each phrase belongs to, by its folded words. */
const BY_PHRASE = new Map<string, number[]>();
CONCEPTS.forEach((concept, number) => {
  for (const phrase of concept.words) {
    const key = phraseKey(phrase);
    const list = BY_PHRASE.get(key);
    if (!list) BY_PHRASE.set(key, [number]);
    else if (!list.includes(number)) list.push(number);
  }
});
const PHRASES = [...BY_PHRASE].sort(([a], [b]) => (a < b ? -1 : 1));
const NONE: readonly number[] = [];
const LONGEST = Math.max(...PHRASES.map(([phrase]) => phrase.split(' ').length));

function phraseKey(phrase: string): string {
  return (fold(phrase).match(/[\p{L}\p{N}%]+/gu) ?? []).join(' ');
}

/** The numbers of the concepts of which a row of folded words is a whole phrase, a plural taken for its singular. */
export function conceptsNamed(words: readonly string[]): readonly number[] {
  const phrase = words.join(' ');
  return BY_PHRASE.get(phrase) ?? (phrase.endsWith('s') ? (BY_PHRASE.get(phrase.slice(0, -1)) ?? NONE) : NONE);
}

/** The numbers of the concepts whose phrases stand in a row of folded words, a plural taken for its singular. */
export function conceptsOf(words: readonly string[]): number[] {
  const found = new Set<number>();
  for (let from = 0; from < words.length; from++) {
    let phrase = '';
    for (let to = from; to < words.length && to - from < LONGEST; to++) {
      phrase = to === from ? (words[to] as string) : `${phrase} ${words[to]}`;
      for (const one of BY_PHRASE.get(phrase) ?? NONE) found.add(one);
      if (phrase.endsWith('s')) for (const one of BY_PHRASE.get(phrase.slice(0, -1)) ?? NONE) found.add(one);
    }
  }
  return [...found];
}

/** The numbers of the concepts that have a phrase beginning with what was typed; nothing for less than three letters. */
export function conceptsBeginning(typed: string): ReadonlySet<number> {
  const found = new Set<number>();
  if (typed.length < 3) return found;
  // The phrases are in order, so those with one beginning stand together.
  let low = 0;
  let high = PHRASES.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((PHRASES[middle]?.[0] ?? '') < typed) low = middle + 1;
    else high = middle;
  }
  for (let i = low; PHRASES[i]?.[0].startsWith(typed); i++) for (const one of PHRASES[i]?.[1] ?? []) found.add(one);
  return found;
}
