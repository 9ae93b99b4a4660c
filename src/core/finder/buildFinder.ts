import type { Command, CommandId } from '../program/program';
import { type Found, findCommands } from './findCommands';
import { buildSearchIndex } from './searchIndex';

/** Finds commands by what was typed; what was chosen for the same words before comes first. */
export type Find = (typed: string, chosen?: CommandId) => Found;

/** Prepares to find commands, with all that is known of words: to be loaded when it is needed. */
export function buildFinder(commands: readonly Command[]): Find {
  const index = buildSearchIndex(commands);
  return (typed, chosen) => findCommands(index, typed, chosen);
}
