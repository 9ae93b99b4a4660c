import type { Chosen } from '../finder/chosen';
import type { KeymapView } from '../keymap/keymapView';
import type { CommandId } from '../program/program';
import type { Versioned } from '../sync/versioned';
import type { Elsewhere } from './advisor';
import type { WishList } from './wishList';

/** What advice on a keymap knows of the person besides it: uses a day as told, and their keys in other programs. */
export type AdviceView = {
  readonly uses: Readonly<Record<CommandId, number>>;
  readonly elsewhere: readonly Elsewhere[];
  /** What was chosen for words typed into the finder. */
  readonly chosen: Versioned<Chosen>;
};

/** The wish list of a keymap with all it is planned from; null where none was made yet. */
export type WishesView = Pick<AdviceView, 'elsewhere'> & {
  readonly view: KeymapView;
  readonly list: Versioned<WishList | null>;
  readonly uses: Versioned<AdviceView['uses']>;
};
