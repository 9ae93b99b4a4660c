import { startTransition, useRef } from 'react';
import type { Command } from '@/core/program/program';

/** How long, in ms, the hand has to rest before the bench follows what is typed. */
const REST = 300;

/** While somebody types, only the list is painted at each letter; bench and keyboard follow when the hand rests. */
export function useSoon(onSelect: (command: Command) => void) {
  const soon = useRef<{ command: Command; timer: number } | null>(null);
  const bringSoon = (command: Command | null): void => {
    if (soon.current) window.clearTimeout(soon.current.timer);
    soon.current = command && {
      command,
      timer: window.setTimeout(() => {
        soon.current = null;
        startTransition(() => onSelect(command));
      }, REST),
    };
  };
  /** Brings what was to follow at once; @returns it, null where nothing was. */
  const bringNow = (): Command | null => {
    const waiting = soon.current;
    if (!waiting) return null;
    window.clearTimeout(waiting.timer);
    soon.current = null;
    onSelect(waiting.command);
    return waiting.command;
  };
  return { bringSoon, bringNow };
}
