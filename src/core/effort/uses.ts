import type { Command, CommandId, Kind } from '../program/program';

/** How often a day a command is used, by its kind, until somebody says better: our own guess. */
export const GUESSED_USES: Readonly<Record<Kind, number>> = {
  tool: 12,
  'held action': 15,
  value: 5,
  'menu item': 2,
  panel: 1,
  script: 1,
};

/** The counts that a person has told, by command. */
export type Uses = ReadonlyMap<CommandId, number>;

/** Uses a day: as told, else as guessed by kind; a spare is never used. */
export function usesOf(command: Command, told: Uses, spare = false): number {
  return told.get(command.id) ?? (spare ? 0 : GUESSED_USES[command.kind]);
}

/** The most that is believed of one command. */
export const MOST_USES = 100_000;
