import type { KeymapView } from '../keymap/keymapView';
import type { Versioned } from '../sync/versioned';

/** A keymap to be carried into the program by hand, the one the program has now, and what is ticked off. */
export type ChangeListView = {
  readonly view: KeymapView;
  readonly from: KeymapView;
  readonly keymaps: readonly { readonly slug: string; readonly name: string; readonly owner: string }[];
  readonly ticks: Versioned<readonly string[]>;
};
