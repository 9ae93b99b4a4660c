import type { ChordText } from '@/core/chord/chord';
import { parseCanonical } from '@/core/chord/parseChord';
import { writeChord } from '@/core/chord/writeChord';

/** A chord in Windows words, as it is spoken and typed. */
export function spoken(chord: ChordText): string {
  const parsed = parseCanonical(chord);
  return parsed ? writeChord(parsed, 'windows') : chord;
}
