import { type ChordText, canonicalText, inOrder, type Modifier } from '../chord/chord';
import { parseCanonical } from '../chord/parseChord';
import type { Key, Keyboard } from '../keyboard/keyboard';
import { keyDistance } from '../keyboard/keyDistance';
import type { Where } from '../keyboard/where';

/** How two chords lie to each other: on neighboring keys with the same modifiers, or on one key with and without Shift. */
export type Beside = 'beside' | 'with Shift';
/** From the middle of a key to those around it, in key units: side by side is 1, a row apart at most 1.12. */
const NEXT = 1.15;

/** How a chord lies to another; null where they are neither. */
export function besideOf(where: Where, chord: ChordText, other: ChordText): Beside | null {
  return besidesOf(where, other).get(where.place(chord)) ?? null;
}

const NONE: ReadonlyMap<ChordText, Beside> = new Map();

/** Every place that lies beside a chord: its modifiers on the keys around its own, and its own key with Shift or without. */
export function besidesOf(where: Where, chord: ChordText): ReadonlyMap<ChordText, Beside> {
  const parsed = parseCanonical(chord);
  const [stroke, more] = parsed?.strokes ?? [];
  const key = stroke?.key ? keyNamed(where.keyboard, stroke.key) : undefined;
  if (!parsed || !stroke || more || !key) return NONE;
  const text = (modifiers: readonly Modifier[], name: string): ChordText =>
    where.place(canonicalText({ hold: parsed.hold, strokes: [{ modifiers, key: name }] }));
  const found = new Map<ChordText, Beside>();
  for (const other of where.keyboard.keys)
    if (other !== key && areNext(key, other)) found.set(text(stroke.modifiers, other.name), 'beside');
  const shifted = stroke.modifiers.includes('Shift');
  const toggled = shifted ? stroke.modifiers.filter((one) => one !== 'Shift') : inOrder([...stroke.modifiers, 'Shift']);
  found.set(text(toggled, key.name), 'with Shift');
  return found;
}

/** Whether two keys touch. */
export function areNext(a: Key, b: Key): boolean {
  return keyDistance(a, b) <= NEXT;
}

function keyNamed(keyboard: Keyboard, name: string): Key | undefined {
  const printed = keyboard.byChar.get(name);
  return printed?.level === 0 ? printed.key : keyboard.keys.find((key) => key.name === name);
}
