import { type ChordText, canonicalText } from '../chord/chord';
import { MODIFIER_WORDS } from '../chord/modifierWords';
import { type Dialect, parseChord } from '../chord/parseChord';
import { parseChords } from '../chord/parseChords';
import { respelled } from '../chord/respelled';
import { remembering } from '../text/remembering';
import { keyRange } from './keyRange';
import { keysText } from './keysText';
import { type Manner, PLAIN_MANNER, saysTwice } from './mannerOf';

/** What a keys cell says: keys, that there are none, or something else; and what of it was left aside and why. */
export type KeysCell = {
  readonly status: 'keys' | 'none' | 'unread';
  readonly chords: readonly ChordText[];
  readonly problems: readonly string[];
};

const NO_KEYS =
  /^[<(]?(?:[-–—]+|…|none|nothing|no (?:key|shortcut|default|binding)s?(?: (?:key|shortcut|binding)s?)?|n\/?a|nil|null|undefined|empty|disabled|unset|unbound|unassigned|not (?:set|assigned|bound|defined)|keine?r?s?|ohne|nicht (?:belegt|zugewiesen|festgelegt|gesetzt|vergeben)|aucune?|non (?:assignée?|attribuée?|définie?)|ningun[oa]|sin (?:asignar|atajo)|no (?:asignad|definid)[oa]|nessun[oa]|\?)[>)]?$/iu;
const ANY_KEY = /^[^<>\s\p{L}\p{N}]<\p{Ll}>$/u;
/** A word in brackets for a key of one's own choice, as in `C-h <key>`. */
const ANY_WORD =
  /[<{⟨[](?:an?y? )?(?:keys?|char(?:acter)?s?|letters?|digits?|numbers?|motion|register|mark)(?: key)?[>}⟩\]](?!.*<\/)/iu;
