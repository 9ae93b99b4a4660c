import Joi from 'joi';
import type { Choices } from '../core/reading/choices';
import type { Corrections } from '../core/reading/correctRows';
import { cutText } from '../core/text/cutText';
import { withoutOdd } from '../core/text/oddCharacter';
import { Problem } from '../schemas/problem';
import { choices, corrections } from '../schemas/reading';
import { check } from '../schemas/schemas';
import { takingWishes } from '../schemas/whole';
import type { Asker } from './reading/readApart';
import { MOST_BYTES } from './reading/understand';
import { MOST_BYTES as MOST_OF_EVERYTHING, tooLarge } from './whole/incoming';

/** A file as it was sent, with what a person said of it and of its rows, and the name they gave. */
export type Upload = {
  readonly bytes: Uint8Array;
  /** Null: nothing was said yet, so what was said of an earlier list counts. */
  readonly choices: Choices | null;
  readonly corrections: Corrections;
  readonly name: string;
  readonly version: string;
  /** The program on the Shelf of which it is to be the next version; none where it is empty. */
  readonly follows: string;
  /** What the file itself is called. */
  readonly fileName: string;
  readonly asker: Asker;
};

/** Which window a request came from, and what says that it no longer waits. */
export const askerOf = (request: Request): Asker => ({
  window: request.headers.get('x-window') ?? '',
  gone: request.signal,
});

const fields = Joi.object({
  choices: choices.allow(null).default(null),
  corrections: corrections.default({}),
  name: Joi.string().trim().max(120).allow('').default(''),
  version: Joi.string().trim().max(40).allow('').default(''),
  follows: Joi.string().trim().max(120).allow('').default(''),
});

/** Reads a posted form with a file. @throws Problem when it is too large or not such a form. */
export async function uploadOf(request: Request): Promise<Upload> {
  if (Number(request.headers.get('content-length') ?? 0) > MOST_BYTES + 100_000) {
    throw new Problem(
      'too large',
      'This file is larger than 5 MB, more than a list of commands needs. Save only the list and try again.',
    );
  }
  const { form, file } = await formOf(request);
  const given = check<Omit<Upload, 'bytes' | 'asker' | 'fileName'>>(
    fields,
    {
      choices: parsed(form.get('choices')),
      corrections: parsed(form.get('corrections')),
      name: form.get('name') ?? '',
      version: form.get('version') ?? '',
      follows: form.get('follows') ?? '',
    },
    'This file',
  );
  const bytes = new Uint8Array(await file.arrayBuffer());
  if (Buffer.from(bytes.subarray(0, 15)).toString('latin1') === 'SQLite format 3')
    throw new Problem(
      'unreadable',
      'This is a database, not a list of commands. If another Gray Pin saved everything in it, choose “Take everything in…” on the Shelf.',
    );
  return {
    ...given,
    bytes,
    fileName: fileNameOf(file.name),
    asker: askerOf(request),
  };
}

async function formOf(request: Request): Promise<{ readonly form: FormData; readonly file: File }> {
  const form = await request.formData().catch(() => null);
  const file = form?.get('file');
  if (!form || !file || typeof file === 'string')
    throw new Problem('not valid', 'No file came with this request. Choose one and try again.');
  return { form, file };
}

/** Reads a posted form with a file that holds everything of another computer, and what is wished of it. */
export async function everythingOf(request: Request) {
  if (Number(request.headers.get('content-length') ?? 0) > MOST_OF_EVERYTHING + 2_000_000) throw tooLarge();
  const { form, file } = await formOf(request);
  return { file, wishes: takingWishes(parsed(form.get('wishes')) ?? {}) };
}

/** The name of a file without what leads to it, and without signs that can't be seen. */
const fileNameOf = (name: string): string => {
  const bare = cutText(withoutOdd(name.split(/[\\/]/u).at(-1) ?? '').trim(), 120);
  return bare === 'blob' || bare === 'list.txt' ? '' : bare;
};

function parsed(text: unknown): unknown {
  try {
    return typeof text === 'string' ? (JSON.parse(text) as unknown) : undefined;
  } catch {
    throw new Problem('not valid', 'What was chosen could not be read. Choose it again.');
  }
}
