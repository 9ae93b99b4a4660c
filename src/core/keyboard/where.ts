import type { ChordText } from '../chord/chord';
import { DESKTOPS, type Desktop } from '../desktop/desktopKeys';
import { buildKeyboard } from './buildKeyboard';
import type { Keyboard, KeyboardChoice } from './keyboard';
import { type Place, placeOf } from './placeOf';
import { type TypingTrouble, typing } from './typing';

/** What keys are pressed on: a keyboard, and the desktop that listens first. */
export type Where = {
  readonly keyboard: Keyboard;
  readonly desktop: Desktop;
  readonly place: Place;
  /** What stands in the way of typing a chord here; answers are remembered. */
  readonly typing: (chord: ChordText) => readonly TypingTrouble[];
};

const known = new Map<string, Where>();

/** The keyboard and desktop somebody has chosen; the same object each time, so that it can be compared. */
export function whereOf(choice: KeyboardChoice, desktop: Desktop = DESKTOPS[0]): Where {
  const id = `${desktop} ${choice.shape} ${choice.size} ${choice.layout}`;
  let where = known.get(id);
  if (!where) {
    const keyboard = buildKeyboard(choice);
    const troubles = new Map<ChordText, readonly TypingTrouble[]>();
    where = {
      keyboard,
      desktop,
      place: placeOf(keyboard),
      typing: (chord) => {
        let found = troubles.get(chord);
        if (!found) {
          found = typing(keyboard, desktop, chord);
          troubles.set(chord, found);
        }
        return found;
      },
    };
    known.set(id, where);
  }
  return where;
}
