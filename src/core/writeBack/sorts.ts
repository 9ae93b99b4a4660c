import { MODIFIERS, type Modifier, type Stroke } from '../chord/chord';
import type { Sort, SortName, Spelling, StrokeClass } from './spelling';

/** Where keys stand, and as what. */
export function classOf({ modifiers }: Stroke, word: string): StrokeClass {
  return modifiers.length > 0 ? 'held' : [...word].length === 1 ? 'plain' : 'named';
}

/** A modifier with the sort of key it is held with, or that key. */
export const withSort = (modifier: Modifier, key: string): string => `${modifier} ${sortOf(key, []) ?? 'named'}`;

/** The sort of a key of which all are written alike; null for a key with a name or sign of its own. */
export function sortOf(key: string, held: readonly Modifier[]): SortName | null {
  if (/^\p{L}$/u.test(key)) {
    if (held.includes('Shift')) return 'letter, with Shift';
    // Some write `^K`, and `M-k` beside it.
    return held.length === 0 ? 'letter' : held.join() === 'Alt' ? 'letter, with Alt' : 'letter, held';
  }
  if (/^\d$/u.test(key)) return 'digit';
  if (/^F\d{1,2}$/u.test(key)) return 'function key';
  return /^Numpad\d$/u.test(key) ? 'digit of the number pad' : null;
}

/** How a word writes a key of a sort; null where it does not have it in it. */
export function sortAs(word: string, key: string): Sort | null {
  const own = key.replace('Numpad', '');
  const at = word.toUpperCase().lastIndexOf(own);
  if (at < 0) return null;
  const written = word.slice(at, at + own.length);
  return {
    around: [word.slice(0, at), word.slice(at + own.length)],
    upper: written !== written.toLowerCase() || !/\p{L}/u.test(own),
  };
}

/** Modifiers in the order in which a file mostly writes two of them. */
export function inFileOrder(held: readonly Modifier[], { before }: Pick<Spelling, 'before'>): Modifier[] {
  const sooner = (a: Modifier, b: Modifier): number =>
    (before.get(`${b} ${a}`) ?? 0) - (before.get(`${a} ${b}`) ?? 0) || MODIFIERS.indexOf(a) - MODIFIERS.indexOf(b);
  return [...held].sort(sooner);
}
