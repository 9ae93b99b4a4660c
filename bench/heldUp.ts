import { readFileSync } from 'node:fs';

/** Ticks of all processors since the machine started: all, and those in which it was held up for another machine's sake. */
function ticks(): readonly [all: number, stolen: number] {
  try {
    const [line = ''] = readFileSync('/proc/stat', 'utf8').split('\n');
    const counts = line.trim().split(/\s+/).slice(1, 9).map(Number);
    return [counts.reduce((sum, one) => sum + one, 0), counts[7] ?? 0];
  } catch {
    // Only Linux tells.
    return [0, 0];
  }
}

/**
 * Does something, and tells how much of the time meanwhile this machine was held up by others, from 0 to 1, as the kernel
 * counts it (proc(5), steal).
 */
export async function heldUp<T>(work: () => Promise<T>): Promise<{ readonly done: T; readonly held: number }> {
  const [all, stolen] = ticks();
  const done = await work();
  const [allThen, stolenThen] = ticks();
  return { done, held: allThen > all ? (stolenThen - stolen) / (allThen - all) : 0 };
}
