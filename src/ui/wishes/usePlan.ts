'use client';

import type { Remote } from 'comlink';
import type { Plan } from '@/core/advice/wishList';
import { type Keymap, rowsOf } from '@/core/keymap/keymap';
import type { Ground, Planner, Task } from '@/workers/planner';
import { useWorkerTask, type Working } from '../parts/useWorkerTask';

/** What is to be planned, and on which keymap. */
export type PlanTask = Task & { readonly keymap: Keymap };
export type Planning = Working<PlanTask, { readonly plan: Plan; readonly ms: number }>;

/** The keymap that each worker was told of last. */
const taken = new WeakMap<Remote<Planner>, Keymap>();

const start = (): Worker => new Worker(new URL('../../workers/planner.ts', import.meta.url), { type: 'module' });

async function send(remote: Remote<Planner>, { keymap, list, uses }: PlanTask, onProgress: (part: number) => void) {
  if (taken.get(remote) !== keymap) await remote.take({ rows: rowsOf(keymap), spares: [...keymap.spares] });
  taken.set(remote, keymap);
  return remote.plan({ list, uses }, onProgress);
}

/** Has each wish list planned in a worker. */
export function usePlan(ground: Ground, task: PlanTask | null): Planning {
  return useWorkerTask<Planner, Ground, PlanTask, { readonly plan: Plan; readonly ms: number }>(
    start,
    ground,
    task,
    send,
  );
}
