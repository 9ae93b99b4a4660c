import type { KeymapSummary } from '../keymap/keymapView';

export type ProgramSummary = {
  readonly slug: string;
  readonly name: string;
  /** What it is called among the others. */
  readonly label: string;
  readonly version: string;
  readonly commands: number;
  readonly putAway: boolean;
  /** The version it came from, by its address; null for none. */
  readonly cameFrom: string | null;
  readonly keymaps: readonly KeymapSummary[];
};

/** A keymap that can be switched to, by its address. */
export type KeymapLink = {
  readonly program: string;
  /** What the program is called among the others. */
  readonly programName: string;
  readonly keymap: string;
  readonly name: string;
  readonly owner: string;
  readonly factory: boolean;
};
