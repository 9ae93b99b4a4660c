import type { Modifier } from '../chord/chord';

/** What stands for a modifier, or for keys that are held, on a poster of all layers: told apart by shape alone. */
export type Sign = Modifier | 'hold';

/** The shapes as SVG paths in a square of 12, filled even and odd. */
export const SIGN_SHAPES: Readonly<Record<Sign, string>> = {
  // A square, a disc, a triangle, a diamond, a bar; a ring where keys are held.
  Mod: 'M1 1h10v10h-10z',
  Shift: 'M6 .6a5.4 5.4 0 1 1 0 10.8a5.4 5.4 0 1 1 0-10.8z',
  Alt: 'M6 .4L11.8 11.2H.2z',
  Ctrl: 'M6 0L12 6L6 12L0 6z',
  Meta: 'M0 4h12v4h-12z',
  hold: 'M6 0a6 6 0 1 1 0 12a6 6 0 1 1 0-12zM6 2.4a3.6 3.6 0 1 0 0 7.2a3.6 3.6 0 1 0 0-7.2z',
};
