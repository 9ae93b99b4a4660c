import { type ChordText, canonicalText } from '../chord/chord';
import { type Dialect, parseChord } from '../chord/parseChord';

/** Keys spelled out where a command is looked for, as "Ctrl+H" or "F5"; null where words are meant. */
export function chordTyped(typed: string, dialect: Dialect): ChordText | null {
  const text = typed.trim();
  // A letter is the beginning of a word, and so is a word that goes on behind a hyphen.
  const spelled = /[+⌘⌥⌃⇧^]/u.test(text) || /^(?:ctrl|alt|shift|cmd|control)-./i.test(text) || /^f\d{1,2}$/i.test(text);
  if (!spelled) return null;
  const read = parseChord(text, dialect);
  return read.ok ? canonicalText(read.chord) : null;
}
