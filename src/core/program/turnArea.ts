import type { Command, Rules } from './program';

/** The number of the area whose commands take turns on a key that this command belongs to, or -1. */
export function turnArea(command: Pick<Command, 'path'>, rules: Rules): number {
  return rules.turns.findIndex((area) => area.every((step, depth) => command.path[depth] === step));
}
