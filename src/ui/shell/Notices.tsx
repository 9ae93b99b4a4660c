'use client';

import { createContext, lazy, type ReactNode, Suspense, useCallback, useContext, useState } from 'react';
import type { Notice } from './notice';

type Tell = (words: string, action?: Notice['action']) => void;
const Context = createContext<Tell>(() => undefined);

/** Loaded when the first thing is said; its own styles are let in by the page's nonce, which it looks for at once. */
const stackWith = (nonce: string) =>
  lazy(() => {
    Object.assign(window, { __nonce__: nonce });
    return import('./NoticeStack').then((one) => ({ default: one.NoticeStack }));
  });

/** Says in passing what was done; what comes next swallows none of it. */
export function NoticeProvider({ nonce, children }: { nonce: string; children: ReactNode }) {
  const [NoticeStack] = useState(() => stackWith(nonce));
  const [notices, setNotices] = useState<readonly Notice[]>([]);
  const tell = useCallback<Tell>((words, action) => {
    setNotices((before) => [...before, { number: before.length, words, ...(action ? { action } : {}) }]);
  }, []);
  return (
    <Context.Provider value={tell}>
      {children}
      {notices.length > 0 && (
        <Suspense>
          <NoticeStack notices={notices} />
        </Suspense>
      )}
    </Context.Provider>
  );
}

export function useNotice(): Tell {
  return useContext(Context);
}
