import type { programFacts } from '@/core/clash/clashIndex';
import type { PairsBetween } from '@/core/comparison/conceptTable';
import type { draftOf } from '@/core/keymap/draft';
import type { KeymapView } from '@/core/keymap/keymapView';
import type { CommandPair } from '@/core/transfer/transferTypes';

/** One keymap among those compared. */
export type Compared = {
  readonly view: KeymapView;
  readonly keymap: ReturnType<typeof draftOf>['keymap'];
  readonly facts: ReturnType<typeof programFacts>;
  readonly usesOf: (command: string) => number;
  readonly name: string;
};

const betweenTwo = (between: readonly PairsBetween[], a: number, b: number): PairsBetween | undefined =>
  between.find((one) => (one.first === a && one.second === b) || (one.first === b && one.second === a));

/** How many pairs of two of the compared are only likely. */
export const likelyIn = (between: readonly PairsBetween[], a: number, b: number): number =>
  betweenTwo(between, a, b)?.likely ?? 0;

/** The pairs of two of the compared, the one worked in first. */
export function pairsFor(between: readonly PairsBetween[], knows: number, works: number): readonly CommandPair[] {
  const found = betweenTwo(between, knows, works);
  return (found?.pairs ?? []).map(([a, b]) =>
    found?.first === works ? { mine: a, theirs: b } : { mine: b, theirs: a },
  );
}
