import { useCallback, useEffect, useRef, useState } from 'react';
import type { Program } from '@/core/program/program';
import { type Desk, freshDesk } from '@/core/tryout/desk';
import type { Arrangement } from '@/core/workspace/arrangement';
import type { Ticked } from './Ticker';

const MOST_TICKED = 30;

/** What is on the stand-in's desk, and what has happened on it, the newest first. */
export function useDesk(program: Program, panels: Arrangement) {
  const [desk, setDesk] = useState<Desk>(() => freshDesk(program, panels));
  const [ticked, setTicked] = useState<readonly Ticked[]>([]);
  const number = useRef(0);
  const now = useRef(desk);
  const show = useCallback((next: Desk): void => {
    now.current = next;
    setDesk(next);
  }, []);
  const note = useCallback(
    (one: Omit<Ticked, 'number'>): void =>
      setTicked((before) => [{ ...one, number: ++number.current }, ...before.slice(0, MOST_TICKED - 1)]),
    [],
  );
  // biome-ignore lint/correctness/useExhaustiveDependencies: another arrangement takes the place of what was moved here.
  useEffect(() => show({ ...now.current, panels, peeked: null }), [panels]);
  /** Everything as it was before anything was done: what panels tell of it, too. */
  const afresh = useCallback((): void => {
    show(freshDesk(program, panels));
    setTicked([]);
  }, [show, program, panels]);
  return { desk, now, show, ticked, note, afresh };
}
