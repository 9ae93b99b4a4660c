'use client';

import { type RefObject, useEffect, useRef } from 'react';

/**
 * Keeps the focus in a list whose lines come and go: when the line that had it is gone, the line that stands in its place
 * has it, or the last, or the list itself, which must be able to.
 */
export function useFocusKept(list: RefObject<HTMLElement | null>): void {
  const had = useRef<number | null>(null);
  useEffect(() => {
    const note = (): void => {
      const line = document.activeElement?.closest<HTMLElement>(LINE);
      had.current = line && list.current?.contains(line) ? linesOf(list.current).indexOf(line) : null;
    };
    // Where it has gone elsewhere on purpose, it stays there.
    document.addEventListener('focusin', note);
    return () => document.removeEventListener('focusin', note);
  }, [list]);
  useEffect(() => {
    if (had.current === null || document.activeElement !== document.body) return;
    // A dialog that closes gives the focus back first, if it can.
    const soon = window.setTimeout(() => {
      const { current } = list;
      if (!current || had.current === null || document.activeElement !== document.body) return;
      const lines = linesOf(current);
      const line = lines[Math.min(had.current, lines.length - 1)];
      (line?.querySelector<HTMLElement>('input:checked, [aria-pressed="true"], button') ?? current).focus({
        preventScroll: true,
      });
    }, 30);
    return () => window.clearTimeout(soon);
  });
}

const LINE = 'li, [role="listitem"]';
const linesOf = (list: HTMLElement): HTMLElement[] => [...list.querySelectorAll<HTMLElement>(LINE)];
