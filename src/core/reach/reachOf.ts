import type { ChordText, Stroke } from '../chord/chord';
import { parseCanonical } from '../chord/parseChord';
import type { Keyboard } from '../keyboard/keyboard';
import type { Where } from '../keyboard/where';
import { type Finger, type Hand, middleOf, type Point, restOf } from './hand';
import { modifierKeys } from './modifierKeys';
import { bestPosture, COST, type Posture } from './posture';

/** One key of a chord and who presses it. */
export type Touch = { readonly code: string; readonly hand: Hand; readonly finger: Finger };

/**
 * How well a chord can be reached: a figure from 0 (under the fingers) to 1, and what it is made of.
 * Lengths are in key units of 19.05 mm.
 */
export type Reach = {
  readonly figure: number;
  /** Both: the hand with the pen has to put it down. None: there is no such key on this keyboard. */
  readonly hands: 'free' | 'both' | 'none';
  /** How many keys are held down together, the last included. */
  readonly keys: number;
  /** How far the free hand leaves its place. */
  readonly travel: number;
  /** How far the fingers of one hand are spread beyond what is easy, from 0 to 1 (as far as they go). */
  readonly spread: number;
  /** How far apart the outermost fingers of one hand are. */
  readonly span: number;
  readonly strokes: number;
  readonly touches: readonly Touch[];
};

export type ReachOf = (chord: ChordText) => Reach;
const known = new Map<Where, Map<Hand, ReachOf>>();

/** Reach on a keyboard for a free hand; the same function each time, which remembers its answers. */
export function reachOf(where: Where, hand: Hand): ReachOf {
  const hands = known.get(where) ?? new Map<Hand, ReachOf>();
  known.set(where, hands);
  let reach = hands.get(hand);
  if (!reach) {
    const answers = new Map<ChordText, Reach>();
    const model = handsOn(where, hand);
    reach = (chord) => {
      let answer = answers.get(chord);
      if (!answer) {
        if (answers.size > 20_000) answers.clear();
        answer = chordReach(model, chord);
        answers.set(chord, answer);
      }
      return answer;
    };
    hands.set(hand, reach);
  }
  return reach;
}

type Model = {
  readonly where: Where;
  readonly hand: Hand;
  readonly middle: (code: string) => Point;
  readonly rest: Readonly<Record<Hand, readonly Point[]>>;
  /** How one hand lies best on some keys, the hand with the pen from anywhere; answers are remembered. */
  readonly posture: (codes: readonly string[], hand: Hand) => Posture | null;
};

function handsOn(where: Where, free: Hand): Model {
  const { keyboard } = where;
  const rest = { left: restOf(keyboard, 'left'), right: restOf(keyboard, 'right') };
  const middles = new Map(keyboard.keys.map((key) => [key.code, middleOf(keyboard, key.code)]));
  const middle = (code: string): Point => middles.get(code) ?? middleOf(keyboard, code);
  const answers = new Map<string, Posture | null>();
  const posture: Model['posture'] = (codes, hand) => {
    const id = hand + codes.join();
    let found = answers.get(id);
    if (found === undefined) {
      const points = codes.map(middle);
      found = bestPosture(points, rest[hand], hand, hand === free);
      answers.set(id, found);
    }
    return found;
  };
  return { where, hand: free, middle, rest, posture };
}

const NO_KEY: Reach = { figure: 1, hands: 'none', keys: 0, travel: 0, spread: 0, span: 0, strokes: 1, touches: [] };

function chordReach(model: Model, text: ChordText): Reach {
  const chord = parseCanonical(model.where.place(text));
  if (!chord) return NO_KEY;
  const strokes = chord.strokes.map((stroke) => strokeReach(model, stroke));
  const [first = NO_KEY, ...rest] = strokes;
  if (strokes.some((one) => one.hands === 'none')) return NO_KEY;
  if (rest.length === 0) return first;
  const cost = strokes.reduce((sum, one) => sum - COST.scale * Math.log(1 - one.figure), 0);
  return {
    figure: figureOf(cost + COST.stroke * rest.length),
    hands: strokes.some((one) => one.hands === 'both') ? 'both' : 'free',
    keys: Math.max(...strokes.map((one) => one.keys)),
    travel: Math.max(...strokes.map((one) => one.travel)),
    spread: Math.max(...strokes.map((one) => one.spread)),
    span: Math.max(...strokes.map((one) => one.span)),
    strokes: strokes.length,
    touches: strokes.flatMap((one) => one.touches),
  };
}

const figureOf = (cost: number): number => 1 - Math.exp(-cost / COST.scale);

