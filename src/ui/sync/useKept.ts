'use client';

import { useMemo } from 'react';
import { useStore } from 'zustand';
import type { Versioned } from '@/core/sync/versioned';
import { useNotice } from '../shell/Notices';
import { createKept, type KeptStore, type Way } from './createKept';

type Any = KeptStore<unknown, unknown>;
/** What this window has of the things it shows, by their names: a screen that is opened again goes on with it. */
const open = new Map<string, Any>();
/** What stands under its name no more, but has something on its way. */
const leaving = new Set<Any>();

/**
 * Forgets all that this window has: for tests, in which one window meets several servers, whose keymaps have the same
 * numbers.
 */
export function forgetKept(): void {
  open.clear();
}

if (typeof window !== 'undefined')
  window.addEventListener('beforeunload', (event) => {
    // What is being sent goes on when the page is left; what waits behind it would be lost.
    if ([...open.values(), ...leaving].some((one) => one.waits())) event.preventDefault();
  });

type KeptHere<Value, Edit> = readonly [
  value: Value,
  edit: KeptStore<Value, Edit>['edit'],
  kept: KeptStore<Value, Edit>,
];

/**
 * Something kept on the server, as this window has it: what is shown, and how to edit it.
 * @param name tells it from all else that is kept. @param way has to be the same at every rendering.
 */
export function useKept<Value, Edit>(
  name: string,
  initial: Versioned<Value>,
  way: Way<Value, Edit>,
): KeptHere<Value, Edit> {
  const tell = useNotice();
  const kept = useMemo(() => {
    // Where the page is written nothing is kept from one reader for the next.
    if (typeof window === 'undefined') return createKept(initial, way, tell);
    const before = open.get(name) as KeptStore<Value, Edit> | undefined;
    const heard = before?.store.getState().sync;
    const same = heard !== undefined && (way.same?.(heard.stored.value, initial.value) ?? true);
    // The browser may keep a page as it was; what this window has heard since is newer.
    if (before && same && (heard.pending.length > 0 || heard.stored.revision > initial.revision)) return before;
    if (before && heard && heard.pending.length > 0) {
      const gone = before as Any;
      leaving.add(gone);
      void gone.settled().then(() => leaving.delete(gone));
    }
    const made = createKept(initial, way, tell);
    open.set(name, made as Any);
    return made;
  }, [name, initial, way, tell]);
  return [useStore(kept.store, (state) => state.shown), kept.edit, kept];
}