/** The same without brackets, behind keys that are no key by their name. */
const FURTHER_KEY = /[+-][^\s+-] key$/u;
const TWO = /^[^\s,[\]"']{3,30},[^\s,[\]"']{3,30}$/u;
/** A word for keys that are set elsewhere, but for the one that most lists so call the desktop's own key by. */
const VARIABLE = /[+-]\$\{?\p{L}{2,}|^\$(?!(?:mod|super|win)\b)\{?\p{L}{2,}\}?[+-]/iu;
const MOUSE =
  /\b(?:click|drag|dblclick|double-click|wheel|scroll|mouse|tap|pen|stylus|klick|clic)\b|^(?:[A-Z]?BTN|WHEEL|Button\d|mouse)_?/iu;

/** Squares and circles, as lists draw the buttons of a mouse: no keyboard has any of these signs. */
const SHAPES = /^[\u25A0-\u25AF\u25CB-\u25FF\u{1F5B0}-\u{1F5B2}\s]+$/u;

/** A text without such a word; null where it has none. */
export function withoutAnyWord(text: string): string | null {
  return ANY_WORD.test(text) ? text.replace(ANY_WORD, '').trim() : null;
}

/** Readers of cells by how their list writes keys: a list is looked at in several ways, and many rows have the same keys. */
const readers = new WeakMap<Manner, Partial<Record<Dialect, (text: string) => KeysCell>>>();

/** Reads a cell with several keys, "or", ranges, notes in brackets and note marks, as its list writes them. */
export function readKeysCell(text: string, dialect: Dialect, manner: Manner = PLAIN_MANNER): KeysCell {
  let own = readers.get(manner);
  if (!own) {
    own = {};
    readers.set(manner, own);
  }
  own[dialect] ??= remembering((cell) => readCell(cell, dialect, manner));
  return own[dialect](text);
}

function readCell(text: string, dialect: Dialect, manner: Manner): KeysCell {
  const bare = ofOneChord(text.trim()).replace(/^\(([^\s()\p{L}\p{N}])\)$/u, '$1');
  if ((bare === '-' || bare === '?') && manner.signs) return { status: 'keys', chords: [bare], problems: [] };
  if (/^(["']) \1$/u.test(bare)) return { status: 'keys', chords: ['Space'], problems: [] };
  // A lone hyphen is how most lists say "nothing"; the hyphen key itself is written "minus" or stands with a modifier.
  if (bare === '' || NO_KEYS.test(bare) || /^(?:""|''|\(\)|\{\}|<>|\[\]|\[(?:""|'')\]|@\w+ \[\])$/u.test(bare))
    return { status: 'none', chords: [], problems: [] };
  // A letter in brackets behind other signs stands for any key, as in `:<x>`: letters themselves need no brackets.
  if (ANY_KEY.test(bare) || ANY_WORD.test(bare))
    return { status: 'unread', chords: [], problems: [`“${bare}” shows how keys are typed, and names none.`] };
  if (VARIABLE.test(bare))
    return { status: 'unread', chords: [], problems: [`“${bare}” holds a word for keys that are set elsewhere.`] };
  if (SHAPES.test(bare))
    return { status: 'unread', chords: [], problems: [`“${bare}” stands for a button of the mouse, or for no key.`] };
  const cell = keysText(bare, dialect === 'mac');
  if (cell === '' || NO_KEYS.test(cell)) return { status: 'none', chords: [], problems: [] };
  const twice = saysTwice(cell);
  const range = twice ? null : keyRange(cell);
  const read = parseChords(
    twice ? cell.replace(/\n/gu, ' then ') : range ? range.join('\n') : inManner(cell, dialect, manner),
    dialect,
  );
  const chords = [...new Set(read.chords.map(canonicalText))];
  const problems = read.problems.map(({ part, message }) =>
    MOUSE.test(part) ? `“${part}” needs the mouse or pen, so it isn't kept as keys.` : message,
  );
  // Some write two ways so, and some two strokes; lists that do so often tell which.
  if (manner.apart === null && chords.length === 2 && chords.every((one) => one.includes('+')) && TWO.test(bare))
    problems.push(`“${bare}” may be pressed one after the other.`);
  if (chords.length > 0 && FURTHER_KEY.test(bare)) problems.push(`“key” in “${bare}” may stand for a further one.`);
  return { status: chords.length > 0 ? 'keys' : 'unread', chords, problems };
}

/** Modifiers and a key in lines of their own, as a list in a file has them, as one chord. */
function ofOneChord(cell: string): string {
  if (!cell.includes('\n')) return cell;
  const lines = cell.split('\n').map((line) => line.trim());
  const held = (line: string): boolean => MODIFIER_WORDS[line.toLowerCase()] !== undefined;
  return lines.slice(0, -1).every(held) && !held(lines.at(-1) ?? '') ? lines.join('+') : cell;
}

/** A cell in plain words, where its list means Shift by capitals or writes strokes side by side. */
function inManner(cell: string, dialect: Dialect, { capitals, strokes, apart, commas, lines }: Manner): string {
  const several = cell.includes('\n');
  const parted = several
    ? inLines(cell, dialect, lines)
    : apart === null
      ? cell
      : partedIn(cell, dialect, apart, commas);
  if (!capitals && !strokes) return parted;
  return parted
    .split(/(, |\n| or | \/ | then )/u)
    .map((part, i) => (i % 2 === 1 ? part : partInManner(part, dialect, capitals, strokes)))
    .join('');
}

/** Keys in lines of their own, as strokes where they are pressed in turn. */
function inLines(cell: string, dialect: Dialect, inTurn: boolean): string {
  const lines = cell.split('\n');
  return inTurn && lines.every((line) => parseChord(line, dialect).ok) ? lines.join(' then ') : cell;
}

/** Keys with blanks or commas between them as lines, or as strokes. */
function partedIn(cell: string, dialect: Dialect, apart: 'either' | 'in turn', commas: boolean): string {
  // Commas part ways to do it where some of these take several strokes.
  const ways = cell.split(/(?<![+-]), /u);
  if (
    apart === 'in turn' &&
    ways.length > 1 &&
    !/\bor\b/u.test(cell) &&
    (commas || ways.some((way) => way.includes(' ')))
  )
    return ways.map((way) => partedIn(way, dialect, apart, commas)).join('\n');
  const parts = cell.split(apart === 'either' ? / +/u : /,? +/u);
  const plain = apart === 'either' ? cell : cell.replace(/, /gu, ' ');
  if (parts.length < 2 || parts.length > 6 || /,|\n|; |\bor\b| [/|+-] /u.test(plain)) return cell;
  const known = parts.filter((part) => parseChord(part, dialect).ok).length;
  // Words of one chord, such as `Ctrl Shift P`, are no keys by themselves.
  const whole = parseChord(cell, dialect);
  if (whole.ok && whole.chord.strokes.length === 1) return cell;
  if (apart === 'either') return known >= parts.length - 1 && known > 0 ? parts.join('\n') : cell;
  return known === parts.length ? parts.join(' then ') : cell;
}

function partInManner(part: string, dialect: Dialect, capitals: boolean, strokes: boolean): string {
  const shifted = (one: string): string => (capitals && /^\p{Lu}$/u.test(one) ? `Shift+${one}` : one);
  const words = part.split(' ');
  // Strokes, of which the last are letters alone.
  if (capitals && words.length > 1 && words.every((one) => /^(?:\p{L}|[^\s+-]+[+-]\S+)$/u.test(one)))
    return words.map(shifted).join(' ');
  const signs = part.match(/<[^<>\s]{1,20}>|\S/gu) ?? [];
  if (signs.length === 1) return shifted(part);
  const run =
    strokes && !/\s/u.test(part) && signs.length <= 4 && signs.every((one) => one.length > 1 || /[^+]/u.test(one));
  if (!run || /^\p{L}{4}$/u.test(part)) return part;
  // What is a key or a chord by itself is that; two letters that are short for a sign are not.
  const alone = /^[\p{L}\d]{2,}$|[+^]|.-./u.test(part) || (signs.length === 1 && signs[0] === part);
  if (alone && !/^[lg]t$/iu.test(part) && parseChord(part, dialect).ok) return part;
  return signs.map((one) => (one.length > 1 ? respelled(one) : shifted(one))).join(' then ');
}
