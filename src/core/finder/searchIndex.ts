import { conceptsOf } from '../glossary/glossary';
import type { Command } from '../program/program';
import { wordsOf } from '../text/wordsOf';
import { formOf, isFiller, type Meaning, meaningsIn, rootOf } from '../words/meanings';
import { splitName } from '../words/splitName';

/** Places in the list of commands. */
export type Places = readonly number[];
/** The words of a text as it is looked up. */
export type Spoken = {
  readonly words: ReadonlySet<string>;
  readonly forms: ReadonlySet<string>;
  readonly meanings: ReadonlySet<Meaning>;
  readonly roots: ReadonlySet<Meaning>;
};
/** A command as the finder sees it. */
export type Entry = {
  readonly command: Command;
  /** The words of its name, folded, one space between. */
  readonly name: string;
  readonly initials: string;
  /** How many words of its name carry something. */
  readonly says: number;
  /** The number of its path in `paths`. */
  readonly path: number;
};
export type SearchIndex = {
  readonly entries: readonly Entry[];
  /** All words of names in order, so that those with one beginning stand together, and where each stands. */
  readonly words: readonly (readonly [word: string, places: Places])[];
  readonly byForm: ReadonlyMap<string, Places>;
  readonly byMeaning: ReadonlyMap<Meaning, Places>;
  readonly byRoot: ReadonlyMap<Meaning, Places>;
  /** The commands whose name speaks of a concept of the glossary. */
  readonly byConcept: ReadonlyMap<number, Places>;
  readonly paths: readonly Spoken[];
  readonly byPath: readonly Places[];
};

/** Prepares commands for search; the order given is kept among equals. */
export function buildSearchIndex(commands: readonly Command[]): SearchIndex {
  const byWord = new Map<string, number[]>();
  const byForm = new Map<string, number[]>();
  const byMeaning = new Map<Meaning, number[]>();
  const byRoot = new Map<Meaning, number[]>();
  const byConcept = new Map<number, number[]>();
  const pathNumbers = new Map<string, number>();
  const paths: Spoken[] = [];
  const byPath: number[][] = [];
  const entries = commands.map((command, place): Entry => {
    const plain = wordsOf(command.name);
    const words = splitName(command.name);
    for (const word of new Set([...plain, ...words, ...joined(words)])) put(byWord, word, place);
    for (const form of new Set(words.map(formOf))) put(byForm, form, place);
    const meanings = meaningsIn(command.name);
    for (const meaning of meanings) put(byMeaning, meaning, place);
    for (const root of new Set(meanings.map(rootOf))) put(byRoot, root, place);
    for (const concept of conceptsOf(plain)) put(byConcept, concept, place);
    const key = command.path.join('\n');
    let path = pathNumbers.get(key);
    if (path === undefined) {
      path = paths.length;
      pathNumbers.set(key, path);
      paths.push(spokenIn(command.path));
      byPath.push([]);
    }
    byPath[path]?.push(place);
    return {
      command,
      name: plain.join(' '),
      initials: plain.map((word) => word[0]).join(''),
      says: Math.max(1, words.filter((word) => !isFiller(word)).length),
      path,
    };
  });
  const words = [...byWord].sort(([a], [b]) => (a < b ? -1 : 1));
  return { entries, words, byForm, byMeaning, byRoot, byConcept, paths, byPath };
}

/** Neighboring words in one: people write compounds apart and together. */
const joined = (words: readonly string[]): string[] => words.slice(1).map((word, i) => `${words[i]}${word}`);

function spokenIn(steps: readonly string[]): Spoken {
  const words = steps.flatMap((step) => [...wordsOf(step), ...splitName(step)]);
  const meanings = steps.flatMap(meaningsIn);
  return {
    words: new Set(words),
    forms: new Set(words.map(formOf)),
    meanings: new Set(meanings),
    roots: new Set(meanings.map(rootOf)),
  };
}

function put<K>(lists: Map<K, number[]>, key: K, place: number): void {
  const list = lists.get(key);
  if (!list) lists.set(key, [place]);
  else if (list.at(-1) !== place) list.push(place);
}
