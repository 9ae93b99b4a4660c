import { remembering } from '../text/remembering';
import data from './lexicon.json';
import rules from './rules.json';
import { splitName } from './splitName';
import { stemOf } from './wordForm';

/**
 * A meaning that words have in names of commands: `layer`; `picture.page`, which is a picture in particular; or one pole
 * of an axis, such as `up=down`, which rules its other poles out; a number as `#90`; a word nobody explained as `~word`.
 */
export type Meaning = string;

type Entry = { readonly words: readonly string[]; readonly meanings: readonly Meaning[] };
/** Phrases by their first word, the longest first. */
type Phrases = ReadonlyMap<string, readonly Entry[]>;

const FILLERS: ReadonlySet<string> = new Set(data.fillers);
const FILLER_STEMS: ReadonlySet<string> = new Set(data.fillers.filter((one) => one.length > 3).map(stemOf));
/** Whether a word carries nothing, in whatever form. */
export const isFiller = (word: string): boolean => FILLERS.has(word) || FILLER_STEMS.has(stemOf(word));
/** Words that may stand anywhere in a phrase and change nothing. */
const ARTICLES: ReadonlySet<string> = new Set('a an the this that these those my your its'.split(' '));

const AS_WRITTEN = phrasesBy((word) => word);
/** For words in another form than the lexicon has them. */
const BY_STEM = phrasesBy(stemOf);

function phrasesBy(form: (word: string) => string): Phrases {
  const phrases = new Map<string, Entry[]>();
  for (const [meanings, texts] of Object.entries(data.words)) {
    for (const text of texts as readonly string[]) {
      const words = splitName(text)
        .filter((word) => !ARTICLES.has(word))
        .map(form);
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

/** The form in which a word is looked up; names use few words over and over, so it is remembered. */
export const formOf = remembering((word) => known(stemOf(word), word));

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

/** A run of words, and what it means; a filler means nothing. */
export type Span = { readonly words: readonly string[]; readonly meanings: readonly Meaning[] };

/** Words told apart into the longest phrases that the lexicon has, the rest one by one; articles stand in none of them. */
export function spansOf(all: readonly string[]): Span[] {
  const words = all.filter((word) => !ARTICLES.has(word));
  const stems = words.map(formOf);
  const spans: Span[] = [];
  for (let at = 0; at < stems.length; ) {
    const written = AS_WRITTEN.has(words[at] as string) ? phraseAt(AS_WRITTEN, words, at) : undefined;
    const stemmed = BY_STEM.has(stems[at] as string) ? phraseAt(BY_STEM, stems, at) : undefined;
    const entry = (stemmed?.words.length ?? 0) > (written?.words.length ?? 0) ? stemmed : written;
    const to = at + (entry?.words.length ?? 1);
    spans.push({
      words: words.slice(at, to),
      meanings: entry?.meanings ?? aloneMeans(words[at] as string, stems[at] as string),
    });
    at = to;
  }
  return spans;
}

/** What a word means that the lexicon doesn't have: a number, nothing, or only itself. */
function aloneMeans(word: string, stem: string): readonly Meaning[] {
  const number = NUMBERS.get(word);
  if (number) return [number];
  if (/^\d/.test(stem)) return [`#${Number(stem.replace(',', '.'))}`];
  return word === 'to' || word === 'from' || isFiller(word) ? [] : [`~${stem}`];
}

/** What a name or a step of a path says: its meanings, each once, in the order of the words. */
export function meaningsIn(name: string): Meaning[] {
  const found = new Set<Meaning>();
  const made: Meaning[] = [];
  let from = false;
  for (const { words, meanings } of spansOf(splitName(name))) {
    const alone = words.length === 1 ? words[0] : '';
    if (meanings.length === 0 && alone === 'from') from = true;
    else if (meanings.length === 0 && (alone === 'to' || alone === 'as'))
      for (const meaning of made) found.add(`src=${meaning}`);
    for (const meaning of meanings) {
      found.add(meaning);
      if (!MADE.has(meaning)) continue;
      if (from) found.add(`src=${meaning}`);
      made.push(meaning);
    }
  }
  return together([...found]);
}

/** What several meanings make together, such as all layers merged: a flat picture. The rules that take most come first. */
const RULES = (rules as [string, string][])
  .map(([of, make]) => ({ of: of.split(' '), make: make.split(' ') }))
  .sort((a, b) => b.of.length - a.of.length);

/** Meanings with those that make something together replaced by it. */
export function together(meanings: readonly Meaning[]): Meaning[] {
  const rule = RULES.find(({ of }) => of.every((one) => meanings.includes(one)));
  if (!rule) return [...meanings];
  return [...new Set([...rule.make, ...meanings.filter((one) => !rule.of.includes(one))])];
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
