import Joi from 'joi';
import { parseCanonical } from '../../core/chord/parseChord';
import { KINDS } from '../../core/program/program';
import { ROLES } from '../../core/reading/columnRoles';
import { Problem } from '../problem';

/** What comes in at the edges, as Joi sees it. Messages are for people. */
export const chord = Joi.string()
  .max(120)
  .custom((value: string, helpers) => {
    return parseCanonical(value) ? value : helpers.message({ custom: `“${value}” is not keys as we write them.` });
  });
const name = Joi.string().trim().min(1).max(120);
export const keymapName = name.label('The name');
export const owner = Joi.string().trim().max(80).allow('');
export const revision = Joi.number().integer().min(1);
const commandId = Joi.string().min(1).max(200);
const bindings = Joi.array()
  .items(Joi.object({ chord: chord.required() }))
  .max(20)
  .unique('chord');

export const ticket = Joi.object({
  title: Joi.string().min(1).max(200).required(),
  changes: Joi.array()
    .items(Joi.object({ command: commandId.required(), before: bindings.required(), after: bindings.required() }))
    .min(1)
    .max(20_000)
    .unique('command')
    .required(),
});

export const columnRoles = Joi.array()
  .items(
    Joi.array()
      .items(Joi.string().valid(...ROLES))
      .max(60)
      .allow(null),
  )
  .max(200);

/** Our own file: a program with its commands and keymaps. docs/program-file.schema.json says the same as JSON Schema. */
export const programFile = Joi.object({
  format: Joi.string().valid('gray-pin-program').required(),
  formatVersion: Joi.number().valid(1).required(),
  program: Joi.object({
    name: name.required(),
    version: Joi.string().trim().min(1).max(40).required(),
    contexts: Joi.array()
      .items(Joi.object({ id: commandId.required(), name: name.required(), parent: commandId.allow(null).required() }))
      .min(1)
      .max(200)
      .unique('id')
      .required(),
    rules: Joi.object({
      turns: Joi.array().items(Joi.array().items(name).min(1).max(8)).max(100).required(),
      fixed: Joi.array()
        .items(Joi.object({ chord: chord.required(), why: Joi.string().min(1).max(200).required() }))
        .max(500)
        .required(),
    }).required(),
    commands: Joi.array()
      .items(
        Joi.object({
          id: commandId.required(),
          name: name.required(),
          kind: Joi.string()
            .valid(...KINDS)
            .required(),
          path: Joi.array().items(name).max(8).required(),
          context: commandId.required(),
          keys: Joi.array().items(chord).max(20).unique(),
        }),
      )
      .min(1)
      .max(20_000)
      .unique('id')
      .required(),
  }).required(),
  keymaps: Joi.array()
    .items(
      Joi.object({
        name: name.required(),
        owner: owner.required(),
        bindings: Joi.object().pattern(commandId, Joi.array().items(chord).max(20).unique()).required(),
      }),
    )
    .max(200)
    .required(),
});

/** Checks a value against a schema; @throws Problem with the first thing that is wrong, in words. */
export function check<T>(schema: Joi.Schema, value: unknown, what: string): T {
  const result = schema.validate(value, { abortEarly: true, convert: true, errors: { wrap: { label: '“”' } } });
  if (result.error) throw new Problem('not valid', `${what} can't be taken as it is: ${result.error.message}.`);
  return result.value as T;
}
