'use client';

import { proxy, type Remote, wrap } from 'comlink';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { Plan } from '@/core/advice/wishList';
import { type Keymap, rowsOf } from '@/core/keymap/keymap';
import type { Ground, Planner, Task } from '@/workers/planner';

export type Planning = {
  /** The latest plan and the task it was made for. */
  readonly made: { readonly plan: Plan; readonly task: PlanTask; readonly ms: number } | null;
  readonly state: 'idle' | 'planning' | 'cancelled' | 'failed';
  /** How far it is, from 0 to 1. */
  readonly part: number;
  readonly cancel: () => void;
  readonly again: () => void;
};
type Running = {
  readonly worker: Worker;
  readonly remote: Remote<Planner>;
  readonly opened: Promise<void>;
  /** The keymap it was told of last. */
  taken: Keymap | null;
};
/** What is to be planned, and on which keymap. */
export type PlanTask = Task & { readonly keymap: Keymap };

/** Has each task planned in a worker, the latest only; a task while another is at work waits for it. */
export function usePlan(ground: Ground, task: PlanTask | null): Planning {
  const [made, setMade] = useState<Planning['made']>(null);
  const [state, setState] = useState<Planning['state']>('idle');
  const [part, setPart] = useState(0);
  const running = useRef<Running | null>(null);
  const busy = useRef(false);
  const wanted = useRef<PlanTask | null>(null);

  const stop = useCallback(() => {
    running.current?.worker.terminate();
    running.current = null;
    busy.current = false;
  }, []);
  const groundRef = useRef(ground);
  const start = useCallback((): Running => {
    if (running.current) return running.current;
    const worker = new Worker(new URL('../../workers/planner.ts', import.meta.url), { type: 'module' });
    const remote = wrap<Planner>(worker);
    running.current = { worker, remote, opened: remote.open(groundRef.current), taken: null };
    return running.current;
  }, []);
  const work = useCallback(async (): Promise<void> => {
    if (busy.current) return;
    busy.current = true;
    const mine = start();
    try {
      while (wanted.current) {
        const now = wanted.current;
        wanted.current = null;
        setState('planning');
        setPart(0);
        await mine.opened;
        const { keymap, list, uses } = now;
        if (mine.taken !== keymap) await mine.remote.take({ rows: rowsOf(keymap), spares: [...keymap.spares] });
        mine.taken = keymap;
        const answer = await mine.remote.plan({ list, uses }, proxy(setPart));
        if (running.current !== mine) return;
        setMade({ ...answer, task: now });
      }
      setState('idle');
    } catch {
      if (running.current === mine) setState('failed');
    } finally {
      if (running.current === mine) busy.current = false;
    }
  }, [start]);

  useEffect(() => {
    groundRef.current = ground;
    stop();
  }, [ground, stop]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: another ground needs another plan of the same task.
  useEffect(() => {
    wanted.current = task;
    if (task) void work();
    else setMade(null);
  }, [task, ground, work]);
  useEffect(() => stop, [stop]);

  return {
    made,
    state,
    part,
    cancel: useCallback(() => {
      stop();
      setState('cancelled');
    }, [stop]),
    again: useCallback(() => {
      wanted.current = task;
      void work();
    }, [task, work]),
  };
}
