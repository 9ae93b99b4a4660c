import { knownSpellings } from '../../chord/keyNames';
import { MODIFIER_WORDS } from '../../chord/modifierWords';
import { readsAsKeys } from '../columnRoles';
import { readKeysCell } from '../readKeysCell';

/** Whether all of a text reads as keys. */
export const reads = (keys: string): boolean => {
  const { status, problems } = readKeysCell(keys, 'windows');
  return status === 'keys' && problems.length === 0 && readsAsKeys(keys);
};
/** Whether keys are meant as such, and are no bare letter, number or word. */
export const isSure = (keys: string): boolean => /\S ?[+-] ?\S|[⌘⌥⌃⇧^]|^\s*F\d/u.test(keys);

const SPELLINGS = knownSpellings().filter((spelling) => spelling.includes(' '));
const FIRST: ReadonlySet<string> = new Set(SPELLINGS.map((spelling) => spelling.slice(0, spelling.indexOf(' '))));
const LAST: ReadonlySet<string> = new Set(SPELLINGS.map((spelling) => spelling.slice(spelling.lastIndexOf(' ') + 1)));
const maySide = (word: string, some: ReadonlySet<string>): boolean =>
  some.has(word.toLowerCase()) ||
  MODIFIER_WORDS[word.toLowerCase()] !== undefined ||
  /[+-]./u.test(word) ||
  reads(word);
/** Whether keys can begin with a word: most words of a name are told so at once. */
export const mayBegin = (word: string): boolean => maySide(word, FIRST);
/** Whether they can end with it. */
export const mayEnd = (word: string): boolean => maySide(word, LAST);
