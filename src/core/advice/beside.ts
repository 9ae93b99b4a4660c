import type { ChordText } from '../chord/chord';
import { parseCanonical } from '../chord/parseChord';
import type { Key, Keyboard } from '../keyboard/keyboard';
import type { Where } from '../keyboard/where';

/** How two chords lie to each other: on neighboring keys with the same modifiers, or on one key with and without Shift. */
export type Beside = 'beside' | 'with Shift';
/** From the middle of a key to those around it, in key units: side by side is 1, a row apart at most 1.12. */
const NEXT = 1.15;

/** How two chords lie to each other; null where they are neither. */
export function besideOf(where: Where, a: ChordText, b: ChordText): Beside | null {
  const [p, q] = [parseCanonical(a), parseCanonical(b)];
  const [s, t] = [p?.strokes[0], q?.strokes[0]];
  if (!p || !q || !s?.key || !t?.key || p.strokes.length > 1 || q.strokes.length > 1 || p.hold !== q.hold) return null;
  if (s.key === t.key) {
    const differ = [...s.modifiers, ...t.modifiers].filter(
      (one) => s.modifiers.includes(one) !== t.modifiers.includes(one),
    );
    return differ.length === 1 && differ[0] === 'Shift' ? 'with Shift' : null;
  }
  if (s.modifiers.join() !== t.modifiers.join()) return null;
  const [k, l] = [keyNamed(where.keyboard, s.key), keyNamed(where.keyboard, t.key)];
  return k && l && areNext(k, l) ? 'beside' : null;
}

/** Whether two keys touch. */
export function areNext(a: Key, b: Key): boolean {
  return Math.hypot(a.x + a.width / 2 - b.x - b.width / 2, a.y + a.height / 2 - b.y - b.height / 2) <= NEXT;
}

function keyNamed(keyboard: Keyboard, name: string): Key | undefined {
  const printed = keyboard.byChar.get(name);
  return printed?.level === 0 ? printed.key : keyboard.keys.find((key) => key.name === name);
}
