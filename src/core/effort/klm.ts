import type { Command } from '../program/program';
import type { Reach } from '../reach/reachOf';

/**
 * Times of the Keystroke-Level Model, in seconds; what is computed with them is an estimate.
 * Source: S. K. Card, T. P. Moran and A. Newell, The keystroke-level model for user performance time with interactive
 * systems, Communications of the ACM 23 (1980), and The Psychology of Human-Computer Interaction (1983): K for an average
 * non-secretary typist, every key held counting as one; P for pointing at a target on the screen, here with the pen; B for
 * pressing or letting go of its tip; H for moving a hand to another device; M for getting ready in the mind.
 */
export const OPERATORS = { K: 0.28, P: 1.1, B: 0.1, H: 0.4, M: 1.35 } as const;
const { K, P, B, H, M } = OPERATORS;

/** From here on the free hand has left its place and has to come back, in key units. */
const LEFT_ITS_PLACE = 3;

/**
 * Seconds for one use with the pen alone: get ready, then point and tap at each step of the way and at the command, then
 * point back at the picture.
 */
export function secondsByMenu(command: Pick<Command, 'path' | 'kind'>): number {
  // A tool stands open in the tool rail; everything else is behind each menu of its path.
  const taps = command.kind === 'tool' ? 1 : command.path.length + 1;
  return M + taps * (P + 2 * B) + P;
}

/** Seconds for one use by keys: get ready, press each key; a hand that leaves pen or place goes there and back. */
export function secondsByKey(reach: Reach): number {
  const away = reach.hands === 'both' || reach.travel > LEFT_ITS_PLACE ? 2 * H : 0;
  return M + K * reach.touches.length + away;
}

/** Seconds for one use in the way that is quickest with the keys a command has. */
export function secondsPerUse(command: Command, reaches: readonly Reach[]): number {
  const possible = reaches.filter((one) => one.hands !== 'none');
  return Math.min(
    command.kind === 'held action' && possible.length === 0 ? M + 2 * (P + 2 * B) : secondsByMenu(command),
    ...possible.map(secondsByKey),
  );
}
