'use client';

import { useEffect, useRef } from 'react';

type Place = { readonly dialog?: string } | null;
const placeNow = (): string | undefined => (window.history.state as Place)?.dialog;

/**
 * Gives what is open a place of its own in the browser's history: going back from there closes it, and closing it goes
 * back. The page is the same in both places, so the router hears of neither; what it is about to load goes on.
 */
export function useBackCloses(active: boolean, onClose: () => void): void {
  const close = useRef(onClose);
  close.current = onClose;
  useEffect(() => {
    if (!active) return;
    const place = crypto.randomUUID();
    window.history.pushState({ ...window.history.state, dialog: place }, '');
    const onBack = (event: PopStateEvent): void => {
      if (placeNow() === place) return;
      event.stopImmediatePropagation();
      close.current();
    };
    window.addEventListener('popstate', onBack, true);
    return () => {
      window.removeEventListener('popstate', onBack, true);
      if (placeNow() === place) queueMicrotask(() => leave(place));
    };
  }, [active]);
}

/** Goes back from a place that nothing stands in any more; the address stays what it has become there. */
function leave(place: string): void {
  if (placeNow() !== place) return;
  const address = window.location.href;
  window.addEventListener(
    'popstate',
    (event) => {
      event.stopImmediatePropagation();
      if (window.location.href !== address) window.history.replaceState(window.history.state, '', address);
    },
    { capture: true, once: true },
  );
  window.history.back();
}

/** Puts another address in the place of this one; a dialog that is open there stays open there. */
export function replaceAddress(address: string): void {
  const dialog = placeNow();
  window.history.replaceState(dialog === undefined ? null : { dialog }, '', address);
}
