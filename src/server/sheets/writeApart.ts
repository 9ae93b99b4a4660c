import { join } from 'node:path';
import { Worker } from 'node:worker_threads';
import type { Answer, Ask } from './writer';
import type { SheetFile, SheetWanted } from './writeSheet';

type Job = { readonly done: (file: SheetFile) => void; readonly failed: (why: unknown) => void };
type Writer = { readonly worker: Worker; readonly jobs: Map<number, Job> };
// Next bundles routes apart from each other; there is one thread for all of them.
const shared = globalThis as { grayPinWriter?: Writer | undefined; grayPinWritten?: number };

/** Writes a sheet as a file in a thread of its own, so that nobody else waits for it. */
export function writeApart(wanted: SheetWanted): Promise<SheetFile> {
  shared.grayPinWriter ??= begin();
  const { worker, jobs } = shared.grayPinWriter;
  const number = (shared.grayPinWritten ?? 0) + 1;
  shared.grayPinWritten = number;
  return new Promise((done, failed) => {
    worker.postMessage({ number, wanted } satisfies Ask);
    jobs.set(number, { done, failed });
    // A thread with nothing to do keeps no process from its end.
    worker.ref();
  });
}

/** Its file is made of writer.ts by `npm run build`; the unit tests make one for themselves. */
function begin(): Writer {
  const built = join(/*turbopackIgnore: true*/ process.cwd(), process.env.GRAY_PIN_BUILD ?? '.next', 'writer.mjs');
  const worker = new Worker(process.env.GRAY_PIN_WRITER ?? built);
  const jobs = new Map<number, Job>();
  worker.on('message', (answer: Answer) => {
    const job = jobs.get(answer.number);
    jobs.delete(answer.number);
    if (jobs.size === 0) worker.unref();
    if ('file' in answer) job?.done(answer.file);
    else job?.failed(answer.failed);
  });
  // The next sheet begins another thread.
  const end = (why: unknown): void => {
    if (shared.grayPinWriter?.worker === worker) shared.grayPinWriter = undefined;
    for (const { failed } of jobs.values()) failed(why);
    jobs.clear();
  };
  worker.on('error', end);
  worker.on('exit', (code) => end(new Error(`The thread that writes sheets ended with ${code}.`)));
  return { worker, jobs };
}
