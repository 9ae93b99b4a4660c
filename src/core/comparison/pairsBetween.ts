import { counterpartsOf, type Side } from '../counterpart/counterpartsOf';
import type { Said } from '../counterpart/knownPairs';
import type { Lesson } from '../counterpart/lessons';
import { sureOf } from '../counterpart/surePairs';
import type { PairsBetween } from './conceptTable';

/**
 * The sure counterparts between any two of several programs; a program has all its own with itself.
 * @param progress told how much is done, from 0 to 1; false ends it.
 */
export function pairsBetween(
  sides: readonly Side[],
  programNames: Readonly<Record<string, string>>,
  said: readonly Said[],
  progress: (part: number) => boolean = () => true,
  lessons: readonly Lesson[] = [],
): PairsBetween[] {
  const all = (sides.length * (sides.length - 1)) / 2;
  const between: PairsBetween[] = [];
  sides.forEach((left, first) => {
    sides.slice(first + 1).forEach((right, i) => {
      const done = between.length;
      const second = first + 1 + i;
      if (left.slug === right.slug) {
        between.push({ first, second, pairs: left.program.commands.map(({ id }) => [id, id] as const), likely: 0 });
        return;
      }
      const found = counterpartsOf(left, right, programNames, said, (part) => progress((done + part) / all), lessons);
      between.push({
        first,
        second,
        pairs: sureOf(found),
        likely: found.filter((one) => one.confidence === 'check').length,
      });
    });
  });
  return between;
}
