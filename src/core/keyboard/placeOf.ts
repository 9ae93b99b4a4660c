import type { ChordText } from '../chord/chord';
import { canonicalText, inOrder } from '../chord/chord';
import { parseCanonical } from '../chord/parseChord';
import type { Keyboard } from './keyboard';

/**
 * Where chords are really pressed on a keyboard: a character that needs Shift there becomes Shift and its key
 * (`Mod+Plus` is `Mod+Shift+=` on a US keyboard). Answers are remembered, since the same chords are asked for again.
 */
export function placeOf(keyboard: Keyboard): (chord: ChordText) => ChordText {
  const shifted = new Map<string, string>();
  for (const { base, shifted: above } of keyboard.keys) {
    if (base !== null && above !== null && above !== base) shifted.set(above === '+' ? 'Plus' : above, base);
  }
  const known = new Map<ChordText, ChordText>();
  return (text) => {
    let place = known.get(text);
    if (place === undefined) {
      const chord = parseCanonical(text);
      place = !chord
        ? text
        : canonicalText({
            ...chord,
            strokes: chord.strokes.map((stroke) => {
              const base = stroke.key === null ? undefined : shifted.get(stroke.key);
              return base === undefined ? stroke : { modifiers: inOrder([...stroke.modifiers, 'Shift']), key: base };
            }),
          });
      known.set(text, place);
    }
    return place;
  };
}
