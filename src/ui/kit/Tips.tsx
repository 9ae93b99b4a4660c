'use client';

import { lazy, Suspense, useEffect, useState } from 'react';

const TipBubble = lazy(() => import('./TipBubble').then((one) => ({ default: one.TipBubble })));

const REST = 500;
type Shown = { readonly anchor: Element; readonly words: string };

const anchorOf = (target: EventTarget | null): Element | null =>
  target instanceof Element ? target.closest('[data-tip]') : null;

/**
 * Shows what an element says in `data-tip`: beside a pointer that rests on it, on the focus that the keyboard brings, and
 * under a finger or pen held on it. One for all of the page, so that a keyboard of a hundred keys needs no hundred of them.
 */
export function Tips() {
  const [shown, setShown] = useState<Shown | null>(null);
  useEffect(() => {
    let soon = 0;
    const show = (anchor: Element, rest: number): void => {
      window.clearTimeout(soon);
      soon = window.setTimeout(() => {
        const words = anchor.getAttribute('data-tip');
        if (words && anchor.isConnected) setShown({ anchor, words });
      }, rest);
    };
    const hide = (): void => {
      window.clearTimeout(soon);
      setShown(null);
    };
    const over = (event: PointerEvent): void => {
      const anchor = anchorOf(event.target);
      if (anchor && event.pointerType !== 'touch') show(anchor, REST);
    };
    const out = (event: PointerEvent): void => {
      const to = event.relatedTarget instanceof Element ? event.relatedTarget : null;
      // It stays while the pointer is within what it belongs to, or on the words themselves.
      if (to?.closest('.MuiTooltip-popper') || (to !== null && anchorOf(to) === anchorOf(event.target))) return;
      hide();
    };
    const down = (event: PointerEvent): void => {
      const anchor = anchorOf(event.target);
      hide();
      if (anchor && event.pointerType === 'touch') show(anchor, REST);
    };
    const focus = (event: FocusEvent): void => {
      const anchor = anchorOf(event.target);
      if (anchor?.matches(':focus-visible')) show(anchor, REST);
      else hide();
    };
    // Only what moves it takes it away: a list that follows elsewhere leaves it, and so does coming into view at the focus.
    const scroll = ({ target }: Event): void =>
      setShown((now) => (now && target instanceof Node && target.contains(now.anchor) ? null : now));
    const key = (event: KeyboardEvent): void => void (event.key === 'Escape' && hide());
    const on: readonly (readonly [string, (event: never) => void])[] = [
      ['pointerover', over],
      ['pointerout', out],
      ['pointerdown', down],
      ['focusin', focus],
      ['focusout', hide],
      ['keydown', key],
      ['scroll', scroll],
    ];
    for (const [name, run] of on)
      document.addEventListener(name, run as EventListener, { capture: true, passive: true });
    return () => {
      window.clearTimeout(soon);
      for (const [name, run] of on) document.removeEventListener(name, run as EventListener, { capture: true });
    };
  }, []);
  if (!shown) return null;
  return (
    <Suspense>
      <TipBubble anchor={shown.anchor} words={shown.words} />
    </Suspense>
  );
}
