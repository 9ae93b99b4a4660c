import Joi from 'joi';
import type { FileSaid } from '../core/file/belongings';
import type { ProgramFile } from '../core/file/programFile';
import type { Rules } from '../core/program/program';
import { fileBelongings, fileKeymap } from './fileKeymap';
import { packFile } from './packs';
import { command, commandId, contexts, fileBindings, name, rules } from './schemas';
import { shape } from './shape';
import { fileWorkspace, workspaceFileShape } from './workspaces';

/** Our own file: a program with its commands and keymaps. docs/program-file.schema.json is made of this. */
export const programFile = shape<ProgramFile>({
  format: Joi.string().valid('gray-pin-program').required(),
  formatVersion: Joi.number().valid(1).required(),
  program: shape<ProgramFile['program']>({
    name: name.required(),
    version: Joi.string().trim().min(1).max(40).required(),
    contexts: contexts.required(),
    rules: shape<Partial<Rules>>(rules)
      .required()
      .description(
        'What the program allows. Rules left out are the usual ones; forms left out are read off the factory keys.',
      ),
    commands: Joi.array()
      .items(shape<ProgramFile['program']['commands'][number]>({ ...command, keys: fileBindings }))
      .min(1)
      .max(20_000)
      .unique('id')
      .required()
      .description("In the program's own order. keys are the factory's."),
  }).required(),
  keymaps: Joi.array().items(fileKeymap).max(200).required(),
  workspaces: Joi.array().items(fileWorkspace).max(200),
  factory: fileBelongings.description('What belongs to the factory keymap besides its keys.'),
  counterparts: Joi.array()
    .items(
      shape<FileSaid>({
        command: commandId.required(),
        program: shape<FileSaid['program']>({
          name: name.required(),
          version: Joi.string().trim().min(1).max(40).required(),
        }).required(),
        counterpart: commandId.allow(null).required(),
      }),
    )
    .max(100_000)
    .description('What was said of counterparts in other programs; null that there is none.'),
});

/** The files of ours as JSON Schema (2020-12), by the names they are published under; `npm run schemas` writes them. */
export function publishedSchemas(): Readonly<Record<string, object>> {
  const published = (name: string, title: string, description: string, schema: Joi.ObjectSchema) => ({
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    $id: name,
    title,
    description,
    ...schema['~standard'].jsonSchema.input({ target: 'draft-2020-12' }),
  });
  const all = [
    published(
      'program-file.schema.json',
      'Gray Pin program file',
      'A program with its commands, its factory keys, its keymaps and its workspaces. Chords are written canonically: Mod, Ctrl, Alt, Shift, Meta in this order, then a key, joined by +; hold: before a held chord; strokes of a sequence separated by a space.',
      programFile,
    ),
    published(
      'workspace-file.schema.json',
      'Gray Pin workspace file',
      'Workspaces of one program, and the keymaps that belong to them.',
      workspaceFileShape,
    ),
    published(
      'pack-file.schema.json',
      'Gray Pin pack',
      'A few changes of keys, by the names and places of their commands, to be put on any keymap of this or another program.',
      packFile,
    ),
  ];
  return Object.fromEntries(all.map((one) => [one.$id, one]));
}
