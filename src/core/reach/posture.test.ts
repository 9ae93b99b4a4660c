import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { usKeyboard } from '../keyboard/usKeyboard';
import { FINGERS, HANDS, type Hand, middleOf, type Point, restOf, spanOf } from './hand';
import { bestPosture, COST, type Posture } from './posture';

const lay = (hand: Hand, ...codes: readonly string[]): Posture | null =>
  bestPosture(
    codes.map((code) => middleOf(usKeyboard, code)),
    restOf(usKeyboard, hand),
    hand,
    true,
  );
const fingers = (posture: Posture | null) => posture?.fingers.map((one) => FINGERS[one]);
const cost = (posture: Posture | null): number => posture?.cost ?? Number.POSITIVE_INFINITY;
const codes = usKeyboard.keys.map((key) => key.code);

describe('the best posture of a hand', () => {
  it.each<readonly [hand: Hand, codes: readonly string[], on: readonly string[]]>([
    ['left', ['KeyF'], ['index']],
    ['left', ['KeyA'], ['little']],
    ['left', ['Space'], ['thumb']],
    ['right', ['KeyK'], ['middle']],
    ['left', ['ShiftLeft', 'KeyF'], ['little', 'index']],
    ['left', ['KeyS', 'KeyD', 'KeyF'], ['ring', 'middle', 'index']],
  ])('%s hand on %j', (hand, on, wanted) => expect(fingers(lay(hand, ...on))).toEqual(wanted));

  it('costs hardly anything where the fingers rest, and more the further they go', () => {
    expect(lay('left', 'KeyF')).toMatchObject({ travel: 0, spread: 0 });
    expect(cost(lay('left', 'KeyF'))).toBeLessThan(0.02);
    const away = ['KeyF', 'KeyR', 'Digit4', 'F4', 'F9'].map((code) => cost(lay('left', code)));
    expect(away).toEqual([...away].sort((a, b) => a - b));
    // What is held besides costs as much as is said, on keys where the fingers rest.
    expect(cost(lay('left', 'KeyF', 'KeyD')) - cost(lay('left', 'KeyF'))).toBeGreaterThanOrEqual(COST.held[1]);
  });

  it('is none where no two fingers reach, whichever the hand', () => {
    for (const hand of HANDS) expect(lay(hand, 'ShiftLeft', 'NumpadAdd')).toBeNull();
  });

  it('is possible: each finger once, none further from another than their span, none crossed', () => {
    let some = 0;
    fc.assert(
      fc.property(
        fc.constantFrom(...HANDS),
        fc.uniqueArray(fc.constantFrom(...codes), { minLength: 1, maxLength: 4 }),
        (hand, on) => {
          const posture = lay(hand, ...on);
          if (!posture) return;
          some++;
          const points = on.map((code) => middleOf(usKeyboard, code));
          expect(new Set(posture.fingers).size).toBe(on.length);
          const outward = hand === 'left' ? -1 : 1;
          posture.fingers.forEach((a, i) => {
            posture.fingers.forEach((b, j) => {
              if (a >= b) return;
              const [p, q] = [points[i] as Point, points[j] as Point];
              expect(Math.hypot(p.x - q.x, p.y - q.y)).toBeLessThanOrEqual(spanOf(a, b).most + 1e-9);
              if (a > 0) expect((q.x - p.x) * outward).toBeGreaterThan(0);
            });
          });
        },
      ),
    );
    expect(some).toBeGreaterThan(20);
  });

  it('is the same whatever order the keys are told in, and no key more costs less', () => {
    fc.assert(
      fc.property(fc.uniqueArray(fc.constantFrom(...codes), { minLength: 2, maxLength: 3 }), (on) => {
        expect(cost(lay('left', ...on.toReversed()))).toBeCloseTo(cost(lay('left', ...on)), 9);
        expect(cost(lay('left', ...on))).toBeGreaterThanOrEqual(cost(lay('left', ...on.slice(1))));
      }),
    );
  });
});
