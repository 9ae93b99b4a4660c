import type { CommandId } from '../program/program';
import type { Likeness } from './likeness';
import type { Pair } from './pair';

/** How sure it is that two commands do the same. */
export const CONFIDENCES = ['sure', 'check', 'none'] as const;
export type Confidence = (typeof CONFIDENCES)[number];

/** A command that may be the counterpart of another, and what speaks for it. */
export type Candidate = {
  readonly command: CommandId;
  readonly figure: number;
  readonly likeness: Likeness;
  readonly keys: Pair['keys'];
};

/** What a person has said of a command's counterpart, directly or of both in a third program. */
export type Known = { readonly counterpart: CommandId | null; readonly through: string | null };

/** What is known of one command's counterpart in the other program. */
export type Counterpart = {
  readonly command: CommandId;
  readonly confidence: Confidence;
  /** The one it was given; null for none. */
  readonly counterpart: CommandId | null;
  /** The likeliest, that one first. */
  readonly candidates: readonly Candidate[];
  /** What was said of it; null where it was found. */
  readonly known: Known | null;
};
