import type { KeymapView } from '../keymap/keymapView';
import type { CommandId } from '../program/program';
import type { Versioned } from '../sync/versioned';
import type { Dressing } from '../workspace/dressing';
import type { SheetSpec } from './sheetSpec';

export type KeptSheet = {
  readonly id: number;
  readonly slug: string;
  readonly name: string;
  readonly putAway: boolean;
  readonly spec: SheetSpec;
};

/** What sheets of a keymap are made of, and those that were kept. */
export type SheetsView = {
  readonly view: KeymapView;
  readonly dressing: Dressing;
  readonly uses: Readonly<Record<CommandId, number>>;
  /** The program's other keymaps, to compare with. */
  readonly bases: readonly { readonly id: number; readonly slug: string; readonly name: string }[];
  readonly sheets: Versioned<readonly KeptSheet[]>;
};
