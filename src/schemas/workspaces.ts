import Joi from 'joi';
import type { FileWorkspace, WorkspaceFile } from '../core/file/workspaceFile';
import { type Appearance, CONTROL_SIZES, TINTS } from '../core/workspace/appearance';
import { type Arrangement, type Dock, type Float, FOLDS, type Stack } from '../core/workspace/arrangement';
import { type Dressing, INKS } from '../core/workspace/dressing';
import { PARTS, type Part, type Workspace } from '../core/workspace/room';
import { BUTTON_SIZES, MOST_COLUMNS, type Strip, type ToolLayout } from '../core/workspace/toolLayout';
import { fileKeymap } from './fileKeymap';
import { check, commandId, keymapName, owner } from './schemas';
import { shape } from './shape';

const one = (values: readonly string[]) => Joi.string().valid(...values);
const part = Joi.number().min(0).max(1);
const hundred = Joi.number().integer().min(0).max(100);
const commands = Joi.array().items(commandId).max(20_000).unique();

const stacked = { panels: commands.min(1).required(), top: commandId.required() };
const dock = shape<Dock>({
  stacks: Joi.array()
    .items(shape<Stack>({ ...stacked, share: part.required() }))
    .max(200)
    .required(),
  size: part.required(),
  fold: one(FOLDS).required(),
}).description('The stacks along one side of the window; size is its part of the window.');
const panels = shape<Arrangement>({
  docks: shape<Arrangement['docks']>({
    left: dock.required(),
    right: dock.required(),
    bottom: dock.required(),
  }).required(),
  floats: Joi.array()
    .items(
      shape<Float>({
        ...stacked,
        x: part.required(),
        y: part.required(),
        width: part.required(),
        height: part.required(),
      }),
    )
    .max(200)
    .required(),
  hidden: commands.required(),
});
const menus = shape<Dressing>({
  marks: Joi.array()
    .items(Joi.array().ordered(commandId.required(), one(INKS).required()))
    .max(20_000)
    .unique((a, b) => a[0] === b[0])
    .required(),
  hidden: commands.required(),
});
const strip = {
  groups: Joi.array().items(commands.min(1)).max(2000).required(),
  size: one(BUTTON_SIZES).required(),
  words: Joi.boolean().required().description("Whether each button's name stands under its icon."),
};
const tools = shape<ToolLayout>({
  rail: shape<ToolLayout['rail']>({
    ...strip,
    columns: Joi.number().integer().min(1).max(MOST_COLUMNS).required(),
  }).required(),
  bar: shape<Strip>(strip).required(),
  icons: Joi.array()
    .items(
      Joi.array().ordered(
        commandId.required(),
        Joi.string()
          .pattern(/^[a-z0-9-]{1,60}$/)
          .required(),
      ),
    )
    .max(20_000)
    .unique((a, b) => a[0] === b[0])
    .required()
    .description('Icons that were chosen, by their names in the icon set.'),
});
const appearance = shape<Appearance>({
  brightness: hundred.required(),
  contrast: hundred.required(),
  controls: one(CONTROL_SIZES).required(),
  surround: hundred.required().description('The gray around the picture.'),
  seeThrough: one(TINTS).required().description('The tint that stands for transparency.'),
  mask: one(TINTS).required().description('The tint that stands for masks.'),
});
export const workspaceParts = { panels, menus, tools, appearance };
const keymap = Joi.number().integer().min(1).allow(null);

/** A workspace as files carry it: the parts it has, and its keymap by name. */
export const fileWorkspace = shape<FileWorkspace>({
  name: keymapName.required(),
  owner: owner.required(),
  ...workspaceParts,
  keymap: Joi.string().max(120).allow(null).description("The name of a keymap of this file; null for the factory's."),
});

export const workspaceFileShape = shape<WorkspaceFile>({
  format: Joi.string().valid('gray-pin-workspaces').required(),
  formatVersion: Joi.number().valid(1).required(),
  program: shape<WorkspaceFile['program']>({
    name: keymapName.required(),
    version: Joi.string().max(40).required(),
  }).required(),
  workspaces: Joi.array().items(fileWorkspace).min(1).max(200).required(),
  keymaps: Joi.array().items(fileKeymap).max(200).required(),
});

export const workspaceFile = (body: unknown) => check(workspaceFileShape, body, 'This file');

const person = owner.required();
const roomRevision = Joi.number().integer().min(0).required();
const at = { person, revision: roomRevision };
export type At = { readonly person: string; readonly revision: number };

export const roomStepBody = (body: unknown) =>
  check(
    shape<At & { title: string; parts: Workspace }>({
      ...at,
      title: Joi.string().trim().min(1).max(200).required(),
      parts: shape<Workspace>({ ...workspaceParts, keymap })
        .min(1)
        .required(),
    }),
    body,
    'This step',
  );

export const roomTapeBody = (body: unknown) =>
  check(shape<At & { cursor: number }>({ ...at, cursor: Joi.number().integer().min(0).required() }), body, 'This step');

export const roomBody = (body: unknown) => check(shape<At>(at), body, 'This step');

const chosenParts = Joi.array().items(one(PARTS)).min(1).unique().required();
export const keepWorkspaceBody = (body: unknown) =>
  check(
    shape<At & { name: string; owner: string; parts: Part[] }>({
      ...at,
      name: keymapName.required(),
      owner: owner.default(''),
      parts: chosenParts,
    }),
    body,
    'This workspace',
  );

export const keepOverBody = (body: unknown) =>
  check(shape<At & { parts: Part[] }>({ ...at, parts: chosenParts }), body, 'This workspace');

export const changeWorkspaceBody = (body: unknown) =>
  check(
    shape<{ name?: string; owner?: string; putAway?: boolean }>({
      name: keymapName,
      owner,
      putAway: Joi.boolean(),
    }).min(1),
    body,
    'This change',
  );

export const versionBody = (body: unknown) =>
  check(shape<{ number: number }>({ number: Joi.number().integer().min(1).required() }), body, 'This version');

export const importBody = (body: unknown) =>
  check(shape<{ text: string }>({ text: Joi.string().min(1).max(3_500_000).required() }), body, 'This file');

export const iconQuery = (query: unknown) =>
  check(
    shape<{ find: string; names: string }>({
      find: Joi.string().allow('').max(80).default(''),
      names: Joi.string().allow('').max(4000).default(''),
    }),
    query,
    'This search',
  );
