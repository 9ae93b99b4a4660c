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

/** The pairs of two of the compared, the one worked in first. */
export function pairsFor(between: readonly PairsBetween[], knows: number, works: number): readonly CommandPair[] {
  const found = between.find(
    (one) => (one.first === works && one.second === knows) || (one.first === knows && one.second === works),
  );
  return (found?.pairs ?? []).map(([a, b]) =>
    found?.first === works ? { mine: a, theirs: b } : { mine: b, theirs: a },
  );
}
