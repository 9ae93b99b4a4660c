import type { Elsewhere } from '../advice/advisor';
import type { WishList } from '../advice/wishList';
import type { ChordText } from '../chord/chord';
import type { Said } from '../counterpart/knownPairs';
import type { KeymapInBrief } from '../keymap/inBrief';
import type { Row } from '../keymap/keymap';
import type { Change, Ticket } from '../keymap/ticket';
import type { CommandId, Program } from '../program/program';
import type { Reading } from '../reading/readCommandList';
import type { SheetSpec } from '../sheet/sheetSpec';
import type { Versioned } from '../sync/versioned';
import type { Derivation, MatchPlan } from '../transfer/matchPlan';
import type { Dressing } from '../workspace/dressing';
import type { Room, Workspace } from '../workspace/room';

/** What the server hands to the screens. Plain data, so that it can cross the wire. */

/** Where a draft stands. */
export type DraftState = {
  readonly id: number;
  readonly slug: string;
  readonly name: string;
  readonly owner: string;
  readonly factory: boolean;
  readonly unnamed: boolean;
  readonly locked: boolean;
  readonly revision: number;
  /** How many tickets of the tape are applied. */
  readonly cursor: number;
  /** Where on the tape the last kept version stands; null when the tape no longer leads there. */
  readonly keptCursor: number | null;
};

/** What an edit did to a draft, as whoever shows it needs to follow. */
export type DraftAnswer = {
  readonly state: DraftState;
  /** What it did to the bindings. */
  readonly changes: readonly Change[];
  /** What became of the tape: so many of its tickets stay, and one may be added that holds these changes. */
  readonly tape: { readonly stays: number; readonly added: Omit<Ticket, 'changes'> | null };
  /** Whether how the draft stands now is what is kept. */
  readonly keeps: boolean;
};
/** The number of a keymap that an edit was done on before, when it was sent the first time. */
export type DoneBefore = { readonly doneOn: number };

/** One keymap with its program, as Board and Sheets show it. Kept and factory state are given as changes from the draft. */
export type KeymapView = {
  readonly programSlug: string;
  readonly program: Program;
  readonly draft: DraftState;
  readonly bindings: readonly Row[];
  readonly spares: readonly CommandId[];
  readonly toKept: readonly Change[];
  readonly toFactory: readonly Change[];
  /** The newest tickets of the tape, undone ones among them. */
  readonly tape: readonly Ticket[];
  /** So many came before these. */
  readonly earlier: number;
};

/** What advice on a keymap knows of the person besides it: uses a day as told, and their keys in other programs. */
export type AdviceView = {
  readonly uses: Readonly<Record<CommandId, number>>;
  readonly elsewhere: readonly Elsewhere[];
};
/** The wish list of a keymap with all it is planned from; null where none was made yet. */
export type WishesView = Pick<AdviceView, 'elsewhere'> & {
  readonly view: KeymapView;
  readonly list: Versioned<WishList | null>;
  readonly uses: Versioned<AdviceView['uses']>;
};

/** A keymap and the one it is to feel like; null for that where there is no other program. */
export type MatchView = {
  readonly view: KeymapView;
  readonly theirs: KeymapView | null;
  readonly said: Versioned<readonly Said[]>;
  /** The names of programs by their addresses. */
  readonly programNames: Readonly<Record<string, string>>;
  /** Uses a day as told, here and there. */
  readonly uses: Readonly<Record<CommandId, number>>;
  readonly usesThere: Readonly<Record<CommandId, number>>;
  readonly plan: Versioned<MatchPlan | null>;
  /** Where the keymap was derived from the other. */
  readonly derivation: Versioned<Derivation | null>;
};
/** Several keymaps to be compared at once, and what was said of counterparts. */
export type ProgramsView = Pick<MatchView, 'said' | 'programNames'> & {
  readonly views: readonly KeymapView[];
  /** Uses a day as told, for each of them. */
  readonly uses: readonly Readonly<Record<CommandId, number>>[];
};

/** A keymap as the Shelf lists it. */
export type KeymapSummary = KeymapInBrief & {
  readonly id: number;
  readonly slug: string;
  readonly name: string;
  readonly owner: string;
  readonly factory: boolean;
  readonly unnamed: boolean;
  readonly locked: boolean;
  readonly putAway: boolean;
  readonly lastUsed: string | null;
};
export type ProgramSummary = {
  readonly slug: string;
  readonly name: string;
  /** What it is called among the others. */
  readonly label: string;
  readonly version: string;
  readonly commands: number;
  readonly putAway: boolean;
  readonly keymaps: readonly KeymapSummary[];
};

/** A kept version of a keymap, with what it changed from the one kept before it. */
export type KeptVersion = {
  readonly number: number;
  readonly keptAt: string;
  readonly bindings: number;
  readonly changes: readonly Change[];
  /** What would lead from the draft as it stands to this version. */
  readonly toHere: readonly Change[];
};

/** What a program says of itself, as its own screen shows it. */
export type ProgramView = {
  readonly slug: string;
  readonly revision: number;
  readonly program: Program;
  /** How many keys each command came with; those can't be taken from the list. */
  readonly factoryKeys: Readonly<Record<CommandId, readonly ChordText[]>>;
  readonly lastStep: string | null;
};

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

/** A keymap to be carried into the program by hand, the one the program has now, and what is ticked off. */
export type ChangeListView = {
  readonly view: KeymapView;
  readonly from: KeymapView;
  readonly keymaps: readonly { readonly slug: string; readonly name: string; readonly owner: string }[];
  readonly ticks: Versioned<readonly string[]>;
};

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

/** What a file turned out to be, before it is brought in. */
export type Preview =
  | { readonly kind: 'list'; readonly reading: Reading; readonly encoding: string; readonly name: string }
  | {
      readonly kind: 'program file';
      readonly name: string;
      readonly version: string;
      readonly commands: number;
      readonly keymaps: readonly { readonly name: string; readonly owner: string }[];
    };
