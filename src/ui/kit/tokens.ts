/** The six type sizes: names on keys; remarks; words; titles of parts; of cards; figures. All grow with the text size. */
export const TYPE = {
  1: '0.6875rem',
  2: '0.78rem',
  3: '0.875rem',
  4: '1rem',
  5: '1.2rem',
  6: '1.75rem',
} as const;

/** How much larger everything is at each text size; heights in pixels follow it. */
export const TEXT_SCALE = { normal: 1, large: 1.125, largest: 1.25 } as const;

/** The five spaces, for gaps, margins and paddings. */
export const SPACE = { 1: '0.25rem', 2: '0.5rem', 3: '0.75rem', 4: '1rem', 5: '1.5rem' } as const;

/** The three radii of corners: caps; controls; cards. */
export const RADIUS = { 1: '4px', 2: '8px', 3: '12px' } as const;

/** The two faces: words, and keys. */
export const FACE = {
  words: '"Atkinson Hyperlegible Next", "Gray Pin Symbols", sans-serif',
  keys: '"Atkinson Hyperlegible Mono", "Gray Pin Symbols", monospace',
} as const;

const name = (family: string, n: number | string): string => `var(--${family}-${n})`;

/** A type size, a space and a radius as the CSS variable that the theme sets. */
export const type = (n: keyof typeof TYPE): string => name('type', n);
export const radius = (n: keyof typeof RADIUS): string => name('radius', n);
/** Several spaces as one value: `space(1, 3)` for a padding. */
export const space = (...n: readonly (0 | keyof typeof SPACE)[]): string =>
  n.map((one) => (one === 0 ? '0' : name('space', one))).join(' ');
