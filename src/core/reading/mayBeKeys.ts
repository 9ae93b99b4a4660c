import { knownSpellings } from '../chord/keyNames';
import { MODIFIER_WORDS } from '../chord/modifierWords';
import { readKeysCell } from './readKeysCell';

const SPELLINGS = knownSpellings().filter((spelling) => spelling.includes(' '));
const FIRST: ReadonlySet<string> = new Set(SPELLINGS.map((spelling) => spelling.slice(0, spelling.indexOf(' '))));
const LAST: ReadonlySet<string> = new Set(SPELLINGS.map((spelling) => spelling.slice(spelling.lastIndexOf(' ') + 1)));

const maySide = (word: string, some: ReadonlySet<string>): boolean => {
  const low = word.toLowerCase();
  if (some.has(low) || MODIFIER_WORDS[low] !== undefined || /[+-]./u.test(word)) return true;
  const { status, problems } = readKeysCell(word, 'windows');
  return status === 'keys' && problems.length === 0;
};
/** Whether keys can begin with a word: most words of a name are told so at once. */
export const mayBegin = (word: string): boolean => maySide(word, FIRST);
/** Whether they can end with it. */
export const mayEnd = (word: string): boolean => maySide(word, LAST);

/** Several words with nothing but blanks between them. */
const WORDS = /^\p{L}{2,24}(?: [\p{L}\p{N}]{1,24}){1,8}$/u;
/** Words that part keys, and those that may stand before them. */
const BESIDE =
  /\b(?:or|and|then|oder|und|dann|ou|et|puis|o|y|luego)\b|^(?:hold|held|press|keep|key|keys|halten|gedrückt|taste|maintenir|mantener|touche|tecla) /iu;

/** Whether a text is words that no keys begin with, which most names are: it need not be looked at as keys. */
export const isPlainName = (text: string): boolean =>
  WORDS.test(text) &&
  !BESIDE.test(text) &&
  !mayBegin(text.slice(0, text.indexOf(' '))) &&
  !mayEnd(text.slice(text.lastIndexOf(' ') + 1));
