import type { CommandId } from '../program/program';
import { entryOf } from '../text/entryOf';
import type { Counterpart } from './counterpart';
import { counterpartsOf, type Side } from './counterpartsOf';
import { knownPairs, type Said } from './knownPairs';
import type { Lesson } from './lessons';

/**
 * The commands of two programs that surely do the same: found and sure, or said.
 * @param saidAlone whether only what was said counts, where looking would take too long.
 */
export function surePairs(
  left: Side,
  right: Side,
  programNames: Readonly<Record<string, string>>,
  said: readonly Said[],
  saidAlone: boolean,
  lessons: readonly Lesson[] = [],
): (readonly [CommandId, CommandId])[] {
  const found = saidAlone
    ? [...knownPairs(said, left.slug, right.slug, (slug) => entryOf(programNames, slug) ?? slug).known].map(
        ([command, { counterpart }]) => ({ command, counterpart, confidence: 'sure' as const }),
      )
    : counterpartsOf(left, right, programNames, said, () => true, lessons);
  return sureOf(found);
}

/** Of counterparts those that are sure, as pairs. */
export const sureOf = (
  found: readonly Pick<Counterpart, 'command' | 'counterpart' | 'confidence'>[],
): (readonly [CommandId, CommandId])[] =>
  found.flatMap(({ command, counterpart, confidence }) =>
    confidence === 'sure' && counterpart !== null ? [[command, counterpart] as const] : [],
  );
