'use client';

import { useMemo } from 'react';
import { type Draft, draftOf } from '@/core/keymap/draft';
import type { Ticket } from '@/core/keymap/ticket';
import type { DraftState, KeymapView } from '@/core/view/views';
import { useKept } from '../sync/useKept';
import { draftWay } from '../sync/ways';

/** The ways to change a draft, each shown at once; the promise says whether it was stored. */
export type DraftActions = {
  readonly edit: (ticket: Ticket) => Promise<boolean>;
  /** Goes along the tape, from where the draft stands as it is shown. */
  readonly goTo: (cursor: (state: DraftState) => number) => Promise<boolean>;
  readonly keep: () => Promise<boolean>;
  readonly keepAsNew: (name: string, owner: string) => Promise<boolean>;
  readonly discard: () => Promise<boolean>;
  readonly lock: (locked: boolean) => Promise<boolean>;
};

/** A draft as this window has it, and the ways to change it. */
export function useDraft(view: KeymapView): { draft: Draft; actions: DraftActions } {
  const given = useMemo(() => ({ revision: view.draft.revision, value: draftOf(view) }), [view]);
  const [draft, edit, { store }] = useKept(`draft ${view.draft.id}`, given, draftWay);
  const actions = useMemo(
    (): DraftActions => ({
      edit: (ticket) => edit({ kind: 'ticket', ticket }),
      goTo: (cursor) => edit({ kind: 'move', cursor: cursor(store.getState().shown.state) }),
      keep: () => edit({ kind: 'keep' }),
      keepAsNew: (name, owner) => edit({ kind: 'keep as new', name, owner }),
      discard: () => edit({ kind: 'discard' }),
      lock: (locked) => edit({ kind: 'lock', locked }),
    }),
    [edit, store],
  );
  return { draft, actions };
}
