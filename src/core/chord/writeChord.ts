import type { Chord, Modifier, Stroke } from './chord';
import { canonicalText } from './chord';
import { type KeyStyle, keyLabel } from './keyNames';

/** How chords are written for people. */
export const NOTATIONS = ['windows', 'mac', 'symbols'] as const;
export type Notation = KeyStyle;

const MODIFIER_LABELS: Readonly<Record<Notation, Readonly<Record<Modifier, string>>>> = {
  windows: { Mod: 'Ctrl', Ctrl: 'MacCtrl', Alt: 'Alt', Shift: 'Shift', Meta: 'Win' },
  mac: { Mod: 'Command', Ctrl: 'Control', Alt: 'Option', Shift: 'Shift', Meta: 'Win' },
  symbols: { Mod: '⌘', Ctrl: '⌃', Alt: '⌥', Shift: '⇧', Meta: '⊞' },
};
/** The order a Mac's own menus put the symbols in. */
const SYMBOL_ORDER: readonly Modifier[] = ['Meta', 'Ctrl', 'Alt', 'Shift', 'Mod'];

/** The label of one modifier, as printed on its key cap. */
export function modifierLabel(modifier: Modifier, notation: Notation): string {
  return MODIFIER_LABELS[notation][modifier];
}

/** The key caps of one stroke, one text a cap, in reading order. */
export function strokeCaps(stroke: Stroke, notation: Notation): string[] {
  const order = notation === 'symbols' ? SYMBOL_ORDER.filter((m) => stroke.modifiers.includes(m)) : stroke.modifiers;
  const caps = order.map((modifier) => MODIFIER_LABELS[notation][modifier]);
  return stroke.key === null ? caps : [...caps, keyLabel(stroke.key, notation)];
}

/**
 * Writes a chord for people: `Ctrl+Alt+E`, `Command+Option+E` or `⌥⌘E`; a held one begins with "hold", strokes of a
 * sequence are joined by "then". parseChord reads each of these back to the same chord (in the dialect of the notation).
 */
export function writeChord(chord: Chord, notation: Notation): string {
  const joiner = notation === 'symbols' ? '' : '+';
  const strokes = chord.strokes.map((stroke) => strokeCaps(stroke, notation).join(joiner));
  return (chord.hold ? 'hold ' : '') + strokes.join(' then ');
}

export { canonicalText };
