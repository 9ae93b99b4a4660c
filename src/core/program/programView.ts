import type { ChordText } from '../chord/chord';
import type { CommandId, Program } from './program';

/** What a program says of itself, as its own screen shows it. */
export type ProgramView = {
  readonly slug: string;
  readonly revision: number;
  readonly program: Program;
  /** How many keys each command came with; those can't be taken from the list. */
  readonly factoryKeys: Readonly<Record<CommandId, readonly ChordText[]>>;
  readonly lastStep: string | null;
};
