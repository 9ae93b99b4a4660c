import type { Likeness } from './likeness';

/** Two commands that may be counterparts, by their places in the two lists. */
export type Pair = {
  readonly row: number;
  readonly column: number;
  readonly likeness: Likeness;
  /** How likely they are counterparts, from 0 to 1, all evidence together. */
  figure: number;
  /** Whether both have the same factory keys, and whether these are of those that every program has. */
  readonly keys: 'convention' | 'same' | null;
  /** How many of their two menus have their counterparts elsewhere. */
  strange: 0 | 1 | 2;
};

/** Likenesses below this are no candidates. */
export const LEAST = 0.48;
