export type SameKeys = 'convention' | 'same' | null;

/** Two commands that may be counterparts, by their places in the two lists. */
export type Pair = {
  readonly row: number;
  readonly column: number;
  /** Whether the names are the same, and whether they say opposite things. */
  readonly same: boolean;
  readonly opposed: boolean;
  /** How likely they are counterparts, from 0 to 1, all evidence together. */
  figure: number;
  /** Whether both have the same factory keys, and whether these are of those that every program has. */
  readonly keys: SameKeys;
  /** How much their menus have to do with each other, from 0 to 1. */
  tie: number;
  /** How many of their two menus have their counterparts elsewhere. */
  strange: 0 | 1 | 2;
};

/** Likenesses below this are no candidates; less is asked in menus that belong together. */
export const LEAST = 0.48;
const LEAST_TIED = 0.4;

/** Whether a pair is likely enough to be proposed at all. */
export const isCandidate = ({ figure, tie }: Pair): boolean => figure >= LEAST - (LEAST - LEAST_TIED) * tie;
