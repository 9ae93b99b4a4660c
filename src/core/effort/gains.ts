import { bindingsOf, type Keymap } from '../keymap/keymap';
import type { Command, Program } from '../program/program';
import { FINGERS, HANDS, type Hand } from '../reach/hand';
import type { Reach, ReachOf } from '../reach/reachOf';
import { secondsPerUse } from './klm';
import { type Uses, usesOf } from './uses';

/** What one command costs before and after, in seconds a day. */
export type Gain = {
  readonly command: Command;
  readonly uses: number;
  readonly before: number;
  readonly after: number;
};
/** Steps of reach, each a tenth: how many uses a day fall into it, those through menus apart. */
export type Spread = { readonly steps: readonly number[]; readonly menus: number };
export type FingerLoad = { readonly hand: Hand; readonly finger: (typeof FINGERS)[number]; readonly presses: number };

/** What a keymap brings against another, by the Keystroke-Level Model; an estimate. */
export type Gains = {
  readonly minutesBefore: number;
  readonly minutesAfter: number;
  /** Commands that differ, those that bring most first; those that lose come last. */
  readonly commands: readonly Gain[];
  readonly reachBefore: Spread;
  readonly reachAfter: Spread;
  readonly fingersBefore: readonly FingerLoad[];
  readonly fingersAfter: readonly FingerLoad[];
};

/** Compares two keymaps of a program by how long a day's uses take and which fingers do them. */
export function gainsOf(program: Program, before: Keymap, after: Keymap, told: Uses, reach: ReachOf): Gains {
  const commands: Gain[] = [];
  const sums = { before: 0, after: 0 };
  for (const command of program.commands) {
    const uses = usesOf(command, told, before.spares.has(command.id));
    const seconds = (keymap: Keymap) => uses * secondsPerUse(command, reachesOf(command, keymap, reach));
    const gain = { command, uses, before: seconds(before), after: seconds(after) };
    sums.before += gain.before;
    sums.after += gain.after;
    if (gain.before !== gain.after) commands.push(gain);
  }
  const left = loads(program, before, told, reach);
  const right = loads(program, after, told, reach);
  return {
    minutesBefore: sums.before / 60,
    minutesAfter: sums.after / 60,
    commands: commands.sort((a, b) => b.before - b.after - (a.before - a.after)),
    reachBefore: left.spread,
    reachAfter: right.spread,
    fingersBefore: left.fingers,
    fingersAfter: right.fingers,
  };
}

function reachesOf(command: Command, keymap: Keymap, reach: ReachOf): Reach[] {
  return bindingsOf(keymap, command.id).map(({ chord }) => reach(chord));
}

/** The easiest of several reaches; undefined where there is none. */
export function easiest(reaches: readonly Reach[]): Reach | undefined {
  return reaches
    .filter((one) => one.hands !== 'none')
    .reduce<Reach | undefined>((best, one) => (!best || one.figure < best.figure ? one : best), undefined);
}

const STEPS = 10;
function loads(
  program: Program,
  keymap: Keymap,
  told: Uses,
  reach: ReachOf,
): { spread: Spread; fingers: FingerLoad[] } {
  const steps = new Array<number>(STEPS).fill(0);
  let menus = 0;
  const presses = new Map<string, number>();
  for (const command of program.commands) {
    const uses = usesOf(command, told, keymap.spares.has(command.id));
    const best = easiest(reachesOf(command, keymap, reach));
    if (!best) {
      menus += uses;
      continue;
    }
    const step = Math.min(STEPS - 1, Math.floor(best.figure * STEPS));
    steps[step] = (steps[step] ?? 0) + uses;
    for (const { hand, finger } of best.touches)
      presses.set(`${hand} ${finger}`, (presses.get(`${hand} ${finger}`) ?? 0) + uses);
  }
  const fingers = HANDS.flatMap((hand) =>
    FINGERS.map((finger, i): FingerLoad => ({ hand, finger, presses: presses.get(`${hand} ${i}`) ?? 0 })),
  );
  return { spread: { steps, menus }, fingers };
}
