import { readsAsKeys } from '../columnRoles';
import { readKeysCell } from '../readKeysCell';
import type { Mark, ShownLine } from './shownLine';

/** What parts a line: wide blanks, tabs, leaders, signs between blanks, quotes, brackets of tags, signs of settings. */
const PARTING = /\s{2,}|\t|\.{3,}|\s[-–—:=>|→]{1,3}\s|\s*[|="<>{}]\s*|:\s|,(?=\S)|;\s*/gu;
const MOST_WORDS = 7;

/** What in a line is most likely the name and what the keys, for a person to look at; no marks where nothing is. */
export function guessMarks(text: string): ShownLine {
  const parts = partsOf(text);
  const keys =
    parts
      .filter((mark) => readsAsKeys(text.slice(...mark)))
      .sort((a, b) => sureness(text.slice(...b)) - sureness(text.slice(...a)))[0] ??
    (parts.length > 1 ? sureWord(text) : undefined);
  const rest = parts.filter(
    (mark) => !(keys && mark[0] <= keys[0] && keys[1] <= mark[1]) && /\p{L}{2}/u.test(text.slice(...mark)),
  );
  // What stands first is called, what follows tells of it; but a short word may be a number or a mark.
  const name =
    rest.find(([from, to]) => text[from - 1] === '"' && text[to] === '"') ??
    rest.find((mark) => mark[1] - mark[0] > 2) ??
    rest[0];
  if (keys && name) return { text, name, keys, path: null };
  return (
    besideWords(text, parts[0]) ?? {
      text,
      name: name ?? parts[0] ?? null,
      keys: keys && name ? keys : null,
      path: null,
    }
  );
}

function partsOf(text: string): Mark[] {
  const marks: Mark[] = [];
  let from = 0;
  const add = (to: number): void => {
    const part = text.slice(from, to);
    const start = from + part.length - part.trimStart().length;
    const end = from + part.trimEnd().length;
    if (end > start) marks.push([start, end]);
  };
  for (const found of text.matchAll(PARTING)) {
    add(found.index);
    from = found.index + found[0].length;
  }
  add(text.length);
  return marks;
}

/** A word that is surely meant as keys. */
function sureWord(text: string): Mark | undefined {
  for (const { index, 0: word } of text.matchAll(/\S+/gu))
    if (sureness(word) === 2 && readsAsKeys(word)) return [index, index + word.length];
  return undefined;
}

/** How surely a text is meant as keys: those with a modifier or a number behind an F more than a word. */
const sureness = (text: string): number =>
  readKeysCell(text, 'windows').problems.length > 0 ? 0 : /\S[+-]\S|^[⌘⌥⌃⇧^]|^F\d/u.test(text) ? 2 : 1;

/** Keys at one end of words that single blanks part. */
function besideWords(text: string, part: Mark | undefined): ShownLine | null {
  if (!part) return null;
  const [from, to] = part;
  const blanks = [...text.slice(from, to).matchAll(/\s+/gu)].map(
    (one): Mark => [from + one.index, from + one.index + one[0].length],
  );
  for (const [begin, end] of blanks.slice(0, MOST_WORDS).reverse())
    if (sureness(text.slice(from, begin)) === 2 && readsAsKeys(text.slice(from, begin)))
      return { text, keys: [from, begin], name: [end, to], path: null };
  for (const [begin, end] of blanks.slice(-MOST_WORDS))
    if (sureness(text.slice(end, to)) === 2 && readsAsKeys(text.slice(end, to)))
      return { text, name: [from, begin], keys: [end, to], path: null };
  return null;
}

/** A line with a part of it marked as something, and with no other mark where that is. */
export function withMark(line: ShownLine, field: 'name' | 'keys' | 'path', mark: Mark | null): ShownLine {
  const apart = (other: Mark | null): Mark | null =>
    other && mark && other[0] < mark[1] && mark[0] < other[1] ? null : other;
  return {
    text: line.text,
    name: apart(line.name),
    keys: apart(line.keys),
    path: apart(line.path),
    [field]: mark,
  };
}
