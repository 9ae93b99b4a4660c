import { Bench } from 'tinybench';

export type Row = readonly [what: string, ours: string, other: string, ratio: string];

/** Median milliseconds of a piece of work. */
export async function median(work: () => unknown, time = 400): Promise<number> {
  const bench = new Bench({ time, iterations: 5, warmupTime: 50, warmupIterations: 2 });
  bench.add('work', async () => {
    await work();
  });
  await bench.run();
  const result = bench.tasks[0]?.result as { latency?: { p50: number } } | undefined;
  return result?.latency?.p50 ?? Number.NaN;
}

export const ms = (value: number): string =>
  value < 0.01 ? `${(value * 1000).toFixed(2)} µs` : value < 1 ? `${value.toFixed(3)} ms` : `${value.toFixed(1)} ms`;
export const times = (a: number, b: number): string => `${(b / a).toFixed(b / a < 10 ? 1 : 0)} times`;
