import type { ChordText } from '../chord/chord';
import { parseCanonical } from '../chord/parseChord';
import type { CellForm } from './cellForm';
import type { Parts, Piece } from './partsOfCell';
import { spellChord } from './spellChord';
import { type Around, type Said, SEVERAL, type SpelledWord, type Spelling } from './spelling';

/** What a cell becomes; or why keys that it is to have can't be written in it. */
export type Cell = { readonly raw: string; readonly words: readonly SpelledWord[] };
export type NoCell = {
  readonly why: string;
  readonly chord: ChordText | null;
  /** What there is no word for, which a person may say. */
  readonly missing?: string;
};

/** Why keys can't be written as a file writes them, as sentences. */
export const NO_SEVERAL = 'No command in this file has several keys, so there is no form to follow.';
const WHY = {
  held: 'Nothing in this file is held, so there is no form to follow.',
  sequence: 'Nothing in this file has two strokes one after the other, so there is no form to follow.',
};

/**
 * Writes what keys a command is to have into its cell: of the keys that stand there, those it keeps stay as they are
 * written, others take the places of those that go. What is no keys stays.
 * @param parts the cell as it stands; null for one without keys, or that can't be taken apart.
 */
export function writeCell(
  parts: Parts | null,
  wanted: readonly ChordText[],
  spelling: Spelling,
  form: CellForm,
  said: Said,
): Cell | NoCell {
  const [before, behind]: Around = parts ? [parts.before, parts.behind] : spelling.cell;
  const kept = parts?.pieces ?? [];
  const there = new Set(kept.flatMap((one) => one.chord ?? []));
  const added = wanted.filter((chord) => !there.has(chord));
  const words: SpelledWord[] = [];
  const pieces: { readonly piece: Piece; readonly separator: string | null }[] = [];
  for (const [i, piece] of kept.entries()) {
    const separator = i === 0 ? null : (parts?.between[i - 1] ?? null);
    if (piece.chord === null || wanted.includes(piece.chord)) pieces.push({ piece, separator });
    else if (added.length > 0) pieces.push({ piece: { raw: '', chord: added.shift() ?? null }, separator });
  }
  const own = parts?.between[0] ?? spelling.several;
  for (const chord of added) {
    if (pieces.length > 0 && own === null) return { why: NO_SEVERAL, chord, missing: SEVERAL };
    pieces.push({ piece: { raw: '', chord }, separator: own });
  }
  let raw = '';
  for (const [i, { piece, separator }] of pieces.entries()) {
    let written = piece.raw;
    if (written === '' && piece.chord !== null) {
      const chord = parseCanonical(piece.chord);
      const spelled = chord && spellChord(spelling, chord, said);
      if (!spelled) return { why: 'These keys can’t be read.', chord: piece.chord };
      if ('why' in spelled)
        return {
          why: spelled.why === 'no word' ? `There is no word for ${spelled.what} in this file.` : WHY[spelled.why],
          chord: piece.chord,
          ...(spelled.why === 'no word' ? { missing: spelled.what } : {}),
        };
      words.push(...spelled.words);
      const [ahead, after] = spelled.around;
      // Quotes between strokes are of the form itself: each stroke is a text of its own.
      written = /["']/u.test(spelled.between)
        ? spelled.strokes.map((stroke) => form.rawOf(stroke, before)).join(spelled.between)
        : form.rawOf(ahead + spelled.strokes.join(spelled.between) + after, before);
    }
    raw += (i === 0 ? '' : (separator ?? own ?? '')) + written;
  }
  return { raw: before + raw + behind, words };
}
