/** The thread in which what comes from outside is read: it answers one question and ends. */
import { parentPort, workerData } from 'node:worker_threads';
import { Problem } from '../problem';
import { type Understood, understand } from './understand';

export type Question = { readonly bytes: Uint8Array; readonly roles: Parameters<typeof understand>[1] };
export type Answer =
  | { readonly ok: true; readonly understood: Understood }
  | { readonly ok: false; readonly code: Problem['code']; readonly message: string };

function answer({ bytes, roles }: Question): Answer {
  try {
    return { ok: true, understood: understand(bytes, roles) };
  } catch (error) {
    if (error instanceof Problem) return { ok: false, code: error.code, message: error.message };
    throw error;
  }
}

parentPort?.postMessage(answer(workerData as Question));
