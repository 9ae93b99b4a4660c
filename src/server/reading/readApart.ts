import { join } from 'node:path';
import { setFlagsFromString } from 'node:v8';
import { Worker } from 'node:worker_threads';
import { Problem } from '../../schemas/problem';
import type { Answer, Answers, Question } from './reader';

/** Who asks for a file to be read: which window, and what says that it no longer waits. */
export type Asker = { readonly window: string; readonly gone: AbortSignal };
type Job = Asker & {
  readonly question: Question;
  readonly done: (understood: Answers[Question['as']]) => void;
  readonly failed: (why: Error) => void;
};

/** So many files are read at a time, one a window. */
const AT_ONCE = 2;
/** Past so many that wait, no more are taken. */
const MOST_WAITING = 20;
/** So long, in ms, and in so much memory, in MB: many times what the largest real list takes. */
const LONGEST = 15_000;
export const MEMORY = { maxOldGenerationSizeMb: 112, maxYoungGenerationSizeMb: 16 };

const waiting: Job[] = [];
const reading = new Set<Job>();

/**
 * Reads a file in a thread of its own, so that nothing in it can hold up or stop the server: at most two at a time and one
 * a window, the others wait their turn; with a limit of time and memory; no longer when the window is gone.
 * @throws Problem in a plain sentence; nothing is changed either way.
 */
export async function readApart<Asked extends Question>(
  question: Asked,
  { window, gone }: Asker,
): Promise<Answers[Asked['as']]> {
  const understood = await new Promise<Answers[Question['as']]>((done, failed) => {
    if (waiting.length >= MOST_WAITING) {
      failed(new Problem('not valid', 'Too many files are being read just now. Try again in a moment.'));
      return;
    }
    const job: Job = { question, window, gone, done, failed };
    waiting.push(job);
    gone.addEventListener('abort', () => {
      const at = waiting.indexOf(job);
      if (at >= 0) waiting.splice(at, 1);
      failed(LEFT);
    });
    next();
  });
  return understood as Answers[Asked['as']];
}
const NOT_UNDERSTOOD = new Problem(
  'unreadable',
  'Something in this file could not be understood, so reading it stopped and nothing was changed. Save only the list as CSV and try that.',
);
const LEFT = new Problem('not valid', 'The page was left before the file was read, so nothing was changed.');

/** Begins whatever may begin. */
function next(): void {
  while (reading.size < AT_ONCE) {
    const at = waiting.findIndex((one) => ![...reading].some(({ window }) => window === one.window));
    const [job] = at < 0 ? [] : waiting.splice(at, 1);
    if (!job) return;
    reading.add(job);
    read(job)
      .then(job.done, job.failed)
      .finally(() => {
        reading.delete(job);
        next();
      });
  }
}

async function read({ question, gone }: Job): Promise<Answers[Question['as']]> {
  if (gone.aborted) throw LEFT;
  const worker = threadFor(question);
  const late = setTimeout(() => void worker.terminate(), LONGEST);
  const leave = (): void => void worker.terminate();
  gone.addEventListener('abort', leave);
  try {
    const answer = await new Promise<Answer>((resolve, reject) => {
      worker.once('message', resolve);
      worker.once('error', (error: NodeJS.ErrnoException) => {
        if (error.code === 'ERR_WORKER_OUT_OF_MEMORY') return reject(tooMuch('memory'));
        console.error(error);
        reject(NOT_UNDERSTOOD);
      });
      worker.once('exit', () => reject(gone.aborted ? LEFT : tooMuch('time')));
    });
    if (!answer.ok) throw new Problem(answer.code, answer.message);
    return answer.understood;
  } finally {
    clearTimeout(late);
    gone.removeEventListener('abort', leave);
    await worker.terminate();
  }
}

const tooMuch = (what: 'memory' | 'time'): Problem =>
  new Problem(
    'too large',
    `Reading this file takes more ${what} than any list of commands needs, so it was left. Save only the list and try again.`,
  );

/** A thread with a question. Its file is made of reader.ts by `npm run build`; the unit tests make one for themselves. */
function threadFor(workerData: Question): Worker {
  const built = join(/*turbopackIgnore: true*/ process.cwd(), process.env.GRAY_PIN_BUILD ?? '.next', 'reader.mjs');
  // What a process is started with for its own young objects goes before the limits of its threads (V8's
  // Heap::ConfigureHeap), and a thread that goes over by more than V8 leaves it then takes the whole process with it.
  setFlagsFromString('--max-semi-space-size=0');
  return new Worker(process.env.GRAY_PIN_READER ?? built, { workerData, resourceLimits: MEMORY });
}
