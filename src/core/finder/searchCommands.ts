import type { Command } from '../program/program';
import { findCommands } from './findCommands';
import type { SearchIndex } from './searchIndex';

/** The commands a query finds, best first; equals keep the program's own order. An empty query finds all. */
export const searchCommands = (index: SearchIndex, typed: string): readonly Command[] =>
  findCommands(index, typed).commands;
