import Joi from 'joi';
import type { FormChange } from '../core/ownForm/formEdits';
import { ESCAPES, LETTERS, type OwnForm } from '../core/ownForm/ownForm';
import { KEY_FAMILIES } from '../core/writeBack/keyWords';
import { check } from './schemas';
import { shape } from './shape';

const word = Joi.string()
  .max(40)
  .pattern(/^[^\n\r]*$/u);

/** A form of one's own, as it is kept and as it is typed. */
export const ownForm = shape<OwnForm>({
  name: Joi.string().trim().min(1).max(60).required().messages({ 'string.empty': 'Give the form a name.' }),
  fileName: Joi.string()
    .trim()
    .min(1)
    .max(120)
    .pattern(/^[^/\\\p{C}]+$/u)
    .required()
    .messages({
      'string.empty': 'Say what the file is called.',
      'string.pattern.base': 'A file is called without slashes. Type its name alone.',
    }),
  template: Joi.string().min(1).max(100_000).required().messages({ 'string.empty': 'Write a template first.' }),
  escape: Joi.string()
    .valid(...ESCAPES)
    .required(),
  modifiers: shape<OwnForm['modifiers']>({
    Mod: word.min(1).required(),
    Alt: word.min(1).required(),
    Shift: word.min(1).required(),
    Meta: word.min(1).required(),
  }).required(),
  joint: word.allow('').required(),
  several: word.allow('').required(),
  none: word.allow('').required(),
  letters: Joi.string()
    .valid(...LETTERS)
    .required(),
  family: Joi.string()
    .valid(...KEY_FAMILIES.map((one) => one.name))
    .required(),
  words: Joi.string().max(4000).allow('').required(),
});

export const keepFormBody = (body: unknown) => check(ownForm.required(), body, 'This form');

export const changeFormBody = (body: unknown) =>
  check(shape<FormChange>({ form: ownForm, putAway: Joi.boolean() }).or('form', 'putAway'), body, 'This form');
