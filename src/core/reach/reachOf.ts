import type { ChordText, Stroke } from '../chord/chord';
import { parseCanonical } from '../chord/parseChord';
import type { Keyboard } from '../keyboard/keyboard';
import type { Where } from '../keyboard/where';
import { type Finger, type Hand, middleOf, type Point, restOf, spanOf } from './hand';
import { modifierKeys } from './modifierKeys';

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

/**
 * What each thing costs, in our own measure: chosen so that the pairs in fixtures/easier.tsv come out as people order
 * them. A figure of 0.5 is a cost of about 0.55.
 */
const COST = {
  /** The hand moving by one key unit; more for each unit beyond those where it still knows its way without looking. */
  travel: 0.075,
  blind: 3,
  away: 0.05,
  /** The hand crossing the body, beyond two key units. */
  inward: 0.025,
  /** Per finger: stretching by one key unit; the thumb sweeps sideways with less. */
  stretch: [0.05, 0.1, 0.1, 0.1, 0.1],
  /** Per finger, thumb first: the weaker ones tire. */
  finger: [0.01, 0, 0.005, 0.03, 0.05],
  /** Per finger: curled down to the row of the space bar, which is the thumb's; the little finger reaches its corner. */
  curled: [0, 0.12, 0.12, 0.12, 0.06],
  /** The thumb above its row, per key unit. */
  raised: 0.08,
  /** Every key held besides the one pressed, each further one more. */
  held: [0, 0.14, 0.32, 0.54, 0.8],
  /** Fingers spread as far as they go. */
  spread: 0.6,
  /** The thumb folded under the hand as far as it goes. */
  under: 0.25,
  /** The pen put down, found again and aimed anew; more for each key unit that its hand reaches into the other's half. */
  penDown: 0.85,
  across: 0.05,
  /** Every further stroke. */
  stroke: 0.1,
  scale: 0.8,
} as const;
/** How much of a way the hand moves rather than the finger stretches: weights of their squares. */
const HAND_WEIGHT = 0.12;
/** How far the thumb folds under the hand easily and at most (Parncutt et al. 1997, thumb and index finger). */
const UNDER = { easy: 1.4, most: 3.7 };

type Posture = {
  readonly cost: number;
  readonly travel: number;
  readonly spread: number;
  readonly span: number;
  readonly fingers: readonly Finger[];
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
  /** How one hand lies best on some keys, the hand with the pen from anywhere; answers are remembered. */
  readonly posture: (codes: readonly string[], hand: Hand) => Posture | null;
};

