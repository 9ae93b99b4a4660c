import type { CommandId, Program } from '../program/program';
import type { KeymapInBrief } from './inBrief';
import type { Row } from './keymap';
import type { Change, Ticket } from './ticket';

/** Which keymap it is, whose, and of what standing. */
export type KeymapNamed = {
  readonly id: number;
  readonly slug: string;
  readonly name: string;
  readonly owner: string;
  readonly factory: boolean;
  readonly unnamed: boolean;
  readonly locked: boolean;
};

/** Where a draft stands. */
export type DraftState = KeymapNamed & {
  readonly revision: number;
  /** How many tickets of the tape are applied. */
  readonly cursor: number;
  /** How many tickets were undone and then passed over by others since it was kept: they stand beside the tape. */
  readonly leftAside: number;
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

/** A keymap as the Shelf lists it. */
export type KeymapSummary = KeymapInBrief &
  KeymapNamed & {
    readonly putAway: boolean;
    readonly lastUsed: string | null;
  };

/** Tickets that were undone together and then passed over by another, in their order. */
export type LeftAside = { readonly tickets: readonly Ticket[]; readonly leftAt: string };

/** What became of a keymap: its kept versions, and what was left aside since the last of them, the newest first. */
export type History = { readonly versions: readonly KeptVersion[]; readonly leftAside: readonly LeftAside[] };

/** A kept version of a keymap, with what it changed from the one kept before it. */
export type KeptVersion = {
  readonly number: number;
  readonly keptAt: string;
  readonly bindings: number;
  readonly changes: readonly Change[];
  /** What would lead from the draft as it stands to this version. */
  readonly toHere: readonly Change[];
};
