import { type Finger, type Hand, type Point, spanOf } from './hand';

/**
 * What each thing costs, in our own measure: chosen so that the pairs in fixtures/easier.tsv come out as people order
 * them. A figure of 0.5 is a cost of about 0.55.
 */
export const COST = {
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

/** How one hand lies on some keys; lengths in key units. */
export type Posture = {
  readonly cost: number;
  readonly travel: number;
  readonly spread: number;
  readonly span: number;
  readonly fingers: readonly Finger[];
};

/** The least costly way for one hand to be on all these keys at once; null where it can't. */
export function bestPosture(
  points: readonly Point[],
  rest: readonly Point[],
  hand: Hand,
  fromPlace: boolean,
): Posture | null {
  const outward = hand === 'left' ? -1 : 1;
  const n = points.length;
  for (let i = 0; i < n; i++) for (let j = 0; j < i; j++) if (apart(points, i, j) > spanOf(0, 4).most) return null;
  const fingers: Finger[] = [];
  let best: readonly Finger[] | null = null;
  let least = Infinity;
  const place = (at: number, used: number): void => {
    if (at === n) {
      const cost = postureCost(points, fingers, rest, outward, fromPlace);
      if (cost < least) {
        least = cost;
        best = fingers.slice();
      }
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
  return best && postureOf(points, best, rest, fromPlace, least);
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

/** How the hand as a whole moves to where its fingers stretch least: the least of HAND_WEIGHT |move|² + Σ |way - move|². */
function moveOf(
  points: readonly Point[],
  fingers: readonly Finger[],
  rest: readonly Point[],
  fromPlace: boolean,
): Point {
  let x = 0;
  let y = 0;
  for (let i = 0; i < points.length; i++) {
    const home = rest[fingers[i] as number] as Point;
    x += (points[i] as Point).x - home.x;
    y += (points[i] as Point).y - home.y;
  }
  const share = 1 / ((fromPlace ? HAND_WEIGHT : 0) + points.length);
  return { x: x * share, y: y * share };
}

/** What a posture costs: the hand moved as a whole, then each finger by itself, keys held and fingers spread. */
function postureCost(
  points: readonly Point[],
  fingers: readonly Finger[],
  rest: readonly Point[],
  outward: number,
  fromPlace: boolean,
): number {
  const n = points.length;
  const move = moveOf(points, fingers, rest, fromPlace);
  let cost = COST.held[n - 1] ?? 1;
  if (fromPlace) {
    const travel = Math.sqrt(move.x ** 2 + move.y ** 2);
    cost += COST.travel * travel + COST.away * Math.max(0, travel - COST.blind);
    cost += COST.inward * Math.max(0, -move.x * outward - 2);
  }
  let spread = 0;
  for (let i = 0; i < n; i++) {
    const finger = fingers[i] as Finger;
    const home = rest[finger] as Point;
    const p = points[i] as Point;
    const stretch = Math.sqrt((p.x - home.x - move.x) ** 2 + (p.y - home.y - move.y) ** 2);
    cost += COST.finger[finger] + COST.stretch[finger] * stretch;
    if (p.y > (rest[0] as Point).y - 0.1) cost += COST.curled[finger];
    else if (finger === 0) cost += COST.raised * ((rest[0] as Point).y - p.y);
    for (let j = 0; j < i; j++) {
      const other = fingers[j] as Finger;
      spread = Math.max(spread, spreadOf(points, fingers, i, j));
      if (finger !== 0 && other !== 0) continue;
      const q = points[j] as Point;
      const under = (finger === 0 ? p.x - q.x : q.x - p.x) * outward;
      if (under > UNDER.easy) cost += (COST.under * (under - UNDER.easy)) / (UNDER.most - UNDER.easy);
    }
  }
  return cost + COST.spread * spread;
}

/** How far two fingers are spread beyond what is easy, 1 as far as they go. */
function spreadOf(points: readonly Point[], fingers: readonly Finger[], i: number, j: number): number {
  const { relaxed, most } = spanOf(fingers[i] as Finger, fingers[j] as Finger);
  return Math.max(0, (apart(points, i, j) - relaxed) / (most - relaxed));
}

/** A posture with what there is to say of it. */
function postureOf(
  points: readonly Point[],
  fingers: readonly Finger[],
  rest: readonly Point[],
  fromPlace: boolean,
  cost: number,
): Posture {
  const move = moveOf(points, fingers, rest, fromPlace);
  let spread = 0;
  let span = 0;
  for (let i = 0; i < points.length; i++) {
    for (let j = 0; j < i; j++) {
      spread = Math.max(spread, spreadOf(points, fingers, i, j));
      span = Math.max(span, apart(points, i, j));
    }
  }
  return { cost, travel: fromPlace ? Math.hypot(move.x, move.y) : 0, spread, span, fingers };
}
