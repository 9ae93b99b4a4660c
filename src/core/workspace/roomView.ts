import type { KeymapView } from '../keymap/keymapView';
import type { Room, Workspace } from './room';

/** The shapes of icons by their names, each the tags and attributes of its parts. */
export type IconShapes = readonly (readonly [tag: string, attributes: Readonly<Record<string, string>>])[];

export type Icons = Readonly<Record<string, IconShapes>>;

/** Where a person's room in a program stands; what the interface needs to follow. */
export type RoomState = {
  readonly person: string;
  readonly room: Room;
  /** The workspace switched to or kept last; null for none. */
  readonly workspace: number | null;
  readonly revision: number;
  /** How many steps are applied, and what each is called, undone ones at the end. */
  readonly cursor: number;
  readonly steps: readonly string[];
};

export type WorkspaceVersion = { readonly number: number; readonly keptAt: string; readonly contents: Workspace };

export type WorkspaceSummary = {
  readonly id: number;
  readonly slug: string;
  readonly name: string;
  readonly owner: string;
  readonly putAway: boolean;
  /** Every version, the newest first; the newest is what the workspace holds. */
  readonly versions: readonly WorkspaceVersion[];
};

/** What surrounds the keys of a program: the room as it stands, how it came, what is kept, and its keymaps. */
export type RoomView = {
  readonly state: RoomState;
  readonly factory: Room;
  readonly workspaces: readonly WorkspaceSummary[];
  readonly keymaps: readonly {
    readonly id: number;
    readonly slug: string;
    readonly name: string;
    readonly owner: string;
  }[];
  readonly icons: Icons;
};

export type WorkspacesView = {
  readonly roomView: RoomView;
  /** The keymap that belongs to the room. */
  readonly view: KeymapView;
  /** Everybody who owns something here, for the person picker. */
  readonly persons: readonly string[];
};
