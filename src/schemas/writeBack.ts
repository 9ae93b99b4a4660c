import Joi from 'joi';
import type { Said } from '../core/writeBack/spelling';
import { check } from './schemas';
import { shape } from './shape';

/** What a person said words are written as: by what they stand for. */
export const said = Joi.object<Said>()
  .pattern(
    Joi.string().max(40),
    Joi.string()
      .min(1)
      .max(40)
      .pattern(/^[^\p{C}]*$/u),
  )
  .max(400)
  .required()
  .messages({ 'string.pattern.base': 'A word for a key has no signs that nobody can see. Type it again.' });

export const saidBody = (body: unknown) => check<Said>(said, body, 'What you said');

export const writeBackQuery = (query: URLSearchParams) =>
  check(
    shape<{ file: number | null }>({ file: Joi.number().integer().min(1).allow(null).default(null) }),
    Object.fromEntries(query),
    'This address',
  );
