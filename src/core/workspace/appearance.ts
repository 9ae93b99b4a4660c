import { INKS, type Ink } from './dressing';

export const CONTROL_SIZES = ['small', 'medium', 'large'] as const;
export type ControlSize = (typeof CONTROL_SIZES)[number];
/** How much larger than medium the text and controls are. */
export const CONTROL_SCALES: Readonly<Record<ControlSize, number>> = { small: 0.92, medium: 1, large: 1.2 };

/** A tint that stands for something the picture doesn't have; plain is the gray of nothing. */
export const TINTS = ['plain', ...INKS] as const;
export type Tint = (typeof TINTS)[number];
export const TINT_WORDS: Readonly<Record<Tint, string>> = {
  plain: 'Plain gray',
  iron: 'Iron',
  madder: 'Madder',
  weld: 'Weld',
  woad: 'Woad',
  walnut: 'Walnut',
  orchil: 'Orchil',
};

/** How a program's window looks. Brightness, contrast and surround go from 0 to 100. */
export type Appearance = {
  /** How bright its panels and menus are. */
  readonly brightness: number;
  /** How far words stand out from their ground, beyond what can be read at all. */
  readonly contrast: number;
  readonly controls: ControlSize;
  /** The gray around the picture. */
  readonly surround: number;
  /** What stands for transparency, and for what a mask covers. */
  readonly seeThrough: Tint;
  readonly mask: Tint;
};
export const FACTORY_APPEARANCE: Appearance = {
  brightness: 80,
  contrast: 80,
  controls: 'medium',
  surround: 62,
  seeThrough: 'plain',
  mask: 'madder',
};

/** The inks as colors, each dark enough for white words on it. */
export const INK_COLORS: Readonly<Record<Ink, string>> = {
  iron: '#2d3142',
  madder: '#9b2d30',
  weld: '#7a6a00',
  woad: '#2a5d8f',
  walnut: '#6b4423',
  orchil: '#7d3c78',
};
export const tintColor = (tint: Tint): string => (tint === 'plain' ? '#8a8a8a' : INK_COLORS[tint]);

/**
 * Relative luminance of a gray from 0 to 255.
 * Source: WCAG 2.2, definition of relative luminance.
 */
export function luminance(gray: number): number {
  const c = gray / 255;
  return c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4;
}

/** The contrast of two grays, from 1 to 21. Source: WCAG 2.2, definition of contrast ratio. */
export function contrastOf(a: number, b: number): number {
  const [light, dark] = luminance(a) > luminance(b) ? [a, b] : [b, a];
  return (luminance(light) + 0.05) / (luminance(dark) + 0.05);
}

/** The grays of a window, each from 0 to 255, and whether its words are light on dark. */
export type Shades = {
  readonly dark: boolean;
  readonly ground: number;
  readonly card: number;
  readonly paper: number;
  readonly key: number;
  readonly press: number;
  readonly line: number;
  readonly text: number;
  readonly soft: number;
  readonly surround: number;
};

/** Words are never less readable than this, whatever was chosen; soft words neither. */
export const LEAST_CONTRAST = 5;
const DARKEST = 28;
const BRIGHTEST = 250;

/**
 * The grays of a window of some brightness and contrast: grounds a step apart, words as far from the ground they stand
 * on as was chosen, never under what can be read on any of them.
 */
export function shadesOf({ brightness, contrast, surround }: Appearance): Shades {
  const wished = Math.round(DARKEST + ((BRIGHTEST - DARKEST) * clamped(brightness)) / 100);
  // Between light and dark no word can be read well on grounds a step apart: words turn where both are equal.
  const dark = contrastOf(wished, 255) > contrastOf(wished, 0);
  const way = dark ? -1 : 1;
  const step = (far: number): number => Math.max(0, Math.min(255, readableGround(wished, dark) + far));
  const grounds = { ground: step(0), card: step(14), paper: step(22), key: step(26), press: step(-8) };
  const worst = dark ? Math.max(...Object.values(grounds)) : Math.min(...Object.values(grounds));
  const most = contrastOf(worst, dark ? 255 : 0);
  const wanted = LEAST_CONTRAST + ((most - LEAST_CONTRAST) * clamped(contrast)) / 100;
  const soft = LEAST_CONTRAST + (wanted - LEAST_CONTRAST) * 0.4;
  return {
    dark,
    ...grounds,
    line: grayAgainst(worst, Math.max(3, wanted / 4), way),
    text: grayAgainst(worst, wanted, way),
    soft: grayAgainst(worst, soft, way),
    surround: Math.round((255 * clamped(surround)) / 100),
  };
}

function clamped(part: number): number {
  return Math.max(0, Math.min(100, part));
}

/** The ground next to the one wished on which words, and on the grounds a step from it, can be read. */
function readableGround(wished: number, dark: boolean): number {
  let ground = wished;
  while (dark ? contrastOf(ground + 26, 255) < LEAST_CONTRAST : contrastOf(ground - 8, 0) < LEAST_CONTRAST)
    ground += dark ? -1 : 1;
  return ground;
}

/** The gray nearest to a ground that has a contrast to it, darker for 1 and lighter for -1; else the utmost. */
function grayAgainst(ground: number, contrast: number, way: 1 | -1): number {
  for (let gray = ground; gray >= 0 && gray <= 255; gray -= way) if (contrastOf(gray, ground) >= contrast) return gray;
  return way > 0 ? 0 : 255;
}
