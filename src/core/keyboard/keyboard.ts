/**
 * A keyboard: where its keys are and what is printed on them.
 * Lengths are in key units (1 u = 19.05 mm); `x` and `y` are the left and top edge of a key.
 */
export const SHAPES = ['ansi', 'iso', 'jis'] as const;
export type ShapeName = (typeof SHAPES)[number];
/** Full with function row, navigation keys and number pad; without the pad; the main block alone. */
export const SIZES = ['full', 'no pad', 'compact'] as const;
export type SizeName = (typeof SIZES)[number];
export type Part = 'function row' | 'main block' | 'navigation' | 'number pad';

/** What a key prints with some of Shift and AltGr held; a dead key waits for a letter to set its accent on. */
export type Legend = { readonly char: string; readonly dead: boolean };

export type Key = {
  /** The W3C UI Events `code` of the physical key. */
  readonly code: string;
  readonly part: Part;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  /** Printed at base, with Shift, with AltGr, with Shift and AltGr; empty for keys that print nothing. */
  readonly levels: readonly (Legend | null)[];
  /** The canonical key name a press gives, or the modifier it is. */
  readonly name: string;
  readonly label: string;
};

/** Which keyboard somebody has: shape, size and language layout. */
export type KeyboardChoice = { readonly shape: ShapeName; readonly size: SizeName; readonly layout: string };

export type Keyboard = {
  readonly choice: KeyboardChoice;
  /** The name of the language layout, as people choose by it: `French AZERTY`. */
  readonly name: string;
  readonly keys: readonly Key[];
  readonly byCode: ReadonlyMap<string, Key>;
  /** The key and level on which a character is printed; the lowest level wins. */
  readonly byChar: ReadonlyMap<string, { readonly key: Key; readonly level: number }>;
  readonly width: number;
  readonly height: number;
};

/** The name a character goes by in a chord: upper case where it is a letter, `Plus` for the plus sign. */
export function characterName(char: string): string {
  if (char === '+') return 'Plus';
  const upper = char.toUpperCase();
  return [...upper].length === 1 ? upper : char;
}
