'use client';

import { useCallback, useRef, useState } from 'react';
import { type Done, type Draft, draftOf, followDraft } from '@/core/keymap/draft';
import type { Ticket } from '@/core/keymap/ticket';
import type { DraftState, KeymapView } from '@/core/view/views';
import { ask, messageOf, Refused } from '../shell/api';

/** A draft and the ways to change it; each is on disk before its promise is kept, and they are done one after the other. */
export type DraftActions = {
  readonly edit: (ticket: Ticket) => Promise<boolean>;
  readonly goTo: (cursor: (state: DraftState) => number) => Promise<boolean>;
  readonly keep: () => Promise<boolean>;
  readonly keepAsNew: (name: string, owner: string) => Promise<boolean>;
  readonly discard: () => Promise<boolean>;
  readonly lock: (locked: boolean) => Promise<void>;
  readonly reload: () => Promise<void>;
};
export type Trouble = { readonly stale: boolean; readonly message: string };

export function useDraft(view: KeymapView): {
  draft: Draft;
  trouble: Trouble | null;
  dismiss: () => void;
  actions: DraftActions;
} {
  const [draft, setDraft] = useState(() => draftOf(view));
  const [trouble, setTrouble] = useState<Trouble | null>(null);
  const latest = useRef(draft);
  const queue = useRef<Promise<unknown>>(Promise.resolve());

  const show = useCallback((next: Draft) => {
    latest.current = next;
    setDraft(next);
  }, []);

  const run = useCallback(
    (done: Done, request: (state: DraftState) => Promise<DraftState>): Promise<boolean> => {
      const mine = queue.current.then(async () => {
        try {
          const state = await request(latest.current.state);
          show(followDraft(latest.current, done, state));
          return true;
        } catch (error) {
          setTrouble({
            stale: error instanceof Refused && error.code === 'changed elsewhere',
            message: messageOf(error),
          });
          return false;
        }
      });
      queue.current = mine;
      return mine;
    },
    [show],
  );
  const post = (state: DraftState, what: string, body: object) =>
    ask<DraftState>('POST', `/api/keymaps/${state.id}/${what}`, { revision: state.revision, ...body });

  const [actions] = useState<DraftActions>(() => ({
    edit: (ticket) => run({ kind: 'ticket', ticket }, (state) => post(state, 'edits', { ticket })),
    goTo: (cursor) => run({ kind: 'moved' }, (state) => post(state, 'tape', { cursor: cursor(state) })),
    keep: () => run({ kind: 'kept' }, (state) => post(state, 'keep', {})),
    keepAsNew: (name, owner) => run({ kind: 'kept' }, (state) => post(state, 'keep-as-new', { name, owner })),
    discard: () => run({ kind: 'moved' }, (state) => post(state, 'discard', {})),
    lock: async (locked) => {
      try {
        await ask('PATCH', `/api/keymaps/${latest.current.state.id}`, { locked });
        show({ ...latest.current, state: { ...latest.current.state, locked } });
      } catch (error) {
        setTrouble({ stale: false, message: messageOf(error) });
      }
    },
    reload: async () => {
      show(draftOf(await ask<KeymapView>('GET', `/api/keymaps/${latest.current.state.id}/view`)));
      setTrouble(null);
    },
  }));
  return { draft, trouble, dismiss: () => setTrouble(null), actions };
}
