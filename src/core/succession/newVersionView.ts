import type { KeymapView } from '../keymap/keymapView';
import type { Versioned } from '../sync/versioned';
import type { SaidLink } from './link';
import type { Answers } from './succeed';

/** What the screen of a new version shows. */
export type NewVersionView = {
  /** A keymap of the version before; the factory's where nobody has one. */
  readonly before: KeymapView;
  /** The factory keymap of the new version. */
  readonly after: KeymapView;
  readonly said: Versioned<readonly SaidLink[]>;
  readonly answers: Versioned<Answers>;
  /** The keymaps of the version before, and what was made of them. */
  readonly keymaps: readonly OldKeymap[];
};
export type OldKeymap = {
  readonly slug: string;
  readonly name: string;
  readonly owner: string;
  /** The address of the keymap that was made of it in the new version. */
  readonly moved: string | null;
};

/** A program on the Shelf that a list seems to be another version of. */
export type Follows = {
  readonly slug: string;
  readonly label: string;
  readonly version: string;
  /** So many of its commands are in the list. */
  readonly shared: number;
  readonly of: number;
};
