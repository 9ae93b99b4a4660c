import type { Modifier } from '../chord/chord';
import { caseOf, guessWord, inCase, isToolkit, wordCase } from './guessWord';
import { sortOf, withSort } from './sorts';
import type { Said, Sort, SortName, SpelledWord, Spelling } from './spelling';

/** The words for modifiers that go together, in the order of MODIFIERS. */
const MODIFIER_FAMILIES: readonly Readonly<Partial<Record<Modifier, string>>>[] = [
  { Mod: 'ctrl', Alt: 'alt', Shift: 'shift', Meta: 'super' },
  { Mod: 'control', Alt: 'alt', Shift: 'shift', Meta: 'super' },
  { Mod: 'primary', Alt: 'alt', Shift: 'shift', Meta: 'super' },
  { Mod: 'cmd', Ctrl: 'ctrl', Alt: 'alt', Shift: 'shift' },
  { Mod: 'command', Ctrl: 'control', Alt: 'option', Shift: 'shift' },
  { Mod: 'C', Alt: 'M', Shift: 'S', Meta: 's' },
  { Mod: 'strg', Alt: 'alt', Shift: 'umschalt', Meta: 'win' },
  { Mod: 'ctrl', Alt: 'alt', Shift: 'maj', Meta: 'win' },
  { Mod: 'ctrl', Alt: 'alt', Shift: 'mayús', Meta: 'win' },
  { Mod: '⌘', Ctrl: '⌃', Alt: '⌥', Shift: '⇧' },
  { Mod: '@', Ctrl: '^', Alt: '~', Shift: '$' },
];

/** The word for a modifier: as a person said, as the file has it with such keys, else of the family of its others. */
export function modifierWord(
  { modifiers, modifiersWith, joint }: Spelling,
  modifier: Modifier,
  key: string | null,
  said: Said,
): SpelledWord | null {
  const own = key === null ? undefined : modifiersWith.get(withSort(modifier, key));
  const told = said[modifier] ?? own ?? modifiers.get(modifier);
  if (told !== undefined) return { what: modifier, word: told, guessed: false };
  const [known] = modifiers.values();
  const bare = (word: string): string => word.replace(/^[<\\]|>$/gu, '');
  let [best, most]: [Readonly<Partial<Record<Modifier, string>>> | null, number] = [null, -1];
  for (const family of MODIFIER_FAMILIES) {
    if (family[modifier] === undefined) continue;
    const alike = [...modifiers].filter(([one, word]) => {
      const own = family[one];
      return own === undefined ? false : own.length === 1 ? own === bare(word) : own === bare(word).toLowerCase();
    }).length;
    if (alike > most) [best, most] = [family, alike];
  }
  const word = best?.[modifier];
  if (word === undefined || (known !== undefined && most === 0 && joint === '')) return null;
  return { what: modifier, word: known === undefined ? inCase(word, 'Title') : likeWord(word, known), guessed: true };
}

/** A word in the case and brackets of another. */
function likeWord(word: string, other: string): string {
  const [, before = '', inner = '', behind = ''] = /^([<\\]?)(.*?)(>?)$/u.exec(other) ?? [];
  return before + (word.length === 1 ? word : inCase(word, caseOf(inner))) + behind;
}

/** The word for a key: as a person said, as the file has it or others of its sort, else of the family of its others. */
export function keyWord(spelling: Spelling, key: string, held: readonly Modifier[], said: Said): SpelledWord | null {
  const told = said[key] ?? spelling.keys.get(key);
  if (told !== undefined) return { what: key, word: told, guessed: false };
  const sort = sortOf(key, held);
  if (sort !== null) return sortWord(spelling, key, sort);
  const word = guessWord(spelling, key);
  return word === null ? null : { what: key, word, guessed: true };
}

/** What is written like another sort, where a file has none of its own. */
const LIKE: Readonly<Record<SortName, readonly SortName[]>> = {
  letter: ['letter, held', 'letter, with Alt', 'letter, with Shift'],
  'letter, held': ['letter, with Alt', 'letter, with Shift', 'letter'],
  'letter, with Alt': ['letter, held', 'letter, with Shift', 'letter'],
  'letter, with Shift': ['letter, held', 'letter, with Alt', 'letter'],
  digit: [],
  'function key': [],
  'digit of the number pad': [],
};

function sortWord(spelling: Spelling, key: string, sort: SortName): SpelledWord | null {
  const { sorts } = spelling;
  const own = key.replace('Numpad', '');
  const written = ({ around: [before, behind], upper }: Sort): string =>
    before + (upper ? own : own.toLowerCase()) + behind;
  const known = sorts.get(sort);
  if (known) return { what: key, word: written(known), guessed: false };
  const like = LIKE[sort].flatMap((one) => sorts.get(one) ?? [])[0];
  if (like) return { what: key, word: written(like), guessed: false };
  if (sort === 'digit') {
    const codes = (['letter', ...LIKE.letter] as const).some((one) => sorts.get(one)?.around[0] === 'Key');
    return { what: key, word: codes ? `Digit${own}` : own, guessed: codes };
  }
  if (sort === 'digit of the number pad') {
    const add = spelling.keys.get('NumpadAdd') ?? spelling.keys.get('NumpadEnter') ?? guessWord(spelling, 'NumpadAdd');
    const before = /^(.*?)(?:add|enter|\+)$/iu.exec(add ?? '')?.[1];
    return before === undefined ? null : { what: key, word: before + own, guessed: true };
  }
  return {
    what: key,
    word: wordCase(spelling) === 'lower' && !isToolkit(spelling) ? own.toLowerCase() : own,
    guessed: true,
  };
}
