import type { ChordText, Modifier } from '../chord/chord';
import type { Ticket } from '../keymap/ticket';
import type { CommandId } from '../program/program';
import type { Reason, Weighed } from './advisor';

/** What somebody wants of a plan: which commands are to have better keys, and what may be spent on them. */
export type WishList = {
  readonly wishes: readonly CommandId[];
  readonly layers: readonly (readonly Modifier[])[];
  readonly functionKeys: boolean;
  /** Whether the keys of spares may be spent. */
  readonly spendSpares: boolean;
  /** Keys of others may be spent, too, if those are used at most so often a day; null for none. */
  readonly spendBelow: number | null;
  readonly pins: readonly CommandChord[];
  readonly forbids: readonly CommandChord[];
  /** Commands whose keys must not be touched, besides keepers and what the program fixes. */
  readonly stays: readonly CommandId[];
  /**
   * What the plan that was put on the tape last left each command with, null for no keys. As long as a command has these
   * keys it keeps them: a plan on the tape is done, and what is wished for besides is planned around it.
   */
  readonly settled: readonly (readonly [command: CommandId, chord: ChordText | null])[];
};
/** A list before anything is wished for. */
export const NO_WISHES: WishList = {
  wishes: [],
  layers: [],
  functionKeys: true,
  spendSpares: true,
  spendBelow: null,
  pins: [],
  forbids: [],
  stays: [],
  settled: [],
};
/** So many commands can be put on a list in one step; a plan for as many is made while one looks. */
export const MOST_WISHED = 200;
export type CommandChord = readonly [command: CommandId, chord: ChordText];

/** What a plan does to one command, and why. */
export type PlanLine = {
  readonly command: CommandId;
  /** A wish; somebody whose keys may be spent; a spare. */
  readonly role: 'wish' | 'giver' | 'spare';
  readonly uses: number;
  /** The keys that are changed, not all it has; null for none. */
  readonly before: Weighed | null;
  readonly after: Weighed | null;
  /** Reasons that speak for the keys after, as things are when the whole plan is done. */
  readonly reasons: readonly Reason[];
  /** Who had the keys after. */
  readonly from: readonly CommandId[];
  /** Who gets the keys before. */
  readonly to: CommandId | null;
  readonly pinned: boolean;
  /** Whether it stays as the plan on the tape has it. */
  readonly settled: boolean;
  /** Whether the keys before can't be relied on: they are wrong or may not be heard. */
  readonly troubled: boolean;
  /** Where it is worse off: those whose gain outweighs it, in the order in which the keys went. */
  readonly paidBy: readonly CommandId[];
  /** What the line is better off by, in the measure of the plan; negative where it is worse off. */
  readonly gain: number;
};

/** A whole plan. */
export type Plan = {
  readonly lines: readonly PlanLine[];
  /** Whether no plan can be better, pairs included. */
  readonly proven: boolean;
  /** The part of the greatest possible gain that this plan surely brings, from 0 to 1; 1 where it is proven. */
  readonly share: number;
  /** Pins that can't be held to, since something stands in the way of them. */
  readonly lostPins: readonly CommandChord[];
  /** The plan as one ticket; null where it changes nothing. */
  readonly ticket: Ticket | null;
};
