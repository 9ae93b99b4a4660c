import { buildKeyboard } from './buildKeyboard';
import type { KeyboardChoice } from './keyboard';

/** The keyboard we start from until told otherwise. */
export const DEFAULT_KEYBOARD: KeyboardChoice = { shape: 'ansi', size: 'full', layout: 'us' };

export const usKeyboard = buildKeyboard(DEFAULT_KEYBOARD);
