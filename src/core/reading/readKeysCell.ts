import { type ChordText, canonicalText } from '../chord/chord';
import type { Dialect } from '../chord/parseChord';
import { parseChords } from '../chord/parseChords';
import { trimEnd } from '../text/trimEnd';

/** What a keys cell says: keys, that there are none, or something else; and what of it was left aside and why. */
export type KeysCell = {
  readonly status: 'keys' | 'none' | 'unread';
  readonly chords: readonly ChordText[];
  readonly problems: readonly string[];
};

const NO_KEYS =
  /^(?:[-–—]+|none|no (?:key|shortcut|default)s?|n\/?a|unassigned|not (?:set|assigned)|keine?|aucun|ninguno|\(none\)|\?)$/i;
const MOUSE = /\b(?:click|drag|dblclick|double-click|wheel|scroll|mouse|tap|pen|stylus|klick|clic)\b/i;

/** A text without what stands in brackets as words, such as `(only on the pen)`; `(hold)` and `(F2)` say something of the keys. */
function withoutAsides(text: string): string {
  let kept = '';
  let from = 0;
  for (let open = text.indexOf('('); open >= 0; ) {
    const next = text.slice(open + 1).search(/[()]/);
    if (next < 0) break;
    const end = open + 1 + next;
    const inside = text.slice(open + 1, end);
    if (text[end] === ')' && !/^hold/i.test(inside) && /\p{L}{3}/u.test(inside)) {
      kept += text.slice(from, open).trimEnd();
      from = end + 1;
    }
    open = text[end] === '(' ? end : text.indexOf('(', end);
  }
  return kept + text.slice(from);
}

/** Reads a cell with several keys, "or", notes in brackets and note marks. */
export function readKeysCell(text: string, dialect: Dialect): KeysCell {
  const cell = withoutAsides(text)
    .replace(/(?<=\S)\s*(?:[¹²³⁴⁵⁶⁷⁸⁹†‡]+|\[\d{1,2}\])/gu, '')
    .trim();
  return readBare(/[\p{L}\p{N}]\*/u.test(cell) ? trimEnd(cell, '*') : cell, dialect);
}

function readBare(cell: string, dialect: Dialect): KeysCell {
  // A lone hyphen is how most lists say "nothing"; the hyphen key itself is written "minus" or stands with a modifier.
  if (cell === '' || NO_KEYS.test(cell)) return { status: 'none', chords: [], problems: [] };
  const read = parseChords(cell, dialect);
  const chords = [...new Set(read.chords.map(canonicalText))];
  const problems = read.problems.map(({ part, message }) =>
    MOUSE.test(part) ? `“${part}” needs the mouse or pen, so it isn't kept as keys.` : message,
  );
  return { status: chords.length > 0 ? 'keys' : 'unread', chords, problems };
}
