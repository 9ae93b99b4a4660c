/**
 * A keyboard: where its keys are and what is printed on them.
 * Lengths are in key units (1 u = 19.05 mm); `x` is the left edge in its row, `y` the row from the top.
 */
export type Key = {
  /** The W3C UI Events `code` of the physical key. */
  readonly code: string;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  /** Printed unshifted and with Shift; null for keys that print nothing. */
  readonly base: string | null;
  readonly shifted: string | null;
  /** The canonical key name a press gives, or the modifier it is. */
  readonly name: string;
  readonly label: string;
};
export type Keyboard = {
  readonly name: string;
  readonly keys: readonly Key[];
  readonly width: number;
  readonly rows: number;
};
