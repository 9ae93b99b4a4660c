import { remembering } from '../text/remembering';
import type { Chord } from './chord';
import { type Dialect, parseChord } from './parseChord';

/** What a text with one or several alternative chords holds, and the parts that could not be read. */
export type ParsedChords = {
  readonly chords: readonly Chord[];
  readonly problems: readonly { readonly part: string; readonly message: string }[];
};

const SLASH = /(?<=[^+\-\s⌘⌥⇧⌃⊞])\s*\/\s*/u;
const SPLITTERS: readonly RegExp[] = [
  / ?\n ?|(?<=[^\s,+-]), (?:or|oder|ou|o|and also) | (?:or|oder|ou|o|and also|and(?= \S{2})) | \/ /iu,
  /(?<=[^+\-\s⌘⌥⇧⌃⊞])\s*(?:[;|]\s*|,\s+)/u,
  SLASH,
  /,\s+/u,
  /(?<=[^+\-\s⌘⌥⇧⌃⊞]),(?=\S)/u,
];
/** Keys by name beside each other, which are pressed one or the other. */
const NAMED_KEYS = /^(?:F\d{1,2}|[\p{Lu}][\p{L}]{2,}|<[^<>\s]+>)(?: (?:F\d{1,2}|[\p{Lu}][\p{L}]{2,}|<[^<>\s]+>))+$/u;

/** Reads a cell such as `Ctrl+K or F3`: the whole text first, then its alternatives from the surest separator down. */
export function parseChords(text: string, dialect: Dialect): ParsedChords {
  return parseFolded(text.replace(/[^\S\n]+/gu, ' '), dialect);
}

/** Lists say the same short things again and again. */
const SHORT = 40;
const short: Readonly<Record<Dialect, (text: string) => ParsedChords>> = {
  windows: remembering((text) => parsePart(text, 'windows')),
  mac: remembering((text) => parsePart(text, 'mac')),
  canonical: remembering((text) => parsePart(text, 'canonical')),
};

function parseFolded(text: string, dialect: Dialect): ParsedChords {
  return text.length > SHORT ? parsePart(text, dialect) : short[dialect](text);
}

function parsePart(text: string, dialect: Dialect): ParsedChords {
  // Lines tell one thing each, if each of them does.
  const lines = text.split('\n').filter((line) => line.trim() !== '');
  if (lines.length > 1) {
    const read = lines.map((line) => parseFolded(line, dialect));
    if (read.every((one) => one.problems.length === 0))
      return { chords: read.flatMap((one) => one.chords), problems: [] };
  }
  const whole = parseChord(text, dialect);
  if (whole.ok) return { chords: [whole.chord], problems: [] };
  for (const splitter of NAMED_KEYS.test(text.trim()) ? [...SPLITTERS, / /u] : SPLITTERS) {
    const split = text.split(splitter).filter((part) => part.trim() !== '');
    if (split.length < 2) continue;
    const side = splitter === SLASH ? sideBySide(text, dialect) : null;
    if (side) return side;
    const parts = withModifiers(split, splitter === SLASH && !text.includes(' '));
    const read = parts.map((part) => parseFolded(part, dialect));
    return { chords: read.flatMap((one) => one.chords), problems: read.flatMap((one) => one.problems) };
  }
  const strokes = inStrokes(text.trim(), dialect);
  if (strokes) return { chords: [strokes], problems: [] };
  return { chords: [], problems: [{ part: whole.part, message: whole.message }] };
}

/** Alternatives with blanks between them, of which some have a slash themselves: `Alt-f/b Shift-right/left`. */
function sideBySide(text: string, dialect: Dialect): ParsedChords | null {
  const words = text.trim().split(' ');
  // A first one without a slash leads to the others.
  if (words.length < 2 || !words[0]?.includes('/') || words.some((word) => /^[/+-]$/u.test(word))) return null;
  const read = words.map((word) => parseFolded(word, dialect));
  return read.every((one) => one.problems.length === 0 && one.chords.every((chord) => !chord.hold))
    ? { chords: read.flatMap((one) => one.chords), problems: [] }
    : null;
}

