import Joi from 'joi';
import type { WorkspaceFile } from '../core/file/workspaceFile';
import { CONTROL_SIZES, TINTS } from '../core/workspace/appearance';
import { FOLDS, SIDES } from '../core/workspace/arrangement';
import { INKS } from '../core/workspace/dressing';
import { PARTS, type Part, type Workspace } from '../core/workspace/room';
import { BUTTON_SIZES, MOST_COLUMNS } from '../core/workspace/toolLayout';
import { check, commandId, fileKeymap, keymapName, owner } from './schemas';

const one = (values: readonly string[]) => Joi.string().valid(...values);
const part = Joi.number().min(0).max(1);
const hundred = Joi.number().integer().min(0).max(100);
const commands = Joi.array().items(commandId).max(20_000).unique();

const stacked = { panels: commands.min(1).required(), top: commandId.required() };
const dock = Joi.object({
  stacks: Joi.array()
    .items(Joi.object({ ...stacked, share: part.required() }))
    .max(200)
    .required(),
  size: part.required(),
  fold: one(FOLDS).required(),
});
const panels = Joi.object({
  docks: Joi.object(Object.fromEntries(SIDES.map((side) => [side, dock.required()]))).required(),
  floats: Joi.array()
    .items(
      Joi.object({
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
const menus = Joi.object({
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
  words: Joi.boolean().required(),
};
const tools = Joi.object({
  rail: Joi.object({ ...strip, columns: Joi.number().integer().min(1).max(MOST_COLUMNS).required() }).required(),
  bar: Joi.object(strip).required(),
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
    .required(),
});
const appearance = Joi.object({
  brightness: hundred.required(),
  contrast: hundred.required(),
  controls: one(CONTROL_SIZES).required(),
  surround: hundred.required(),
  seeThrough: one(TINTS).required(),
  mask: one(TINTS).required(),
});
const parts = { panels, menus, tools, appearance };
const keymap = Joi.number().integer().min(1).allow(null);

/** A workspace as files carry it: the parts it has, and its keymap by name. */
export const fileWorkspace = Joi.object({
  name: keymapName.required(),
  owner: owner.required(),
  ...parts,
  keymap: Joi.string().max(120).allow(null),
});

export const workspaceFile = (body: unknown) =>
  check<WorkspaceFile>(
    Joi.object({
      format: Joi.string().valid('gray-pin-workspaces').required(),
      formatVersion: Joi.number().valid(1).required(),
      program: Joi.object({ name: keymapName.required(), version: Joi.string().max(40).required() }).required(),
      workspaces: Joi.array().items(fileWorkspace).min(1).max(200).required(),
      keymaps: Joi.array().items(fileKeymap).max(200).required(),
    }),
    body,
    'This file',
  );

const person = owner.required();
const roomRevision = Joi.number().integer().min(0).required();
const at = { person, revision: roomRevision };
export type At = { readonly person: string; readonly revision: number };

export const roomStepBody = (body: unknown) =>
  check<At & { title: string; parts: Workspace }>(
    Joi.object({
      ...at,
      title: Joi.string().trim().min(1).max(200).required(),
      parts: Joi.object({ ...parts, keymap })
        .min(1)
        .required(),
    }),
    body,
    'This step',
  );

export const roomTapeBody = (body: unknown) =>
  check<At & { cursor: number }>(
    Joi.object({ ...at, cursor: Joi.number().integer().min(0).required() }),
    body,
    'This step',
  );

export const roomBody = (body: unknown) => check<At>(Joi.object(at), body, 'This step');

const chosenParts = Joi.array().items(one(PARTS)).min(1).unique().required();
export const keepWorkspaceBody = (body: unknown) =>
  check<At & { name: string; owner: string; parts: Part[] }>(
    Joi.object({ ...at, name: keymapName.required(), owner: owner.default(''), parts: chosenParts }),
    body,
    'This workspace',
  );

export const keepOverBody = (body: unknown) =>
  check<At & { parts: Part[] }>(Joi.object({ ...at, parts: chosenParts }), body, 'This workspace');

export const changeWorkspaceBody = (body: unknown) =>
  check<{ name?: string; owner?: string; putAway?: boolean }>(
    Joi.object({ name: keymapName, owner, putAway: Joi.boolean() }).min(1),
    body,
    'This change',
  );

export const versionBody = (body: unknown) =>
  check<{ number: number }>(Joi.object({ number: Joi.number().integer().min(1).required() }), body, 'This version');

export const importBody = (body: unknown) =>
  check<{ text: string }>(Joi.object({ text: Joi.string().min(1).max(3_500_000).required() }), body, 'This file');

export const iconQuery = (query: unknown) =>
  check<{ find: string; names: string }>(
    Joi.object({
      find: Joi.string().allow('').max(80).default(''),
      names: Joi.string().allow('').max(4000).default(''),
    }),
    query,
    'This search',
  );
