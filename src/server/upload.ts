import Joi from 'joi';
import type { Role } from '../core/reading/columnRoles';
import { Problem } from '../schemas/problem';
import { check, columnRoles } from '../schemas/schemas';
import type { Asker } from './reading/readApart';
import { MOST_BYTES } from './reading/understand';

/** A file as it was sent, with the column roles a person chose and the name they gave. */
export type Upload = {
  readonly bytes: Uint8Array;
  readonly roles: readonly (readonly Role[] | null)[];
  readonly name: string;
  readonly version: string;
  readonly asker: Asker;
};

/** Which window a request came from, and what says that it no longer waits. */
export const askerOf = (request: Request): Asker => ({
  window: request.headers.get('x-window') ?? '',
  gone: request.signal,
});

const fields = Joi.object({
  roles: columnRoles.default([]),
  name: Joi.string().trim().max(120).allow('').default(''),
  version: Joi.string().trim().max(40).allow('').default(''),
});

/** Reads a posted form with a file. @throws Problem when it is too large or not such a form. */
export async function uploadOf(request: Request): Promise<Upload> {
  if (Number(request.headers.get('content-length') ?? 0) > MOST_BYTES + 100_000) {
    throw new Problem(
      'too large',
      'This file is larger than 5 MB, more than a list of commands needs. Save only the list and try again.',
    );
  }
  const form = await request.formData().catch(() => null);
  const file = form?.get('file');
  if (!form || !file || typeof file === 'string')
    throw new Problem('not valid', 'No file came with this request. Choose one and try again.');
  const given = check<Pick<Upload, 'roles' | 'name' | 'version'>>(
    fields,
    { roles: parsed(form.get('roles')), name: form.get('name') ?? '', version: form.get('version') ?? '' },
    'This file',
  );
  return {
    ...given,
    bytes: new Uint8Array(await file.arrayBuffer()),
    asker: askerOf(request),
  };
}

function parsed(text: unknown): unknown {
  try {
    return typeof text === 'string' ? (JSON.parse(text) as unknown) : undefined;
  } catch {
    throw new Problem('not valid', 'The chosen columns could not be read. Choose them again.');
  }
}
