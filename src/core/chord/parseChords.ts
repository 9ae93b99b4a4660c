import type { Chord } from './chord';
import { type Dialect, parseChord } from './parseChord';

/** What a text with one or several alternative chords holds, and the parts that could not be read. */
export type ParsedChords = {
  readonly chords: readonly Chord[];
  readonly problems: readonly { readonly part: string; readonly message: string }[];
};

const SPLITTERS: readonly RegExp[] = [
  / ?\n ?| (?:or|oder|ou|o|and also) | \/ /iu,
  /(?<=[^+\-\s⌘⌥⇧⌃⊞])\s*(?:[;|]\s*|,\s+)/u,
  /(?<=[^+\-\s⌘⌥⇧⌃⊞])\s*\/\s*/u,
  /,\s+/u,
];

/** Reads a cell such as `Ctrl+K or F3`: the whole text first, then its alternatives from the surest separator down. */
export function parseChords(text: string, dialect: Dialect): ParsedChords {
  return parseFolded(text.replace(/[^\S\n]+/gu, ' '), dialect);
}

function parseFolded(text: string, dialect: Dialect): ParsedChords {
  const whole = parseChord(text, dialect);
  if (whole.ok) return { chords: [whole.chord], problems: [] };
  for (const splitter of SPLITTERS) {
    const parts = text.split(splitter).filter((part) => part.trim() !== '');
    if (parts.length < 2) continue;
    const read = parts.map((part) => parseFolded(part, dialect));
    return { chords: read.flatMap((one) => one.chords), problems: read.flatMap((one) => one.problems) };
  }
  return { chords: [], problems: [{ part: whole.part, message: whole.message }] };
}

/** Whether a list writes its keys in Mac words or symbols; decided over all its cells together. */
export function dialectOf(cells: Iterable<string>): Dialect {
  for (const cell of cells) if (/[⌘⌥⌃]|\b(?:cmd|command|opt|option)\b/iu.test(cell)) return 'mac';
  return 'windows';
}
