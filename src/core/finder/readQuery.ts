import type { Kind } from '../program/program';
import { axisOf, isFiller, type Meaning, rootOf, spansOf, together } from '../words/meanings';
import { purposesIn } from '../words/purposes';
import { splitName } from '../words/splitName';

/** A part of what was typed that is looked for by itself. */
export type Part = {
  readonly words: readonly string[];
  readonly meanings: readonly Meaning[];
  /** How much it counts, from 0 to 1, before it is known how many commands say it. */
  readonly counts: number;
  /** Whether it only says which way, or on and off. */
  readonly way: boolean;
  /** Whether it says where the command lives. */
  readonly place: boolean;
};
/** One way to understand what was typed. */
export type Reading = { readonly parts: readonly Part[]; readonly trust: number };
export type Query = {
  readonly words: readonly string[];
  readonly readings: readonly Reading[];
  /** Kinds of commands that were named besides what they do. */
  readonly kinds: ReadonlySet<Kind>;
};

/** Words that turn something on or off: what they are said of is its switch, whichever way its name says. */
export const SWITCHES: ReadonlySet<Meaning> = new Set([
  'vis=show',
  'vis=hide',
  'lock=on',
  'lock=off',
  'link=on',
  'link=off',
  'clip=on',
  'clip=off',
  'stop',
  'quit',
  'off',
]);
const PLACES: ReadonlySet<string> = new Set('in under inside within from at on of'.split(' '));
const KIND_WORDS: ReadonlyMap<string, Kind> = new Map([
  ['tool', 'tool'],
  ['tools', 'tool'],
  ['panel', 'panel'],
  ['panels', 'panel'],
  ['script', 'script'],
  ['slider', 'value'],
  ['while', 'held action'],
  ['held', 'held action'],
  ['holding', 'held action'],
  ['pressing', 'held action'],
  ['temporarily', 'held action'],
  ['temporary', 'held action'],
]);
/** The axes that only say which way; others say what is done. */
const WAYS: ReadonlySet<string> = new Set(['up', 'vis', 'lock', 'link', 'clip', 'lr', 'hv', 'end', 'io', 'order']);
/** Words that may well say that something is to be switched off. */
const OFF: ReadonlySet<string> = new Set('remove close no without end exit leave quit stop disable'.split(' '));
/** Words that people put around what they want. */
const LITTLE: ReadonlySet<string> = new Set(
  'bring send go turn move start work try find old other others another'.split(' '),
);
const MOST_PURPOSES = 8;
/** What nearly everything in such a program is about counts for little. */
const OF_EVERYTHING: ReadonlySet<Meaning> = new Set(['picture', 'view']);
const COUNTS = { word: 1, way: 0.5, little: 0.35, beside: 0.12 } as const;

/** Words that stand apart are taken together where names have them so: "line art" for "lineart". */
function joinedWhereKnown(words: readonly string[], isWord: (word: string) => boolean): readonly string[] {
  const joined: string[] = [];
  for (let i = 0; i < words.length; i++) {
    const [one = '', next] = [words[i], words[i + 1]];
    const together = next !== undefined && !isWord(one) && !isWord(next) && isWord(one + next);
    joined.push(together ? one + next : one);
    if (together) i++;
  }
  return joined;
}

/**
 * Reads what was typed into the finder: word by word, and by what it may be for.
 * @param isWord whether a word stands in some name.
 */
export function readQuery(typed: string, isWord: (word: string) => boolean): Query {
  const words = joinedWhereKnown(splitName(typed), isWord);
  let place = false;
  const parts: Part[] = [];
  for (const { words: own, meanings } of spansOf(words)) {
    if (meanings.length === 0) {
      place = own.some((word) => PLACES.has(word)) && parts.length > 0;
      continue;
    }
    if (own.length === 1 && OFF.has(own[0] as string) && words.length > 1) {
      parts.push({ words: own, meanings: [...meanings, 'off'], counts: COUNTS.way, way: true, place });
      continue;
    }
    const way = meanings.every((one) => WAYS.has(axisOf(one) ?? '') || SWITCHES.has(one) || one === 'go');
    const little =
      own.length === 1 && (LITTLE.has(own[0] as string) || (KIND_WORDS.has(own[0] as string) && words.length > 1));
    const everything = little || meanings.every((one) => OF_EVERYTHING.has(rootOf(one)));
    const counts = way ? COUNTS.way : everything ? COUNTS.little : COUNTS.word;
    parts.push({ words: own, meanings, counts, way, place });
  }
  // Where all is filler, the fillers are what was meant.
  if (parts.length === 0)
    for (const word of words) parts.push({ words: [word], meanings: [], counts: 1, way: false, place: false });
  const kinds = new Set(parts.length > 0 ? words.flatMap((word) => KIND_WORDS.get(word) ?? []) : []);
  const readings: Reading[] = [{ parts, trust: 1 }];
  const meanings = [...new Set(parts.flatMap((part) => part.meanings))];
  const whole = together(meanings);
  if (whole.length !== meanings.length || whole.some((one) => !meanings.includes(one)))
    readings.push({ parts: [{ words: [], meanings: whole, counts: 1, way: false, place: false }], trust: 0.97 });
  const purposes = [...purposesIn(words)].sort((a, b) => b.weight - a.weight).slice(0, MOST_PURPOSES);
  const most = Math.max(0, ...purposes.map((one) => one.weight));
  for (const { meanings, said, weight } of purposes) {
    const rest = parts.filter((part) => part.words.some((word) => !said.has(word) && !isFiller(word)));
    readings.push({
      parts: [
        { words: [], meanings, counts: 1, way: false, place: false },
        ...rest.map((part) => ({ ...part, counts: part.counts * COUNTS.beside })),
      ],
      trust: 0.95 - 0.08 * Math.min(2, most - weight),
    });
  }
  return { words, readings, kinds };
}
