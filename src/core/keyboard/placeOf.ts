import type { ChordText } from '../chord/chord';
import { canonicalText, inOrder } from '../chord/chord';
import { parseCanonical } from '../chord/parseChord';
import type { Keyboard } from './keyboard';

/** Where a chord is really pressed; two texts that give the same place are the same keys under the fingers. */
export type Place = (chord: ChordText) => ChordText;

/**
 * Where chords are really pressed on a keyboard: a character that needs Shift there becomes Shift and its key
 * (`Mod+Plus` is `Mod+Shift+=` on a US keyboard). Answers are remembered, since the same chords are asked for again.
 */
export function placeOf(keyboard: Keyboard): Place {
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
              const at = stroke.key === null ? undefined : keyboard.byChar.get(stroke.key);
              if (at?.level !== 1) return stroke;
              return { modifiers: inOrder([...stroke.modifiers, 'Shift']), key: at.key.name };
            }),
          });
      known.set(text, place);
    }
    return place;
  };
}