/** Strokes one after the other, where the first is a chord, or all are single letters, digits or Esc: `C-x s`, `g i`. */
function inStrokes(text: string, dialect: Dialect): Chord | null {
  const said = text.split(/ ?> ?(?=\S)|(?<=\S) /u).filter((part) => part !== '');
  if (said.length < 2 || said.length > 4) return null;
  const read = said.map((part) => parseChord(part, dialect));
  const strokes = read.flatMap((one) =>
    one.ok && !one.chord.hold && one.chord.strokes.length === 1 ? one.chord.strokes : [],
  );
  if (strokes.length < said.length) return null;
  const held = (strokes[0]?.modifiers.length ?? 0) > 0;
  const typed = said.every((part) => /^(?:\S|esc(?:ape)?|space)$/iu.test(part));
  return held || typed || text.includes('>') ? { hold: false, strokes } : null;
}

/**
 * What is said once stands before each key of `Ctrl+Left/Right`, `Ctrl+[ or ]` and `Ctrl+E [; ]`: modifiers, or the
 * strokes that lead to it.
 * @param joined whether nothing but a slash stands between them, as in `Ctrl-f/b`.
 */
function withModifiers(parts: readonly string[], joined: boolean): readonly string[] {
  const [before, modifiers, key] = firstOf(parts[0]?.trim() ?? '');
  if (before + modifiers === '') return parts;
  const kind = kindOf(key) ?? ((modifiers === '' || joined) && /^\p{L}$/u.test(key) ? 'letter' : null);
  // Where another has modifiers of its own, those without have none.
  if (kind === null || parts.slice(1).some((part) => /[\p{L}\d] ?[+-] ?\S/u.test(part))) return parts;
  const alike = (part: string): boolean => (kind === 'letter' ? /^\p{L}$/u.test(part) : kindOf(part) === kind);
  return parts.map((part, i) => (i > 0 && alike(part.trim()) ? `${before}${modifiers}${part.trim()}` : part));
}

/** Keys as the strokes that lead to the last one, its modifiers, and its key, which may have two words. */
function firstOf(keys: string): readonly [strokes: string, modifiers: string, key: string] {
  const [, held = '', words = ''] = /^((?:[\p{L}\d]+ ?[+-] ?)*)([\p{L}\d]+ [\p{L}\d]+)$/u.exec(keys) ?? [];
  if (kindOf(words) !== null) return ['', held, words];
  const [, strokes = '', modifiers = '', key = ''] =
    /^((?:[^\s+-]{1,12}[+-]\S{1,12} ){0,3})((?:[\p{L}\d]+ ?[+-] ?)*)([^\p{L}\d\s]|[\p{L}\d]+)$/u.exec(keys) ?? [];
  return [strokes, modifiers, key];
}

/** What kind of key a word names, of those that stand beside each other behind modifiers said once. */
function kindOf(word: string): string | null {
  if (/^(?:left|right|up|down|(?:left|right|up|down) arrow|arrow ?(?:left|right|up|down)|[←→↑↓])$/iu.test(word))
    return 'arrow';
  if (/^(?:pg ?(?:up|dn|down)|page ?(?:up|down)|home|end)$/iu.test(word)) return 'page';
  if (/^(?:del(?:ete)?|back ?space|bksp)$/iu.test(word)) return 'erasing';
  return /^[^\p{L}\p{N}\s]$/u.test(word) ? 'sign' : null;
}

/** Whether a list writes its keys in Mac words or symbols; decided over all its cells together. */
export function dialectOf(cells: Iterable<string>): Dialect {
  let [mac, others] = [0, 0];
  for (const cell of cells) {
    const isMac = /[⌘⌥⌃]|\b(?:cmd|command|opt|option)\s?[+-]\s?\S|^(?:cmd|command|opt|option)$/iu.test(cell);
    // Where both stand in one cell, a note tells of the other platform.
    if (
      isMac &&
      !/\b(?:mac|macos|os ?x|osx)\b|(?:cmd|command|⌘)\s?[/|(]|[/|]\s?(?:cmd|command|⌘)|cmdorctrl|commandorcontrol/iu.test(
        cell,
      )
    )
      mac++;
    else if (/\b(?:ctrl|strg|alt|win|super)\b|<control\b/iu.test(cell)) others++;
  }
  return mac > 0 && mac >= others ? 'mac' : 'windows';
}
