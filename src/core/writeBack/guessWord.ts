import { isPrinted } from '../chord/keyNames';
import { bareWord, KEY_FAMILIES } from './keyWords';
import type { Spelling } from './spelling';

export type Case = 'lower' | 'Title' | 'UPPER';
/** How a word is written. */
export const caseOf = (word: string): Case => {
  const [first = '', ...rest] = word.match(/\p{L}/gu) ?? [];
  if (first === first.toLowerCase()) return 'lower';
  return rest.length > 0 && rest.every((one) => one === one.toUpperCase()) ? 'UPPER' : 'Title';
};
/** A word written so. */
export const inCase = (word: string, how: Case): string =>
  how === 'lower'
    ? word.toLowerCase()
    : how === 'UPPER'
      ? word.toUpperCase()
      : word.replace(/(?<=^|[_\s-])\p{Ll}/gu, (one) => one.toUpperCase());

/** The case most words of a file are written in. */
export function wordCase({ keys, modifiers }: Spelling): Case {
  const words = [...keys.values(), ...modifiers.values()].filter((word) => /\p{L}{2}/u.test(word));
  const counts: Record<Case, number> = { lower: 0, Title: 0, UPPER: 0 };
  for (const word of words) counts[caseOf(word)]++;
  return counts.lower > 0 && counts.lower >= counts.Title && counts.lower >= counts.UPPER
    ? 'lower'
    : counts.UPPER > counts.Title
      ? 'UPPER'
      : 'Title';
}

/** Modifiers in brackets by themselves are of a toolkit that calls keys as the X keyboard does. */
export const isToolkit = ({ modifiers }: Spelling): boolean =>
  [...modifiers.values()].some((word) => /^<.*>$/u.test(word));

/** The word of the family that most words of the file belong to, in the case of these and joined as they are. */
export function guessWord(spelling: Spelling, key: string): string | null {
  const known = [...spelling.keys].filter(([, word]) => [...word].length > 1);
  const own = isPrinted(key);
  const signs = [...spelling.keys].filter(
    ([one, word]) => isPrinted(one) && (word === one || (one === 'Plus' && word === '+')),
  ).length;
  const named = known.filter(([one]) => isPrinted(one)).length;
  const itself = key === 'Plus' ? '+' : key;
  if (own && signs > named) return itself;
  const first = isToolkit(spelling) ? KEY_FAMILIES.find((one) => one.name === 'names of the X keyboard') : undefined;
  let [best, most]: [(typeof KEY_FAMILIES)[number] | null, number] = [first ?? null, 0];
  for (const family of KEY_FAMILIES) {
    if (!family.words.has(key)) continue;
    const alike = known.reduce((sum, [one, word]) => {
      const theirs = family.words.get(one);
      if (theirs === undefined || bareWord(theirs) !== bareWord(word)) return sum;
      // A word that is written just so tells more.
      return sum + 1 + (theirs === word ? 0.1 : 0);
    }, 0);
    if (alike > most) [best, most] = [family, alike];
  }
  // People write signs as themselves, toolkits by their names.
  if (own && !best?.exact) return itself;
  const word = best?.words.get(key) ?? KEY_FAMILIES[0]?.words.get(key);
  if (word === undefined) return own ? itself : null;
  const theirs = known.flatMap(([one, other]): [string, string][] => {
    const named = best?.words.get(one);
    return named !== undefined && bareWord(named) === bareWord(other) ? [[named, other]] : [];
  });
  // A toolkit's names are written just so, unless one in the file is not.
  const exact = best?.exact && theirs.every(([named, other]) => named === other);
  return exact ? word : inCase(jointed(word, spelling), wordCase(spelling));
}

/** A word of several parts, joined as the file joins those of others. */
function jointed(word: string, { keys }: Spelling): string {
  const joint = [...keys.values()].flatMap((one) => /\p{L}{2}([\s_-])\p{L}/u.exec(one)?.[1] ?? [])[0];
  return word.replaceAll('_', joint ?? '');
}
