import { useMemo } from 'react';
import { programFacts } from '@/core/clash/clashIndex';
import { type Draft, draftOf } from '@/core/keymap/draft';
import { rowsOf } from '@/core/keymap/keymap';
import type { KeymapView } from '@/core/keymap/keymapView';
import type { MatchView } from '@/core/transfer/matchView';
import type { MatchTask } from '@/workers/matcher';
import { matchRows } from './matchRows';
import { sideOf, useMatch } from './useMatch';
import type { useSettled } from './useSettled';

/** The transfer as it is worked out for what is settled, and its lines. */
export function useMatchRows(
  match: MatchView & { readonly theirs: KeymapView },
  draft: Draft,
  their: Draft,
  { said, plan, derivation }: Pick<ReturnType<typeof useSettled>, 'said' | 'plan' | 'derivation'>,
  title: string,
) {
  const { view, theirs } = match;
  const sides = useMemo(() => [sideOf(view, draftOf(view)), sideOf(theirs, their)] as const, [view, theirs, their]);
  const theirRows = theirs.bindings;
  const task = useMemo(
    (): MatchTask => ({
      mine: { rows: rowsOf(draft.keymap), spares: [...draft.keymap.spares] },
      theirs: theirRows,
      said,
      plan,
      uses: match.uses,
      usesThere: match.usesThere,
      derivation,
      title,
    }),
    [draft.keymap, theirRows, said, plan, match, derivation, title],
  );
  const matching = useMatch(sides[0], sides[1], match.programNames, match.lessons, task);
  const answer = matching.made?.answer ?? null;
  const fresh = matching.made?.task === task;
  const rows = useMemo(
    () => answer && matchRows(answer, theirs.program.commands, programFacts(view.program).commands),
    [answer, theirs, view],
  );
  return { matching, answer, fresh, rows };
}
