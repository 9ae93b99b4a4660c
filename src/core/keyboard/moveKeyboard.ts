import { type ChordText, canonicalText, type Stroke } from '../chord/chord';
import { parseCanonical } from '../chord/parseChord';
import type { Binding, Keymap } from '../keymap/keymap';
import type { Change } from '../keymap/ticket';
import type { CommandId } from '../program/program';
import type { Keyboard } from './keyboard';
import type { TypingTrouble } from './typing';
import type { Where } from './where';

/** Keep what is printed on the keys, or keep where the fingers go. */
export const MOVES = ['letters', 'positions'] as const;
export type Move = (typeof MOVES)[number];

/** One binding that changes or can no longer be typed when a keymap goes to another keyboard. */
export type MovedBinding = {
  readonly command: CommandId;
  readonly from: ChordText;
  readonly to: ChordText;
  readonly troubles: readonly TypingTrouble[];
};
export type MovePlan = {
  readonly changes: readonly Change[];
  readonly moved: readonly MovedBinding[];
  /** Bindings that go on as they are, and those of them that can no longer be typed well. */
  readonly same: number;
  readonly troubled: readonly MovedBinding[];
};

/**
 * What becomes of a keymap on another keyboard. Keeping letters changes no chord but says which can no longer be typed;
 * keeping positions gives each chord the character that is printed on the same key there.
 * @param keep whether a binding stays as it is, such as one the program fixes.
 */
export function moveKeyboard(
  keymap: Keymap,
  from: Keyboard,
  to: Where,
  move: Move,
  keep: (chord: ChordText) => boolean,
): MovePlan {
  const changes: Change[] = [];
  const moved: MovedBinding[] = [];
  const troubled: MovedBinding[] = [];
  let same = 0;
  for (const [command, before] of keymap.bindings) {
    const after = before.map((binding): Binding => {
      const chord =
        move === 'letters' || keep(binding.chord) ? binding.chord : samePlace(binding.chord, from, to.keyboard);
      const one = { command, from: binding.chord, to: chord, troubles: to.typing(chord) };
      if (chord !== binding.chord) moved.push(one);
      else same++;
      if (one.troubles.length > 0) troubled.push(one);
      return chord === binding.chord ? binding : { ...binding, chord };
    });
    if (after.some((binding, i) => binding !== before[i])) changes.push({ command, before, after });
  }
  return { changes, moved, same, troubled };
}

/** The chord whose keys are where this one's are on another keyboard; itself where there is no such key. */
export function samePlace(text: ChordText, from: Keyboard, to: Keyboard): ChordText {
  const chord = parseCanonical(text);
  if (!chord) return text;
  const strokes = chord.strokes.map((stroke): Stroke => {
    const at = stroke.key === null ? undefined : from.byChar.get(stroke.key);
    const there = at && to.byCode.get(at.key.code);
    if (!at || !there || there.levels.length === 0) return stroke;
    // A character that stood above another keeps its place above whatever is there now.
    const above = at.level === 1 ? there.levels[1] : null;
    if (at.level === 1 && above) {
      const name = [...to.byChar].find(([, place]) => place.key === there && place.level === 1)?.[0];
      return name === undefined ? stroke : { modifiers: stroke.modifiers, key: name };
    }
    return at.level <= 1 ? { modifiers: stroke.modifiers, key: there.name } : stroke;
  });
  return canonicalText({ hold: chord.hold, strokes });
}
