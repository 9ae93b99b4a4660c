import type { ChordText } from '../chord/chord';
import { isPrinted } from '../chord/keyNames';
import { parseCanonical } from '../chord/parseChord';
import { remembering } from '../text/remembering';
import type { Form } from './program';

/** The form of a chord, decided by its first stroke; answers are remembered. */
export const formOf: (chord: ChordText) => Form = remembering((chord) => {
  const parsed = parseCanonical(chord);
  const stroke = parsed?.strokes[0];
  if (parsed?.hold || !stroke) return 'held';
  if (stroke.modifiers.some((modifier) => modifier !== 'Shift')) return 'modified';
  return stroke.key !== null && isPrinted(stroke.key) ? 'bare' : 'named';
});
