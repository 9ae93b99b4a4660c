import { bindingsOf, type Keymap } from '../keymap/keymap';
import type { Command, Program } from '../program/program';
import type { ReachOf } from '../reach/reachOf';
import { OPERATORS, secondsPerUse } from './klm';
import { type Uses, usesOf } from './uses';

/** Two keys under one hand that stays in its place: about as quick as keys can be. */
const QUICK = OPERATORS.M + 2 * OPERATORS.K;

/** The commands that good keys would save most time with, by uses a day and what each use takes now; spares left out. */
export function bringMost(
  program: Program,
  keymap: Keymap,
  told: Uses,
  reach: ReachOf,
  most: number,
  besides: ReadonlySet<string> = new Set(),
): Command[] {
  return program.commands
    .filter((command) => !besides.has(command.id) && !keymap.spares.has(command.id))
    .map((command) => {
      const bindings = bindingsOf(keymap, command.id);
      const seconds = secondsPerUse(
        command,
        bindings.map(({ chord }) => reach(chord)),
      );
      const fixed = bindings.some((one) => one.keeper);
      return { command, saved: fixed ? 0 : usesOf(command, told) * (seconds - QUICK) };
    })
    .filter((one) => one.saved > 0)
    .sort((a, b) => b.saved - a.saved)
    .slice(0, most)
    .map((one) => one.command);
}
