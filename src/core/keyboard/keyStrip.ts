import type { ChordText } from '../chord/chord';
import { parseCanonical } from '../chord/parseChord';
import type { Key, Keyboard } from './keyboard';

/** For each printed key of a keyboard, whether any chord of a keymap uses it, and whether one of yours does. */
export function keyStrip(
  keyboard: Keyboard,
  chords: readonly (readonly [ChordText, boolean])[],
): { readonly key: Key; readonly pin: 'factory' | 'yours' | null }[] {
  const used = new Map<string, boolean>();
  for (const [text, yours] of chords) {
    for (const { key } of parseCanonical(text)?.strokes ?? []) {
      if (key !== null) used.set(key, yours || (used.get(key) ?? false));
    }
  }
  return keyboard.keys
    .filter((key) => key.base !== null)
    .map((key) => {
      const yours = used.get(key.name);
      return { key, pin: yours === undefined ? null : yours ? 'yours' : 'factory' };
    });
}
