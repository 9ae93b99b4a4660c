/** The thread in which what comes from outside is read: it answers one question and ends. */
import { parentPort, workerData } from 'node:worker_threads';
import type { WorkspaceFile } from '../../core/file/workspaceFile';
import { type Choices, NO_CHOICES } from '../../core/reading/choices';
import { type Corrections, correctRows } from '../../core/reading/correctRows';
import { FIRST_PAGE, PAGE, type Remembered } from '../../core/reading/preview';
import { programFromReading } from '../../core/reading/programFromReading';
import type { Reading } from '../../core/reading/readCommandList';
import type { ReadRow } from '../../core/reading/readTable';
import { rememberedFor } from '../../core/reading/rememberedFor';
import { asNextVersion } from '../../core/succession/asNextVersion';
import type { VersionSide } from '../../core/succession/findLinks';
import type { Wanted } from '../../core/writeBack/sourceText';
import type { Said } from '../../core/writeBack/spelling';
import { type FileBytes, type FileWritten, writeFile } from '../../core/writeBack/writeFile';
import { Problem } from '../../schemas/problem';
import { orSay } from './orSay';
import { linesIn, readWorkspaceFile, type Understood, understand } from './understand';
import { type Unprinted, unprinted } from './unprinted';

/** What a file is read as. */
export type Question =
  | {
      readonly as: 'program';
      readonly bytes: Uint8Array;
      readonly choices: Choices | null;
      readonly corrections: Corrections;
      /** The version of a program that it is the next of. */
      readonly before?: VersionSide;
    }
  | {
      readonly as: 'preview';
      readonly bytes: Uint8Array;
      /** Null: nothing was said yet, so what was said of an earlier list counts. */
      readonly choices: Choices | null;
      readonly remembered: readonly Remembered[];
    }
  | { readonly as: 'lines'; readonly bytes: Uint8Array }
  | {
      readonly as: 'written';
      readonly source: FileBytes;
      /** A newer copy of it; null for the same. */
      readonly into: FileBytes | null;
      readonly wanted: readonly Wanted[];
      readonly said: Said;
    }
  | { readonly as: 'workspaces'; readonly text: string };
/** What each kind of question is answered with. */
export type Answers = {
  readonly program: Understood;
  readonly preview: Previewed;
  readonly lines: string;
  readonly written: FileWritten;
  readonly workspaces: WorkspaceFile;
};
/** What a list was read as, its rows as pages of JSON; or a program file. */
export type Previewed =
  | Exclude<Understood, { readonly kind: 'list' }>
  | {
      readonly kind: 'list';
      readonly reading: Omit<Reading, 'rows'>;
      readonly count: number;
      readonly encoding: string;
      readonly choices: Choices;
      readonly asFor: string | null;
      readonly pages: readonly string[];
      /** What its commands are called. */
      readonly names: readonly string[];
    };
export type Answer =
  | { readonly ok: true; readonly understood: Answers[Question['as']] }
  | { readonly ok: false; readonly code: Problem['code']; readonly message: string };

async function answer(question: Question): Promise<Answer> {
  try {
    return { ok: true, understood: await answerTo(question) };
  } catch (error) {
    if (error instanceof Problem) return { ok: false, code: error.code, message: error.message };
    throw error;
  }
}

async function answerTo(question: Question): Promise<Answers[Question['as']]> {
  if (question.as === 'workspaces') return readWorkspaceFile(question.text);
  if (question.as === 'written') {
    const { source, into, wanted, said } = question;
    return orSay(() => writeFile(source, into, wanted, said));
  }
  const file = await unprinted(question.bytes);
  if (question.as === 'lines') return linesIn(file.bytes);
  if (question.as === 'preview') return previewOf(question, file);
  const understood = understand(file.bytes, question.choices ?? NO_CHOICES, file.printed);
  if (understood.kind !== 'list') return understood;
  const reading = { ...understood.reading, rows: correctRows(understood.reading.rows, question.corrections) };
  const next = question.before && asNextVersion(question.before, programFromReading(reading, '', ''));
  return { ...understood, reading, ...(next ? { next } : {}) };
}

function previewOf({ choices, remembered }: Extract<Question, { as: 'preview' }>, file: Unprinted): Previewed {
  const understood = understand(file.bytes, choices ?? NO_CHOICES, file.printed);
  if (understood.kind !== 'list') return understood;
  const as = choices === null ? rememberedFor(remembered, (by) => readingBy(file, by) ?? understood.reading) : null;
  const { rows, ...reading } = as?.reading ?? understood.reading;
  const pages: string[] = [];
  for (let from = 0; from < rows.length; from += from === 0 ? FIRST_PAGE : PAGE)
    pages.push(JSON.stringify(rows.slice(from, from + (from === 0 ? FIRST_PAGE : PAGE)).map(withoutPlace)));
  return {
    kind: 'list',
    reading,
    count: rows.length,
    encoding: understood.encoding,
    choices: as?.by.choices ?? choices ?? NO_CHOICES,
    asFor: as?.by.program ?? null,
    pages,
    names: rows.flatMap((row) => row.command?.name ?? []),
  };
}

/** A row as a screen shows it: where it stands in the file is nothing to it. */
const withoutPlace = (row: ReadRow): ReadRow => ({ ...row, at: null });

/** The list as some choices have it; null where they don't fit it. */
function readingBy({ bytes, printed }: Unprinted, choices: Choices): Reading | null {
  try {
    const read = understand(bytes, choices, printed);
    return read.kind === 'list' ? read.reading : null;
  } catch (error) {
    if (error instanceof Problem) return null;
    throw error;
  }
}

parentPort?.postMessage(await answer(workerData as Question));
