import type { Where } from '../keyboard/where';
import type { Keymap } from '../keymap/keymap';
import type { CommandId, Program } from '../program/program';
import type { Ink } from '../workspace/dressing';
import type { SheetSpec } from './sheetSpec';
import type { SideBySide } from './sideBySide';

/** What is wanted of a keymap as a sheet. */
export type SheetRequest = {
  readonly program: Program;
  readonly keymapName: string;
  readonly keymap: Keymap;
  readonly factory: Keymap;
  readonly spec: SheetSpec;
  readonly footer: string;
  /** The inks that menu lines are marked with. */
  readonly marks?: ReadonlyMap<CommandId, Ink>;
  /** How often a day each command is used, for the most used. */
  readonly uses?: ReadonlyMap<CommandId, number>;
  /** The keyboard that a key poster draws; a usual one where none is named. */
  readonly where?: Where;
  /** What a sheet of several programs shows. */
  readonly sideBySide?: SideBySide;
  /** What a difference sheet compares with; the factory's where none is named. */
  readonly base?: { readonly name: string; readonly keymap: Keymap };
};
