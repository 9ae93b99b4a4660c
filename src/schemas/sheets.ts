import Joi from 'joi';
import { KINDS } from '../core/program/program';
import { sheetFromQuery } from '../core/sheet/sheetQuery';
import {
  CARDS,
  CONTENTS,
  DEFAULT_SHEET,
  EXTRAS,
  FORMS,
  type Form,
  GROUPINGS,
  MOST_PAGES,
  MOST_PROGRAMS,
  NOTES,
  ORDERS,
  PAPERS,
  POSTER_LAYERS,
  SHEET_NOTATIONS,
  type SheetSpec,
  usualSheet,
  WAYS,
} from '../core/sheet/sheetSpec';
import { check, commandId, keymapName } from './schemas';
import { type Plain, shape } from './shape';

const one = (values: readonly string[]) => Joi.string().valid(...values);
const some = (item: Joi.Schema) => Joi.array().items(item).max(20_000).unique();
const title = Joi.string().min(1).max(200);

/** The choices of a sheet, each with what it may be. */
const choices: Readonly<Record<keyof SheetSpec, Joi.Schema>> = {
  form: one(FORMS),
  contents: one(CONTENTS),
  picked: some(commandId),
  most: Joi.number().integer().min(1).max(1000),
  menus: some(title),
  kinds: some(one(KINDS)),
  contexts: some(commandId),
  keyless: Joi.boolean(),
  group: one(GROUPINGS),
  order: one(ORDERS),
  groupNames: Joi.array()
    .items(Joi.array().ordered(title.required(), Joi.string().trim().min(1).max(80).required()))
    .max(500)
    .unique((a, b) => a[0] === b[0]),
  notation: one(SHEET_NOTATIONS),
  extras: some(one(EXTRAS)),
  paper: one(Object.keys(PAPERS)),
  way: one(WAYS),
  card: one(Object.keys(CARDS)),
  note: one(Object.keys(NOTES)),
  layers: one(POSTER_LAYERS),
  fold: Joi.boolean(),
  pages: Joi.number().integer().min(0).max(MOST_PAGES),
  base: Joi.string().max(200).allow(''),
  programs: some(Joi.string().max(400)).max(MOST_PROGRAMS),
  differ: Joi.boolean(),
};

/** The choices of a sheet from an address; what is unknown or missing there falls back to the usual. */
export function sheetOptions(query: Readonly<Record<string, unknown>>): SheetSpec {
  const given = sheetFromQuery(query);
  const form = choices.form.validate(given.form);
  const usually = form.error || given.form === undefined ? DEFAULT_SHEET : usualSheet(form.value as Form);
  return Object.fromEntries(
    Object.entries(usually).map(([name, usual]) => {
      const result = choices[name as keyof SheetSpec].required().validate(given[name], { convert: false });
      return [name, result.error ? usual : result.value];
    }),
  ) as SheetSpec;
}

/** All choices of a sheet, to be kept. */
export const sheetSpec = Joi.object<Plain<SheetSpec>>(
  Object.fromEntries(Object.entries(choices).map(([name, schema]) => [name, schema.required()])),
);

export const keepSheetBody = (body: unknown) =>
  check(
    shape<{ name: string; spec: SheetSpec }>({ name: keymapName.required(), spec: sheetSpec.required() }),
    body,
    'This sheet',
  );

export const changeSheetBody = (body: unknown) =>
  check(
    shape<{ name?: string; spec?: SheetSpec; putAway?: boolean }>({
      name: keymapName,
      spec: sheetSpec,
      putAway: Joi.boolean(),
    }).min(1),
    body,
    'This sheet',
  );

export const FILE_KINDS = ['pdf', 'svg', 'html', 'fragment', 'markdown', 'csv', 'xlsx'] as const;
export type FileKind = (typeof FILE_KINDS)[number];

/** Which sheet a file is wanted of, and which kind of file. */
export const sheetFileQuery = (query: unknown) =>
  check(
    shape<{ program: string; keymap: string; date: string; as: FileKind }>({
      program: Joi.string().required(),
      keymap: Joi.string().required(),
      date: Joi.string().max(40).allow('').default(''),
      as: one(FILE_KINDS).default('pdf'),
    }).unknown(),
    query,
    'This sheet',
  );

/** Which keymaps are wanted side by side: one, and others as `program/keymap`. */
export const sideBySideQuery = (query: unknown) =>
  check(
    shape<{ program: string; keymap: string; programs: string }>({
      program: Joi.string().required(),
      keymap: Joi.string().required(),
      programs: Joi.string().max(2000).allow('').default(''),
    }),
    query,
    'This table',
  );
