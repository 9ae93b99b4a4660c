import { startTransition, useLayoutEffect, useRef } from 'react';
import type { Command } from '@/core/program/program';

/** How long, in ms, the hand has to rest before the bench follows what is typed. */
const REST = 300;

/** While somebody types, only the list is painted at each letter; bench and keyboard follow when the hand rests. */
export function useSoon(onSelect: (command: Command) => void, selected: Command | null) {
  const soon = useRef<{ command: Command; timer: number } | null>(null);
  /** What is being drawn after a rest, and can't be seen yet. */
  const drawing = useRef<Command | null>(null);
  // biome-ignore lint/correctness/useExhaustiveDependencies: another command stands on the bench.
  useLayoutEffect(() => {
    drawing.current = null;
  }, [selected]);
  const bringSoon = (command: Command | null): void => {
    if (soon.current) window.clearTimeout(soon.current.timer);
    soon.current = command && {
      command,
      timer: window.setTimeout(() => {
        soon.current = null;
        drawing.current = command;
        startTransition(() => onSelect(command));
      }, REST),
    };
  };
  /** Brings what was to follow at once; @returns it, null where nothing was. */
  const bringNow = (): Command | null => {
    const command = soon.current?.command ?? drawing.current;
    if (!command) return null;
    bringSoon(null);
    drawing.current = null;
    onSelect(command);
    return command;
  };
  return { bringSoon, bringNow };
}
