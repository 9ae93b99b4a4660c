import { stemmer } from 'stemmer';
import { fold } from '../text/fold';
import { remembering } from '../text/remembering';
import data from './lexicon.json';

/**
 * A meaning that words have in names of commands: `layer`; `picture.page`, which is a picture in particular; or one pole
 * of an axis, such as `up=down`, which rules its other poles out; a number as `#90`; a word nobody explained as `~word`.
 */
export type Meaning = string;

type Entry = { readonly words: readonly string[]; readonly meanings: readonly Meaning[] };
/** Phrases by their first word, the longest first. */
type Phrases = ReadonlyMap<string, readonly Entry[]>;

const FILLERS: ReadonlySet<string> = new Set(data.fillers);
const AS_WRITTEN = phrasesBy((word) => word);
/** For words in another form than the lexicon has them. */
const BY_STEM = phrasesBy(stemOf);

function phrasesBy(form: (word: string) => string): Phrases {
  const phrases = new Map<string, Entry[]>();
  for (const [meanings, texts] of Object.entries(data.words)) {
    for (const text of texts as readonly string[]) {
      const words = splitName(text).map(form);
      const entry = { words, meanings: meanings.split(' ') };
      const list = phrases.get(words[0] ?? '');
      if (list) list.push(entry);
      else phrases.set(words[0] ?? '', [entry]);
    }
  }
  for (const list of phrases.values()) list.sort((a, b) => b.words.length - a.words.length);
  return phrases;
}

/** The longest phrase of the lexicon that begins at a word. */
function phraseAt(phrases: Phrases, words: readonly string[], at: number): Entry | undefined {
  for (const one of phrases.get(words[at] as string) ?? []) {
    let k = 1;
    while (k < one.words.length && one.words[k] === words[at + k]) k++;
    if (k >= one.words.length) return one;
  }
  return undefined;
}

/** The stem of a folded word, by M. F. Porter, An algorithm for suffix stripping, Program 14 (1980). */
export function stemOf(word: string): string {
  return /^\p{L}+$/u.test(word) ? stemmer(word) : word;
}

/** The folded words of a name as matching sees them: joined words taken apart, a percent sign kept with its number. */
export function splitName(name: string): string[] {
  const apart = name.replace(/(\p{Ll})(\p{Lu})/gu, '$1 $2').replace(/\bB\s*[&/]\s*W\b/g, 'black and white');
  return fold(apart).match(/\d+(?:[.,]\d+)?|\p{L}+/gu) ?? [];
}

/** The form in which a word is looked up; names use few words over and over, so it is remembered. */
const formOf = remembering((word) => known(stemOf(word), word));

/** A word nobody explained that says who does something, such as cropper, is taken for what is done. */
function known(stem: string, word: string): string {
  const does = word.slice(0, -2);
  if (!/(?:er|or)$/.test(word) || !/^\p{L}{3,}$/u.test(does) || BY_STEM.has(stem)) return stem;
  const doubled = does.length > 4 && does.at(-1) === does.at(-2);
  const root = doubled ? does.slice(0, -1) : does;
  return [root, `${root}e`].map(stemOf).find((one) => BY_STEM.has(one)) ?? stem;
}

/** The words of a name in the form in which they are looked up: equal for names that differ in nothing that matters. */
export const plainName = (name: string): string => splitName(name).map(formOf).join(' ');

/** Things that one can be made from another of, so that the way matters. */
const MADE: ReadonlySet<Meaning> = new Set([
  'selection',
  'mask',
  'line.path',
  'text',
  'layer',
  'object.shape',
  'color',
]);
const NUMBERS: ReadonlyMap<string, Meaning> = new Map([
  ['quarter', '#90'],
  ['half', '#180'],
]);

/** What a name or a step of a path says: its meanings, each once, in the order of the words. */
export function meaningsIn(name: string): Meaning[] {
  const words = splitName(name);
  const stems = words.map(formOf);
  const found = new Set<Meaning>();
  const made: Meaning[] = [];
  let from = false;
  const add = (meaning: Meaning): void => {
    found.add(meaning);
    if (!MADE.has(meaning)) return;
    if (from) found.add(`src=${meaning}`);
    made.push(meaning);
  };
  for (let at = 0; at < stems.length; ) {
    const stem = stems[at] as string;
    const written = AS_WRITTEN.has(words[at] as string) ? phraseAt(AS_WRITTEN, words, at) : undefined;
    const stemmed = BY_STEM.has(stem) ? phraseAt(BY_STEM, stems, at) : undefined;
    const entry = (stemmed?.words.length ?? 0) > (written?.words.length ?? 0) ? stemmed : written;
    if (entry) {
      for (const meaning of entry.meanings) add(meaning);
      at += entry.words.length;
      continue;
    }
    if (stem === 'from') from = true;
    else if ((words[at] === 'to' || words[at] === 'as') && made.length > 0)
      for (const meaning of made) found.add(`src=${meaning}`);
    else if (NUMBERS.has(words[at] as string)) found.add(NUMBERS.get(words[at] as string) as Meaning);
    else if (/^\d/.test(stem)) found.add(`#${Number(stem.replace(',', '.'))}`);
    else if (words[at] !== 'to' && !FILLERS.has(words[at] as string)) found.add(`~${stem}`);
    at++;
  }
  return [...found];
}

/** The axis of a pole; null for what has no opposite. */
export function axisOf(meaning: Meaning): string | null {
  if (meaning.startsWith('#')) return '#';
  const cut = meaning.indexOf('=');
  return cut < 0 ? null : meaning.slice(0, cut);
}

/** What a meaning is in general: `picture` of `picture.page`. */
export function rootOf(meaning: Meaning): Meaning {
  const cut = meaning.indexOf('.');
  return cut < 0 || meaning.startsWith('#') ? meaning : meaning.slice(0, cut);
}