function handsOn(where: Where, free: Hand): Model {
  const { keyboard } = where;
  const rest = { left: restOf(keyboard, 'left'), right: restOf(keyboard, 'right') };
  const answers = new Map<string, Posture | null>();
  const posture: Model['posture'] = (codes, hand) => {
    const id = hand + codes.join();
    let found = answers.get(id);
    if (found === undefined) {
      const points = codes.map((code) => middleOf(keyboard, code));
      found = bestPosture(points, rest[hand], hand, hand === free);
      answers.set(id, found);
    }
    return found;
  };
  return { where, hand: free, posture };
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
function acrossBy({ where: { keyboard } }: Model, pen: Hand, codes: readonly string[]): number {
  const home = restOf(keyboard, pen)[1]?.x ?? 0;
  const past = codes.map((code) => (home - middleOf(keyboard, code).x) * (pen === 'right' ? 1 : -1));
  return Math.max(0, ...past);
}

/** Whether the arms would cross, the left hand lying right of the right one. */
function crossed({ where, hand }: Model, free: readonly string[], pen: readonly string[]): boolean {
  const at = (codes: readonly string[]) => codes.map((code) => middleOf(where.keyboard, code).x);
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

/** The least costly way for one hand to be on all these keys at once; null where it can't. */
function bestPosture(points: readonly Point[], rest: readonly Point[], hand: Hand, fromPlace: boolean): Posture | null {
  const outward = hand === 'left' ? -1 : 1;
  const n = points.length;
  for (let i = 0; i < n; i++) for (let j = 0; j < i; j++) if (apart(points, i, j) > spanOf(0, 4).most) return null;
  const fingers: Finger[] = [];
  let best: Posture | null = null;
  const place = (at: number, used: number): void => {
    if (at === n) {
      const found = postureOf(points, fingers, rest, outward, fromPlace);
      if (!best || found.cost < best.cost) best = { ...found, fingers: [...fingers] };
      return;
    }
    for (let finger = 0; finger < 5; finger++) {
      if (used & (1 << finger)) continue;
      let fits = true;
      for (let i = 0; fits && i < at; i++) {
        const before = fingers[i] as Finger;
        fits =
          before < finger
            ? together(points[i] as Point, before, points[at] as Point, finger as Finger, outward)
            : together(points[at] as Point, finger as Finger, points[i] as Point, before, outward);
      }
      if (!fits) continue;
      fingers[at] = finger as Finger;
      place(at + 1, used | (1 << finger));
    }
  };
  place(0, 0);
  return best;
}

function apart(points: readonly Point[], i: number, j: number): number {
  const p = points[i] as Point;
  const q = points[j] as Point;
  return Math.sqrt((p.x - q.x) ** 2 + (p.y - q.y) ** 2);
}

/** Whether two fingers, the one nearer the thumb first, can be on two places: in reach, not crossed, the thumb below. */
function together(p: Point, a: Finger, q: Point, b: Finger, outward: number): boolean {
  const { most } = spanOf(a, b);
  if ((p.x - q.x) ** 2 + (p.y - q.y) ** 2 > most * most) return false;
  const out = (q.x - p.x) * outward;
  return a === 0 ? q.y <= p.y + 0.1 && out >= -UNDER.most : out > 0.2;
}

/** What a posture costs: the hand moved as a whole to where its fingers stretch least, then each finger by itself. */
function postureOf(
  points: readonly Point[],
  fingers: readonly Finger[],
  rest: readonly Point[],
  outward: number,
  fromPlace: boolean,
): Posture {
  const n = points.length;
  let dx = 0;
  let dy = 0;
  for (let i = 0; i < n; i++) {
    const home = rest[fingers[i] as number] as Point;
    dx += (points[i] as Point).x - home.x;
    dy += (points[i] as Point).y - home.y;
  }
  // The least of HAND_WEIGHT |move|² + Σ |way - move|².
  const share = fromPlace ? 1 / (HAND_WEIGHT + n) : 1 / n;
  dx *= share;
  dy *= share;
  const travel = fromPlace ? Math.sqrt(dx * dx + dy * dy) : 0;
  const inward = fromPlace ? Math.max(0, -dx * outward - 2) : 0;
  let cost = COST.travel * travel + COST.away * Math.max(0, travel - COST.blind) + COST.inward * inward;
  cost += COST.held[n - 1] ?? 1;
  let spread = 0;
  let span = 0;
  for (let i = 0; i < n; i++) {
    const finger = fingers[i] as Finger;
    const home = rest[finger] as Point;
    const p = points[i] as Point;
    cost += COST.finger[finger] + COST.stretch[finger] * Math.sqrt((p.x - home.x - dx) ** 2 + (p.y - home.y - dy) ** 2);
    if (p.y > (rest[0] as Point).y - 0.1) cost += COST.curled[finger];
    else if (finger === 0) cost += COST.raised * ((rest[0] as Point).y - p.y);
    for (let j = 0; j < i; j++) {
      const other = fingers[j] as Finger;
      const far = apart(points, i, j);
      const { relaxed, most } = spanOf(finger, other);
      if (far > span) span = far;
      if (far > relaxed) spread = Math.max(spread, (far - relaxed) / (most - relaxed));
      if (finger !== 0 && other !== 0) continue;
      const q = points[j] as Point;
      const under = (finger === 0 ? p.x - q.x : q.x - p.x) * outward;
      if (under > UNDER.easy) cost += (COST.under * (under - UNDER.easy)) / (UNDER.most - UNDER.easy);
    }
  }
  return { cost: cost + COST.spread * spread, travel, spread, span, fingers };
}
