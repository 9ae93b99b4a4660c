import type { Chord } from './chord';
import { knownSpellings } from './keyNames';
import { MODIFIER_WORDS } from './modifierWords';
import { type Dialect, parseChord } from './parseChord';

/**
 * The chord that a text which could not be read was probably meant to be: the part not understood replaced by the known
 * word for a key or a modifier that is fewest slips away (optimal string alignment distance: letters wrong, missing,
 * too many or swapped). Null when nothing is near, or the text was read anyway.
 */
export function nearestReading(text: string, dialect: Dialect = 'windows'): Chord | null {
  let now = text;
  // Two parts may be misspelled: each round mends one.
  for (let round = 0; round < 2; round++) {
    const read = parseChord(now, dialect);
    if (read.ok) return round === 0 ? null : read.chord;
    // Signs at the end are no part of a word: `Ctl+Shfit+S` breaks off at `Shfit+S`.
    const word = /^[^+\s]+/u.exec(read.part)?.[0] ?? read.part;
    const nearWord = nearestWord(word.toLowerCase());
    const near = nearWord ?? (word === read.part ? null : nearestWord(read.part.toLowerCase()));
    if (near === null) return null;
    const wrong = nearWord === null ? read.part : word;
    const at = now.lastIndexOf(wrong);
    if (at < 0) return null;
    now = now.slice(0, at) + near + now.slice(at + wrong.length);
  }
  const read = parseChord(now, dialect);
  return read.ok ? read.chord : null;
}

/** Known words by their length, each with the set of its letters as bits, so that most are passed over at a glance. */
let words: ReadonlyMap<number, readonly (readonly [word: string, letters: number])[]> | null = null;

function knownWords(): NonNullable<typeof words> {
  if (words) return words;
  const byLength = new Map<number, [string, number][]>();
  for (const word of new Set([...Object.keys(MODIFIER_WORDS), ...knownSpellings()])) {
    if (word.length < 2 || word.length > LONGEST) continue;
    const list = byLength.get(word.length);
    if (list) list.push([word, lettersOf(word)]);
    else byLength.set(word.length, [[word, lettersOf(word)]]);
  }
  words = byLength;
  return words;
}
const LONGEST = 18;

function lettersOf(word: string): number {
  let bits = 0;
  for (let i = 0; i < word.length; i++) bits |= 1 << (word.charCodeAt(i) % 32);
  return bits;
}

function bitsIn(bits: number): number {
  let left = bits;
  let count = 0;
  for (; left !== 0; left &= left - 1) count++;
  return count;
}

function nearestWord(typed: string): string | null {
  if (typed.length < 2 || typed.length > LONGEST) return null;
  const letters = lettersOf(typed);
  let best: string | null = null;
  let least = Math.min(2, Math.floor(typed.length / 2)) + 1;
  for (const longer of [0, 1, -1, 2, -2]) {
    for (const [word, others] of knownWords().get(typed.length + longer) ?? []) {
      // Each slip changes at most two letters of the set.
      if (bitsIn(letters ^ others) > 2 * (least - 1)) continue;
      const slips = distance(typed, word, least);
      if (slips < least) [best, least] = [word, slips];
    }
  }
  return best;
}

/** Optimal string alignment distance, given up once it reaches `limit`. */
function distance(a: string, b: string, limit: number): number {
  let older: number[] = [];
  let last = Array.from({ length: b.length + 1 }, (_, j) => j);
  for (let i = 1; i <= a.length; i++) {
    const row = [i];
    let least = i;
    for (let j = 1; j <= b.length; j++) {
      const same = a[i - 1] === b[j - 1] ? 0 : 1;
      let cost = Math.min((last[j] ?? 0) + 1, (row[j - 1] ?? 0) + 1, (last[j - 1] ?? 0) + same);
      if (i > 1 && j > 1 && a[i - 1] === b[j - 2] && a[i - 2] === b[j - 1])
        cost = Math.min(cost, (older[j - 2] ?? 0) + 1);
      row.push(cost);
      least = Math.min(least, cost);
    }
    if (least >= limit) return limit;
    [older, last] = [last, row];
  }
  return last[b.length] ?? limit;
}
