import { type ChordText, canonicalText, inOrder } from '../chord/chord';
import { isPrinted } from '../chord/keyNames';
import { parseCanonical } from '../chord/parseChord';
import type { Desktop } from '../desktop/desktopKeys';
import type { Keyboard } from './keyboard';

/** What stands in the way of typing a chord on a keyboard. */
export type TypingTrouble =
  | { readonly kind: 'no such key'; readonly key: string }
  | { readonly kind: 'needs AltGr'; readonly key: string; readonly at: string }
  | { readonly kind: 'needs Shift'; readonly key: string; readonly pressed: ChordText }
  | { readonly kind: 'types a character'; readonly char: string; readonly at: string; readonly sure: boolean }
  | { readonly kind: 'dead key'; readonly key: string };

/**
 * The characters that keyboards have printed behind AltGr. The X data has more, which other desktops may leave out, so of
 * those we only say that they may be typed.
 */
const SURELY_PRINTED = /^[!-~€£¥¢§°µ²³¬¦|´`¨ˇ~^¤]$/;

/**
 * Whether a chord can be typed on a keyboard, and what to know if it can: its character stands above another, or behind
 * AltGr, or is an accent that waits for a letter; Ctrl+Alt is AltGr there (Windows) and types a character; the key is
 * not on this keyboard at all. Empty when there is nothing to say.
 */
export function typing(keyboard: Keyboard, desktop: Desktop, text: ChordText): TypingTrouble[] {
  const chord = parseCanonical(text);
  const troubles: TypingTrouble[] = [];
  for (const { modifiers, key } of chord?.strokes ?? []) {
    if (key === null) continue;
    const at = keyboard.byChar.get(key);
    if (!at) {
      const named = keyboard.keys.some((one) => one.name === key && one.levels.length === 0);
      if (!named) troubles.push({ kind: 'no such key', key });
      continue;
    }
    const { key: printed, level } = at;
    const shifted = modifiers.includes('Shift') || level === 1;
    if (level >= 2) troubles.push({ kind: 'needs AltGr', key, at: printed.label });
    else if (level === 1 && !modifiers.includes('Shift')) {
      const pressed = canonicalText({
        hold: false,
        strokes: [{ modifiers: inOrder([...modifiers, 'Shift']), key: printed.name }],
      });
      troubles.push({ kind: 'needs Shift', key, pressed });
    }
    if (desktop === 'windows' && modifiers.includes('Mod') && modifiers.includes('Alt')) {
      // Ctrl and Alt together are AltGr: the character behind the key is typed, whatever the program listens for.
      const typed = printed.levels[shifted ? 3 : 2] ?? (level === 1 ? printed.levels[2] : null);
      if (typed) {
        const sure = SURELY_PRINTED.test(typed.char);
        troubles.push({ kind: 'types a character', char: typed.char, at: printed.label, sure });
      }
    }
    const waits =
      printed.levels[level]?.dead && !modifiers.some((one) => one === 'Mod' || one === 'Alt' || one === 'Meta');
    if (waits && isPrinted(key)) troubles.push({ kind: 'dead key', key });
  }
  return troubles;
}
