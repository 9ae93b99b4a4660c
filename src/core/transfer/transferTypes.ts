import type { Advisor } from '../advice/advisor';
import type { ChordText } from '../chord/chord';
import type { Binding, Keymap } from '../keymap/keymap';
import type { Ticket } from '../keymap/ticket';
import type { Command, CommandId, Kind } from '../program/program';

/** What is to be done of a line: take their keys, keep one's own, or have other keys. */
export type Choice =
  | { readonly kind: 'take' }
  | { readonly kind: 'keep' }
  | { readonly kind: 'other'; readonly chords: readonly ChordText[] };
export type ChoiceKind = Choice['kind'];

/** What holds for all lines that were not settled by hand. Keepers are never touched, whatever is chosen. */
export type TransferRules = {
  /** The kinds of commands that take keys. */
  readonly kinds: readonly Kind[];
  /** Only commands take keys that have none. */
  readonly onlyEmpty: boolean;
  /** One's own keys stay where they are easier to reach. */
  readonly preferEasier: boolean;
  /** One's own keys stay besides theirs. */
  readonly besides: boolean;
};

/** Two commands that do the same, one's own first. */
export type CommandPair = { readonly mine: CommandId; readonly theirs: CommandId };

/** All that a transfer is worked out from. */
export type TransferTask = {
  readonly advisor: Advisor;
  /** One's own keymap. */
  readonly keymap: Keymap;
  readonly theirCommands: ReadonlyMap<CommandId, Command>;
  /** Theirs, in keys as they are here. */
  readonly theirKeys: Keymap;
  readonly pairs: readonly CommandPair[];
  readonly rules: TransferRules;
  /** Lines settled by hand, by one's own command. */
  readonly choices: ReadonlyMap<CommandId, Choice>;
  /** What those who lose keys get instead, where that was settled by hand; null for nothing. */
  readonly instead: ReadonlyMap<CommandId, ChordText | null>;
  /** Commands whose keys were settled outside this transfer, and are exactly these. */
  readonly settled: ReadonlyMap<CommandId, readonly Binding[]>;
  readonly usesOf: (command: Command) => number;
};

/** Why a line is as it is. */
export type LineReason =
  | { readonly kind: 'same' }
  | { readonly kind: 'taken' }
  | { readonly kind: 'by hand' }
  | { readonly kind: 'keeper' }
  | { readonly kind: 'kind left out' }
  | { readonly kind: 'has keys' }
  | { readonly kind: 'easier' }
  /** Their keys can't be had: what stands in the way, said of the first of them. */
  | { readonly kind: 'in the way'; readonly chord: ChordText; readonly way: InTheWay };
export type InTheWay =
  | { readonly kind: 'keeper of'; readonly command: Command }
  | { readonly kind: 'stays with'; readonly command: Command }
  | { readonly kind: 'wanted more by'; readonly command: Command }
  | { readonly kind: 'not here'; readonly finding: string };

export type TransferLine = {
  readonly mine: Command;
  readonly theirs: Command;
  /** Their keys as they are here, and one's own before and after. */
  readonly theirKeys: readonly ChordText[];
  readonly before: readonly Binding[];
  readonly after: readonly Binding[];
  /** What is done; "same" lines need nothing. */
  readonly choice: ChoiceKind | 'same';
  readonly byHand: boolean;
  readonly reason: LineReason;
  /** Those of their keys that could not be had, with what stands in the way. */
  readonly missed: readonly { readonly chord: ChordText; readonly way: InTheWay }[];
  /** Who loses keys to it. */
  readonly from: readonly CommandId[];
};

/** Somebody who loses keys to a line, and what it gets instead. */
export type KnockOn = {
  readonly command: Command;
  readonly lost: readonly ChordText[];
  /** To whom they go. */
  readonly to: readonly CommandId[];
  /** What it gets; null for nothing. */
  readonly instead: ChordText | null;
  readonly reason: 'closest' | 'by hand' | 'spare' | 'has others' | 'none free';
};

export type Transfer = {
  readonly lines: readonly TransferLine[];
  readonly knockOns: readonly KnockOn[];
  /** One's own keymap afterwards. */
  readonly keymap: Keymap;
  /** All of it as one ticket; null where nothing changes. */
  readonly ticket: Ticket | null;
  /** Answers by hand that could not be held to, since the keys are not free. */
  readonly lostAnswers: readonly CommandId[];
};
