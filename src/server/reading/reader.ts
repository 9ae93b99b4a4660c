/** The thread in which what comes from outside is read: it answers one question and ends. */
import { parentPort, workerData } from 'node:worker_threads';
import type { WorkspaceFile } from '../../core/file/workspaceFile';
import { Problem } from '../../schemas/problem';
import { readWorkspaceFile, type Understood, understand } from './understand';

/** What a file is read as. */
export type Question =
  | { readonly as: 'program'; readonly bytes: Uint8Array; readonly roles: Parameters<typeof understand>[1] }
  | { readonly as: 'workspaces'; readonly text: string };
/** What each kind of question is answered with. */
export type Answers = { readonly program: Understood; readonly workspaces: WorkspaceFile };
export type Answer =
  | { readonly ok: true; readonly understood: Answers[Question['as']] }
  | { readonly ok: false; readonly code: Problem['code']; readonly message: string };

function answer(question: Question): Answer {
  try {
    const understood =
      question.as === 'program' ? understand(question.bytes, question.roles) : readWorkspaceFile(question.text);
    return { ok: true, understood };
  } catch (error) {
    if (error instanceof Problem) return { ok: false, code: error.code, message: error.message };
    throw error;
  }
}

parentPort?.postMessage(answer(workerData as Question));
