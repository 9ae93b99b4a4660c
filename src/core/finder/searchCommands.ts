import { conceptsBeginning } from '../glossary/glossary';
import type { Command } from '../program/program';
import { nearWord } from './nearWord';
import { type SearchIndex, wordsOf } from './searchIndex';

/**
 * The commands a query finds, best first; equals keep the program's own order. An empty query finds all.
 *
 * Every word of the query must be found in the name or the path. A name that is the query comes before one that begins
 * with it, then names whose words begin with the query's words, initials ("ls" for Lift stain), other words of the trade
 * for the same thing ("blur" for Soften), parts of words, and the path. Only when nothing fits at all are words with one
 * slip of the finger let in.
 */
export function searchCommands(index: SearchIndex, query: string): Command[] {
  const words = wordsOf(query);
  if (words.length === 0) return index.map((entry) => entry.command);
  const exact = rank(index, words, scoreExactly);
  return exact.length > 0 ? exact : rank(index, words, scoreWithSlip);
}

type Entry = SearchIndex[number];
type Score = (entry: Entry, word: string) => number;

function rank(index: SearchIndex, words: readonly string[], score: Score): Command[] {
  const whole = words.join(' ');
  const joined = words.join('');
  const meant = conceptsBeginning(whole);
  const meantBy = words.length > 1 ? words.map(conceptsBeginning) : [meant];
  const buckets: Command[][] = [];
  for (const entry of index) {
    let points = 0;
    if (entry.name === whole) points = 100;
    else if (entry.name.startsWith(whole)) points = 80;
    else if (entry.initials.startsWith(joined) && joined.length > 1) points = 50;
    let sum = 0;
    for (let i = 0; i < words.length; i++) {
      const one = Math.max(score(entry, words[i] as string), hasConcept(entry, meantBy[i]) ? 35 : 0);
      if (one === 0) {
        sum = 0;
        break;
      }
      sum += one;
    }
    if (sum > 0) points += Math.round(sum / words.length);
    if (points < 45 && hasConcept(entry, meant)) points = 45;
    if (points === 0) continue;
    const bucket = buckets[points];
    if (bucket) bucket.push(entry.command);
    else buckets[points] = [entry.command];
  }
  return buckets.reverse().flat();
}

function hasConcept({ concepts }: Entry, meant: ReadonlySet<number> | undefined): boolean {
  return meant !== undefined && meant.size > 0 && concepts.some((one) => meant.has(one));
}

function scoreExactly({ name, words, path, pathWords }: Entry, word: string): number {
  if (name.includes(word)) {
    if (words.includes(word)) return 70;
    if (words.some((one) => one.startsWith(word))) return 60;
    return word.length > 1 ? 30 : 0;
  }
  if (!path.includes(word)) return 0;
  if (pathWords.some((one) => one.startsWith(word))) return 20;
  return word.length > 2 ? 10 : 0;
}

function scoreWithSlip(entry: Entry, word: string): number {
  const exact = scoreExactly(entry, word);
  if (exact > 0) return exact;
  if (word.length < 3) return 0;
  if (entry.words.some((one) => nearWord(word, one))) return 8;
  return entry.pathWords.some((one) => nearWord(word, one)) ? 4 : 0;
}
