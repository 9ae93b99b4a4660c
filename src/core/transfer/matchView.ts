import type { Said } from '../counterpart/knownPairs';
import type { Lesson } from '../counterpart/lessons';
import type { KeymapView } from '../keymap/keymapView';
import type { CommandId } from '../program/program';
import type { Versioned } from '../sync/versioned';
import type { Derivation, MatchPlan } from './matchPlan';

/** A keymap and the one it is to feel like; null for that where there is no other program. */
export type MatchView = {
  readonly view: KeymapView;
  readonly theirs: KeymapView | null;
  readonly said: Versioned<readonly Said[]>;
  /** What was learned of words from what was said of other programs. */
  readonly lessons: readonly Lesson[];
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
export type ProgramsView = Pick<MatchView, 'said' | 'programNames' | 'lessons'> & {
  readonly views: readonly KeymapView[];
  /** Uses a day as told, for each of them. */
  readonly uses: readonly Readonly<Record<CommandId, number>>[];
};
