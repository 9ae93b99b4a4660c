import Joi from 'joi';
import { command, contexts, fileBindings, fileKeymap, name, rules } from './schemas';
import { fileWorkspace } from './workspaces';

/** Our own file: a program with its commands and keymaps. docs/program-file.schema.json says the same as JSON Schema. */
export const programFile = Joi.object({
  format: Joi.string().valid('gray-pin-program').required(),
  formatVersion: Joi.number().valid(1).required(),
  program: Joi.object({
    name: name.required(),
    version: Joi.string().trim().min(1).max(40).required(),
    contexts: contexts.required(),
    rules: Joi.object(rules).required(),
    commands: Joi.array()
      .items(Joi.object({ ...command, keys: fileBindings }))
      .min(1)
      .max(20_000)
      .unique('id')
      .required(),
  }).required(),
  keymaps: Joi.array().items(fileKeymap).max(200).required(),
  workspaces: Joi.array().items(fileWorkspace).max(200),
});
