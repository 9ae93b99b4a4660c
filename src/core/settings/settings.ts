import type { Desktop } from '../desktop/desktopKeys';
import type { KeyboardChoice } from '../keyboard/keyboard';
import { DEFAULT_KEYBOARD } from '../keyboard/usKeyboard';
import type { Hand } from '../reach/hand';

/** How bright the interface is; Studio is the neutral gray for judging pictures. */
export const LAMPS = ['studio', 'bright', 'dim', 'contrast'] as const;
export const TEXT_SIZES = ['normal', 'large', 'largest'] as const;
/** How keys are written on screen. */
export const SCREEN_NOTATIONS = ['windows', 'mac', 'symbols'] as const;

/** How the interface looks and writes keys, and what keys are pressed on. */
export type Settings = KeyboardChoice & {
  readonly desktop: Desktop;
  /** The hand that is free for the keys; the other holds the pen. */
  readonly hand: Hand;
  /** Who sits here, whose keymaps and workspaces come first; empty for anybody. */
  readonly person: string;
  readonly lamp: (typeof LAMPS)[number];
  readonly textSize: (typeof TEXT_SIZES)[number];
  readonly notation: (typeof SCREEN_NOTATIONS)[number];
};
export const DEFAULT_SETTINGS: Settings = {
  lamp: 'studio',
  textSize: 'normal',
  notation: 'windows',
  desktop: 'windows',
  hand: 'left',
  person: '',
  ...DEFAULT_KEYBOARD,
};
