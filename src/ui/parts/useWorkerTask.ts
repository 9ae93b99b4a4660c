'use client';

import { proxy, type Remote, wrap } from 'comlink';
import { useCallback, useEffect, useRef, useState } from 'react';

/** A worker that is told once what its tasks are for. */
export type Opened<Ground> = { open(ground: Ground): void };
export type Working<Task, Answer> = {
  /** The latest answer and the task it was made for. */
  readonly made: { readonly answer: Answer; readonly task: Task } | null;
  readonly state: 'idle' | 'working' | 'cancelled' | 'failed';
  /** How far it is, from 0 to 1. */
  readonly part: number;
  readonly cancel: () => void;
  readonly again: () => void;
};
type Running<Service> = { readonly worker: Worker; readonly remote: Remote<Service>; readonly opened: Promise<void> };

/**
 * Has each task done in a worker, the latest only; a task while another is at work waits for it. Another ground starts
 * another worker.
 * @param start makes the worker; it must be the same function each time, as must `send`.
 */
export function useWorkerTask<Service extends Opened<Ground>, Ground, Task, Answer>(
  start: () => Worker,
  ground: Ground,
  task: Task | null,
  send: (remote: Remote<Service>, task: Task, onProgress: (part: number) => void) => Promise<Answer>,
): Working<Task, Answer> {
  const [made, setMade] = useState<Working<Task, Answer>['made']>(null);
  const [state, setState] = useState<Working<Task, Answer>['state']>('idle');
  const [part, setPart] = useState(0);
  const running = useRef<Running<Service> | null>(null);
  const busy = useRef(false);
  const wanted = useRef<Task | null>(null);
  const groundRef = useRef(ground);

  const stop = useCallback(() => {
    running.current?.worker.terminate();
    running.current = null;
    busy.current = false;
  }, []);
  const begin = useCallback((): Running<Service> => {
    if (running.current) return running.current;
    const worker = start();
    const remote = wrap<Service>(worker);
    const opened = (remote as unknown as { open(ground: Ground): Promise<void> }).open(groundRef.current);
    running.current = { worker, remote, opened };
    return running.current;
  }, [start]);
  const work = useCallback(async (): Promise<void> => {
    if (busy.current) return;
    busy.current = true;
    const mine = begin();
    try {
      while (wanted.current) {
        const now = wanted.current;
        wanted.current = null;
        setState('working');
        setPart(0);
        await mine.opened;
        const answer = await send(mine.remote, now, proxy(setPart));
        if (running.current !== mine) return;
        setMade({ answer, task: now });
      }
      setState('idle');
    } catch {
      if (running.current === mine) setState('failed');
    } finally {
      if (running.current === mine) busy.current = false;
    }
  }, [begin, send]);

  useEffect(() => {
    groundRef.current = ground;
    stop();
  }, [ground, stop]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: another ground needs the same task done again.
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
