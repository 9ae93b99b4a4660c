import type { WishList } from '../advice/wishList';
import type { Row } from '../keymap/keymap';
import type { Ticket } from '../keymap/ticket';
import type { OwnForm } from '../ownForm/ownForm';
import type { CommandId, Program } from '../program/program';
import type { Facts } from '../program/programEdits';
import type { Choices } from '../reading/choices';
import type { Corrections } from '../reading/correctRows';
import type { SheetSpec } from '../sheet/sheetSpec';
import type { SaidLink } from '../succession/link';
import type { Answers } from '../succession/succeed';
import type { Derivation, MatchPlan } from '../transfer/matchPlan';
import type { Workspace } from '../workspace/room';
import type { Said } from '../writeBack/spelling';

/** What tells a program, a keymap or a workspace from all others on any computer. */
export type Uid = string;
/** A moment, as ISO 8601 has it. */
export type Moment = string;

/** What is told from all others: `kin` is the one it was once the same as, itself where it is nobody's second. */
type Told = {
  readonly uid: Uid;
  readonly kin: Uid;
  readonly name: string;
  readonly putAwayAt: Moment | null;
  readonly createdAt: Moment;
};
/** A step of a tape with when it was made. */
export type DatedTicket = Ticket & { readonly createdAt: Moment };
export type KeptState = {
  readonly bindings: readonly Row[];
  readonly spares: readonly CommandId[];
  readonly cursor: number | null;
  readonly keptAt: Moment;
};
export type WholeSheet = {
  readonly name: string;
  readonly contents: SheetSpec;
  readonly putAwayAt: Moment | null;
  readonly createdAt: Moment;
};

/** A keymap with all that belongs to it, apart from the numbers of one computer. Other keymaps are named by their uid. */
export type WholeKeymap = Told & {
  readonly owner: string;
  readonly factory: boolean;
  readonly unnamed: boolean;
  readonly locked: boolean;
  readonly lastUsedAt: Moment | null;
  readonly rows: readonly Row[];
  readonly spares: readonly CommandId[];
  readonly tape: readonly DatedTicket[];
  /** How many tickets of the tape are applied. */
  readonly cursor: number;
  /** What was kept, the first first. */
  readonly kept: readonly KeptState[];
  readonly leftAside: readonly { readonly tickets: readonly Ticket[]; readonly leftAt: Moment }[];
  readonly wishes: WishList | null;
  readonly sheets: readonly WholeSheet[];
  readonly ticks: readonly { readonly from: Uid; readonly ticks: readonly string[] }[];
  readonly plans: readonly { readonly source: Uid; readonly contents: MatchPlan; readonly changedAt: Moment }[];
  readonly derivation: { readonly source: Uid; readonly contents: Derivation } | null;
  /** What was chosen where it meets the next version of its program, and the keymap it became there. */
  readonly moves: readonly { readonly to: Uid; readonly answers: Answers; readonly made: Uid | null }[];
};

/** A workspace's parts, its keymap by uid; null for the factory's. */
export type WholeContents = Omit<Workspace, 'keymap'> & { readonly keymap?: Uid | null };
export type WholeWorkspace = Told & {
  readonly owner: string;
  readonly lastUsedAt: Moment | null;
  readonly versions: readonly { readonly contents: WholeContents; readonly keptAt: Moment }[];
};
export type WholeRoom = {
  readonly person: string;
  readonly contents: WholeContents;
  readonly workspace: Uid | null;
  readonly cursor: number;
  readonly steps: readonly {
    readonly title: string;
    readonly before: WholeContents;
    readonly after: WholeContents;
    readonly workspaces: readonly [before: Uid | null, after: Uid | null];
    readonly createdAt: Moment;
  }[];
};

export type WholeUse = { readonly owner: string; readonly command: CommandId; readonly perDay: number };
export type WholeChosen = {
  readonly person: string;
  readonly words: string;
  readonly command: CommandId;
  readonly chosenAt: Moment;
};
/** What was said of a command's counterpart in another program; null that it has none there. */
export type WholeSaid = {
  readonly command: CommandId;
  readonly other: Uid;
  readonly counterpart: CommandId | null;
  readonly saidAt: Moment;
};
export type WholeForm = { readonly form: OwnForm; readonly putAwayAt: Moment | null; readonly createdAt: Moment };
export type WholeSource = {
  readonly name: string;
  readonly bytes: Uint8Array;
  readonly choices: Choices;
  readonly corrections: Corrections;
  readonly given: boolean;
  readonly said: Said;
  readonly madeAt: Moment;
};

/** A program with all that was ever said and made in it, apart from the numbers of one computer. */
export type WholeProgram = Told & {
  readonly version: string;
  readonly facts: Facts;
  /** The steps in which what it says of itself was edited, the first first. */
  readonly steps: readonly {
    readonly title: string;
    readonly before: Facts;
    readonly after: Facts;
    readonly undone: boolean;
    readonly madeAt: Moment;
  }[];
  /** The factory's first. */
  readonly keymaps: readonly WholeKeymap[];
  readonly workspaces: readonly WholeWorkspace[];
  readonly rooms: readonly WholeRoom[];
  readonly uses: readonly WholeUse[];
  readonly chosen: readonly WholeChosen[];
  readonly counterparts: readonly WholeSaid[];
  readonly forms: readonly WholeForm[];
  readonly sources: readonly WholeSource[];
  /** The program of which it is the next version. */
  readonly succession: { readonly from: Uid; readonly said: readonly SaidLink[]; readonly createdAt: Moment } | null;
};

/** A program as a list and its keys. */
export const programOf = ({ name, version, facts }: WholeProgram): Program => ({ name, version, ...facts });
