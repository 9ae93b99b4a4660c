'use client';

import { useCallback, useRef } from 'react';
import { ask, messageOf } from '../shell/api';
import { useNotice } from '../shell/Notices';

export type Store = (method: 'PATCH' | 'POST', address: string, body: object) => void;

/** Stores what is settled at once, one after the other, even if the page is left; says so if it can't. */
export function useStore(): Store {
  const tell = useNotice();
  const queue = useRef<Promise<unknown>>(Promise.resolve());
  return useCallback(
    (method, address, body) => {
      queue.current = queue.current
        .then(() => ask(method, address, body, true))
        .catch((error) => tell(messageOf(error)));
    },
    [tell],
  );
}
