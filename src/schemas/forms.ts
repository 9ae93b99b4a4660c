import Joi from 'joi';
import { canonicalText } from '../core/chord/chord';
import { nearestReading } from '../core/chord/nearestReading';
import { parseChord } from '../core/chord/parseChord';
import { writeChord } from '../core/chord/writeChord';
import { KINDS, type Kind } from '../core/program/program';
import { PARTS, type Part } from '../core/workspace/room';
import { commandId, keymapName, owner } from './schemas';

/** What the forms of the interface take; what a field can't take, it says by itself. */

const versionLabel = Joi.string()
  .trim()
  .max(40)
  .allow('')
  .messages({ 'string.max': 'A version has 40 characters at most.' });

/** Keys typed in any of the common ways, made canonical. */
const typedKeys = Joi.string()
  .trim()
  .required()
  .messages({ 'string.empty': 'Type the keys, for example Ctrl+Tab.' })
  .custom((value: string, helpers) => {
    const read = parseChord(value);
    if (read.ok) return canonicalText(read.chord);
    const near = nearestReading(value);
    return helpers.message({ custom: `${read.message}${near ? ` Did you mean ${writeChord(near, 'windows')}?` : ''}` });
  });

/** A name given to something, and whose it is. */
export const naming = Joi.object<{ name: string; owner: string }>({ name: keymapName.required(), owner });

/** What a program brought in is called. */
export const programNaming = Joi.object<{ name: string; version: string }>({
  name: keymapName.required().messages({ 'string.empty': 'Give the program a name.' }),
  version: versionLabel,
});

/** A place where keys are listened for, and the one it lies in. */
export const newPlace = Joi.object<{ name: string; parent: string }>({
  name: keymapName.required(),
  parent: commandId.required(),
});

/** Keys that the program keeps for itself. */
export const newFixed = Joi.object<{ chord: string; why: string }>({
  chord: typedKeys,
  why: Joi.string().trim().max(200).allow('').messages({ 'string.max': 'Say it in 200 characters at most.' }),
});

/** A command of one's own; its menu is a path written with › or >. */
export const newCommand = Joi.object<{ name: string; menu: string; kind: Kind; context: string }>({
  name: keymapName.required(),
  menu: Joi.string().trim().max(400).allow('').messages({ 'string.max': 'A path has 400 characters at most.' }),
  kind: Joi.valid(...KINDS).required(),
  context: commandId.required(),
});

/** A room kept under a name, and what of it belongs to that. */
export const newWorkspace = Joi.object<{ name: string; owner: string; parts: Part[] }>({
  name: keymapName.required(),
  owner,
  parts: Joi.array()
    .items(Joi.valid(...PARTS))
    .min(1)
    .messages({ 'array.min': 'Choose at least one part.' }),
});
