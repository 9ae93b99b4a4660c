import type { Keyboard } from '../keyboard/keyboard';

/** Which hand is free for the keys; the other holds the pen. */
export const HANDS = ['left', 'right'] as const;
export type Hand = (typeof HANDS)[number];
export const FINGERS = ['thumb', 'index', 'middle', 'ring', 'little'] as const;
/** A finger by its place in FINGERS. */
export type Finger = 0 | 1 | 2 | 3 | 4;
export type Point = { readonly x: number; readonly y: number };

/** The keys that index to little finger rest on, for either hand; the thumb rests below, beside the index finger. */
const HOME: Readonly<Record<Hand, readonly string[]>> = {
  left: ['KeyF', 'KeyD', 'KeyS', 'KeyA'],
  right: ['KeyJ', 'KeyK', 'KeyL', 'Semicolon'],
};

/** Where the five fingers of a hand rest on a keyboard, thumb first, in key units. */
export function restOf(keyboard: Keyboard, hand: Hand): readonly Point[] {
  const [index, ...others] = HOME[hand].map((code) => middleOf(keyboard, code));
  const space = middleOf(keyboard, 'Space');
  const at = index ?? space;
  return [{ x: at.x + (hand === 'left' ? 0.4 : -0.4), y: space.y }, at, ...others];
}

/** The middle of a key. */
export function middleOf(keyboard: Keyboard, code: string): Point {
  const key = keyboard.byCode.get(code);
  if (!key) return { x: 0, y: 0 };
  return { x: key.x + key.width / 2, y: key.y + key.height / 2 };
}

/**
 * How far apart two fingers rest easily and can be at most, in key units (19.05 mm).
 * Source: the largest relaxed and practicable spans in R. Parncutt, J. A. Sloboda, E. F. Clarke, M. Raekallio and
 * P. Desain, An ergonomic model of keyboard fingering for melodic fragments, Music Perception 14 (1997), in semitones of
 * 13.75 mm.
 */
const SEMITONE = 13.75 / 19.05;
const SPANS: readonly (readonly [a: Finger, b: Finger, relaxed: number, most: number])[] = [
  [0, 1, 5, 10],
  [0, 2, 7, 12],
  [0, 3, 9, 14],
  [0, 4, 11, 15],
  [1, 2, 2, 5],
  [1, 3, 4, 7],
  [1, 4, 6, 10],
  [2, 3, 2, 4],
  [2, 4, 4, 7],
  [3, 4, 2, 5],
];
type Span = { readonly relaxed: number; readonly most: number };
const NO_SPAN: Span = { relaxed: 0, most: 0 };
const SPAN_OF: readonly Span[] = Array.from({ length: 25 }, (_, i) => {
  const found = SPANS.find(([a, b]) => a * 5 + b === i || b * 5 + a === i);
  return found ? { relaxed: found[2] * SEMITONE, most: found[3] * SEMITONE } : NO_SPAN;
});

/** The spans of two fingers. */
export function spanOf(a: Finger, b: Finger): Span {
  return SPAN_OF[a * 5 + b] ?? NO_SPAN;
}
