import type { ChordText, Modifier } from './chord';
import { parseCanonical } from './parseChord';

const NAMES: Readonly<Record<Modifier, string>> = {
  Mod: 'Control',
  Ctrl: 'Control',
  Alt: 'Alt',
  Shift: 'Shift',
  Meta: 'Meta',
};
/** Keys of the number pad by what they type, as `key` says it. */
const PAD: Readonly<Record<string, string>> = {
  Add: 'Plus',
  Subtract: '-',
  Multiply: '*',
  Divide: '/',
  Decimal: '.',
  Enter: 'Enter',
  Equal: '=',
};

/**
 * Chords as `aria-keyshortcuts` wants them: modifiers and key by the names of UI Events, joined by `+`, several separated
 * by spaces. What it has no words for, sequences and keys that are held, is left out; undefined where nothing is left.
 * Source: WAI-ARIA 1.2, aria-keyshortcuts.
 */
export function ariaKeys(chords: readonly ChordText[], mac: boolean): string | undefined {
  const said = chords.flatMap((chord) => {
    const parsed = parseCanonical(chord);
    const [stroke, ...more] = parsed?.strokes ?? [];
    if (!parsed || parsed.hold || !stroke || stroke.key === null || more.length > 0) return [];
    const pad = /^Numpad(.+)$/.exec(stroke.key)?.[1];
    const key = pad === undefined ? stroke.key : (PAD[pad] ?? pad);
    const modifiers = stroke.modifiers.map((one) => (one === 'Mod' && mac ? 'Meta' : NAMES[one]));
    return [[...modifiers, key].join('+')];
  });
  return said.length === 0 ? undefined : said.join(' ');
}
