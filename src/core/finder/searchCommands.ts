import { conceptsBeginning } from '../glossary/glossary';
import type { Command } from '../program/program';
import { wordsOf } from '../text/wordsOf';
import { nearWord } from './nearWord';
import type { Entry, SearchIndex } from './searchIndex';

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
  if (words.length === 0) return index.entries.map((entry) => entry.command);
  const exact = rank(index, words, scoreExactly);
  return exact.length > 0 ? exact : rank(index, words, scoreWithSlip);
}

type Score = (entry: Entry, word: string) => number;

function rank(index: SearchIndex, words: readonly string[], score: Score): Command[] {
  const whole = words.join(' ');
  const joined = words.join('');
  const meant = meaning(index, whole);
  const meantBy = words.length > 1 ? words.map((word) => meaning(index, word)) : [meant];
  const buckets: Command[][] = [];
  for (let place = 0; place < index.entries.length; place++) {
    const entry = index.entries[place] as Entry;
    let points = 0;
    if (entry.name.startsWith(whole)) points = entry.name.length === whole.length ? 100 : 80;
    else if (joined.length > 1 && entry.initials.startsWith(joined)) points = 50;
    let sum = 0;
    for (let i = 0; i < words.length; i++) {
      let one = score(entry, words[i] as string);
      if (one < 35 && meantBy[i]?.has(place)) one = 35;
      if (one === 0) {
        sum = 0;
        break;
      }
      sum += one;
    }
    if (sum > 0) points += Math.round(sum / words.length);
    if (points < 45 && meant?.has(place)) points = 45;
    if (points === 0) continue;
    const bucket = buckets[points];
    if (bucket) bucket.push(entry.command);
    else buckets[points] = [entry.command];
  }
  return buckets.reverse().flat();
}

/** The places of the commands that speak of a concept one of whose words begins with what was typed. */
function meaning(index: SearchIndex, typed: string): ReadonlySet<number> | null {
  const concepts = conceptsBeginning(typed);
  if (concepts.size === 0) return null;
  const places = new Set<number>();
  for (const concept of concepts) for (const place of index.byConcept.get(concept) ?? []) places.add(place);
  return places;
}

function scoreExactly({ spacedName, spacedPath }: Entry, word: string): number {
  const at = spacedName.indexOf(word);
  if (at >= 0) {
    if (spacedName.includes(` ${word} `)) return 70;
    if (spacedName[at - 1] === ' ' || spacedName.includes(` ${word}`)) return 60;
    return word.length > 1 ? 30 : 0;
  }
  if (!spacedPath.includes(word)) return 0;
  if (spacedPath.includes(` ${word}`)) return 20;
  return word.length > 2 ? 10 : 0;
}

function scoreWithSlip(entry: Entry, word: string): number {
  const exact = scoreExactly(entry, word);
  if (exact > 0) return exact;
  if (word.length < 3) return 0;
  if (entry.words.some((one) => nearWord(word, one))) return 8;
  return entry.pathWords.some((one) => nearWord(word, one)) ? 4 : 0;
}
