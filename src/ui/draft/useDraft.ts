'use client';

import { useMemo } from 'react';
import { type Draft, draftOf, withWholeTape } from '@/core/keymap/draft';
import type { DraftState, KeymapView } from '@/core/keymap/keymapView';
import type { Ticket } from '@/core/keymap/ticket';
import { ask, messageOf } from '../shell/api';
import { useNotice } from '../shell/Notices';
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
  /** Until everything done so far is stored, or has been told not to be. */
  readonly settled: () => Promise<void>;
  /** The draft with all of its tape, of which the page has the newest tickets alone at first; null where it can't be read. */
  readonly whole: () => Promise<Draft | null>;
};

/** A draft as this window has it, and the ways to change it. */
export function useDraft(view: KeymapView): { draft: Draft; actions: DraftActions } {
  const given = useMemo(() => ({ revision: view.draft.revision, value: draftOf(view) }), [view]);
  const [draft, edit, kept] = useKept(`draft ${view.draft.id}`, given, draftWay);
  const tell = useNotice();
  const actions = useMemo(
    (): DraftActions => ({
      edit: (ticket) => edit({ kind: 'ticket', ticket }),
      goTo: (cursor) => edit({ kind: 'move', cursor: cursor(kept.store.getState().shown.state) }),
      keep: () => edit({ kind: 'keep' }),
      keepAsNew: (name, owner) => edit({ kind: 'keep as new', name, owner }),
      discard: () => edit({ kind: 'discard' }),
      lock: (locked) => edit({ kind: 'lock', locked }),
      settled: kept.settled,
      whole: async function whole(): Promise<Draft | null> {
        await kept.settled();
        const { stored } = kept.store.getState().sync;
        if (stored.value.earlier > 0) {
          const address = `/api/keymaps/${stored.value.state.id}/tape`;
          const all = await ask<readonly Ticket[]>('GET', address).catch((error: unknown) => {
            tell(messageOf(error));
            return null;
          });
          if (!all) return null;
          // What came onto the tape meanwhile is not in what was read.
          if (kept.store.getState().sync.stored !== stored) return whole();
          kept.heard({ ...stored, value: withWholeTape(stored.value, all) });
        }
        return kept.store.getState().shown;
      },
    }),
    [edit, kept, tell],
  );
  return { draft, actions };
}
