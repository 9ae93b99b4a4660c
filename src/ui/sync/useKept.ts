'use client';

import { useMemo } from 'react';
import { useStore } from 'zustand';
import type { Versioned } from '@/core/sync/versioned';
import { useNotice } from '../shell/Notices';
import { createKept, type KeptStore, type Way } from './createKept';

/** What this window has on its way, by the names of the things: a screen that is opened again goes on with it. */
const open = new Map<string, KeptStore<unknown, unknown>>();

if (typeof window !== 'undefined')
  window.addEventListener('beforeunload', (event) => {
    // What is being sent goes on when the page is left; what waits behind it would be lost.
    if ([...open.values()].some((one) => one.waits())) event.preventDefault();
  });

/**
 * Something kept on the server, as this window has it: what is shown, and how to edit it.
 * @param name tells it from all else that is kept. @param way has to be the same at every rendering.
 */
export function useKept<Value, Edit>(
  name: string,
  initial: Versioned<Value>,
  way: Way<Value, Edit>,
): readonly [value: Value, edit: (edit: Edit) => void] {
  const tell = useNotice();
  const kept = useMemo(() => {
    const before = open.get(name) as KeptStore<Value, Edit> | undefined;
    // The browser may keep a page as it was; what this window has heard since is newer.
    const heard = before?.store.getState().sync;
    if (before && heard && (heard.pending.length > 0 || heard.stored.revision > initial.revision)) return before;
    const made = createKept(initial, way, tell);
    open.set(name, made as KeptStore<unknown, unknown>);
    return made;
  }, [name, initial, way, tell]);
  return [useStore(kept.store, (state) => state.shown), kept.edit];
}
