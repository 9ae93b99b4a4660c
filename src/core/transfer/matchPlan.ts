import type { ChordText } from '../chord/chord';
import type { Desktop } from '../desktop/desktopKeys';
import type { KeyboardChoice } from '../keyboard/keyboard';
import type { Move } from '../keyboard/moveKeyboard';
import type { Row } from '../keymap/keymap';
import { type CommandId, KINDS } from '../program/program';
import type { Choice, TransferRules } from './transferTypes';

/** What somebody has settled of making one keymap feel like another. */
export type MatchPlan = {
  readonly rules: TransferRules;
  readonly choices: readonly (readonly [CommandId, Choice])[];
  readonly instead: readonly (readonly [CommandId, ChordText | null])[];
  /** What their keymap was made on; null where that is what it is used on. */
  readonly madeOn: (KeyboardChoice & { readonly desktop: Desktop; readonly move: Move }) | null;
};

export const EMPTY_PLAN: MatchPlan = {
  rules: { kinds: KINDS, onlyEmpty: false, preferEasier: false, besides: false },
  choices: [],
  instead: [],
  madeOn: null,
};

/** Where a keymap came from that was derived from another program's: to derive it again, and to tell what is new. */
export type Derivation = {
  readonly plan: MatchPlan;
  /** What was derived then; what differs from it now was corrected by hand. */
  readonly derived: readonly Row[];
  /** Their keymap as it was then. */
  readonly theirs: readonly Row[];
};