function strokeReach(model: Model, stroke: Stroke): Reach {
  const { keyboard, desktop } = model.where;
  const sides = stroke.modifiers.map((modifier) => modifierKeys(keyboard, desktop, modifier));
  if (stroke.key !== null) {
    const at = keyOf(keyboard, stroke.key);
    if (!at) return NO_KEY;
    if (at.altGr) sides.push(['AltRight']);
    sides.push([at.code]);
  }
  if (sides.length === 0 || sides.some((one) => one.length === 0)) return NO_KEY;
  let best: Reach = NO_KEY;
  let least = Infinity;
  const ways = combinations(sides);
  for (const codes of ways) {
    const free = model.posture(codes, model.hand);
    if (free && free.cost < least) {
      least = free.cost;
      best = answer(model, codes, [[model.hand, free, codes.map((_, i) => i)]], free.cost);
    }
  }
  // The pen goes down only where one hand alone finds it hard.
  if (least < COST.penDown) return best;
  for (const codes of ways) {
    for (const penKeys of splits(codes.length)) {
      const both = twoHands(model, codes, penKeys);
      if (both && both.cost < least) {
        least = both.cost;
        best = answer(model, codes, both.parts, both.cost);
      }
    }
  }
  return best;
}

type Part = readonly [hand: Hand, posture: Posture, places: readonly number[]];

/** Which keys the hand with the pen presses: all of them, the last, or all but the last. */
function splits(keys: number): readonly (readonly number[])[] {
  const all = Array.from({ length: keys }, (_, i) => i);
  return keys === 1 ? [all] : [all, all.slice(-1), all.slice(0, -1)];
}

function twoHands(
  model: Model,
  codes: readonly string[],
  penKeys: readonly number[],
): { readonly cost: number; readonly parts: readonly Part[] } | null {
  const pen = model.hand === 'left' ? 'right' : 'left';
  const freeKeys = codes.map((_, i) => i).filter((i) => !penKeys.includes(i));
  const pick = (places: readonly number[]) => places.map((i) => codes[i] as string);
  const penPosture = model.posture(pick(penKeys), pen);
  if (!penPosture) return null;
  const parts: Part[] = [[pen, penPosture, penKeys]];
  const across = acrossBy(model, pen, pick(penKeys));
  const penCost = COST.penDown + penPosture.cost + COST.across * across;
  if (freeKeys.length === 0) return { cost: penCost, parts };
  if (crossed(model, pick(freeKeys), pick(penKeys))) return null;
  const freePosture = model.posture(pick(freeKeys), model.hand);
  if (!freePosture) return null;
  parts.push([model.hand, freePosture, freeKeys]);
  return { cost: penCost + freePosture.cost + COST.held[1], parts };
}

/** How far the hand with the pen reaches past the home of its index finger, into the other's half. */
function acrossBy({ middle, rest }: Model, pen: Hand, codes: readonly string[]): number {
  const home = rest[pen][1]?.x ?? 0;
  const past = codes.map((code) => (home - middle(code).x) * (pen === 'right' ? 1 : -1));
  return Math.max(0, ...past);
}

/** Whether the arms would cross, the left hand lying right of the right one. */
function crossed({ middle, hand }: Model, free: readonly string[], pen: readonly string[]): boolean {
  const at = (codes: readonly string[]) => codes.map((code) => middle(code).x);
  return hand === 'left' ? Math.max(...at(free)) > Math.min(...at(pen)) : Math.min(...at(free)) < Math.max(...at(pen));
}

function answer(model: Model, codes: readonly string[], parts: readonly Part[], cost: number): Reach {
  return {
    figure: figureOf(cost),
    hands: parts.some(([hand]) => hand !== model.hand) ? 'both' : 'free',
    keys: codes.length,
    travel: Math.max(...parts.map(([hand, posture]) => (hand === model.hand ? posture.travel : 0))),
    spread: Math.max(...parts.map(([, posture]) => posture.spread)),
    span: Math.max(...parts.map(([, posture]) => posture.span)),
    strokes: 1,
    touches: parts.flatMap(([hand, posture, places]) =>
      places.map((place, i): Touch => ({ code: codes[place] ?? '', hand, finger: posture.fingers[i] ?? 1 })),
    ),
  };
}

/** The physical key that gives a key of a chord, and whether AltGr has to be held for it. */
function keyOf(keyboard: Keyboard, name: string): { readonly code: string; readonly altGr: boolean } | null {
  const printed = keyboard.byChar.get(name);
  if (printed) return { code: printed.key.code, altGr: printed.level >= 2 };
  const named = keyboard.keys.find((key) => key.name === name);
  return named ? { code: named.code, altGr: false } : null;
}

/** Every way of taking one of each. */
function combinations(sides: readonly (readonly string[])[]): string[][] {
  return sides.reduce<string[][]>((so, codes) => so.flatMap((one) => codes.map((code) => [...one, code])), [[]]);
}
