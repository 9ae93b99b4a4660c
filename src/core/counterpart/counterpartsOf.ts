import { bindingsOf, type Keymap, keymapOf, type Row } from '../keymap/keymap';
import type { CommandId, Program } from '../program/program';
import { entryOf } from '../text/entryOf';
import type { Counterpart } from './counterpart';
import { findCounterparts, toldPairs } from './findCounterparts';
import { knownPairs, type Said } from './knownPairs';
import { type Lesson, lessonsOf } from './lessons';

/** One side of a match: a program by its address, and its factory keys. */
export type Side = { readonly slug: string; readonly program: Program; readonly factory: readonly Row[] };

/**
 * The counterparts of two programs, with all that is known of them.
 * @param elsewhere what was learned of words from other programs.
 */
export function counterpartsOf(
  left: Side,
  right: Side,
  programNames: Readonly<Record<string, string>>,
  said: readonly Said[],
  progress: (part: number) => boolean,
  elsewhere: readonly Lesson[] = [],
): readonly Counterpart[] {
  const keysOf = (keymap: Keymap) => (id: CommandId) => bindingsOf(keymap, id).map((one) => one.chord);
  const told = knownPairs(said, left.slug, right.slug, (slug) => entryOf(programNames, slug) ?? slug);
  const pairs = toldPairs(left.program.commands, right.program.commands, told.known);
  const evidence = {
    ...told,
    lessons: [...elsewhere, ...lessonsOf(pairs)],
    leftKeys: keysOf(keymapOf(left.factory)),
    rightKeys: keysOf(keymapOf(right.factory)),
  };
  return findCounterparts(left.program.commands, right.program.commands, evidence, progress) ?? [];
}
