import Joi from 'joi';
import { type ChordText, canonicalText } from '../core/chord/chord';
import { nearestReading } from '../core/chord/nearestReading';
import { parseChord } from '../core/chord/parseChord';
import { parseChords } from '../core/chord/parseChords';
import { writeChord } from '../core/chord/writeChord';
import { KINDS, type Kind } from '../core/program/program';
import { PARTS, type Part } from '../core/workspace/room';
import { commandId, keymapName, name, owner } from './schemas';

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

const LONG_PATH = 'A place has 8 steps at most, each of 120 characters at most.';
/** Where a command lives, as `stepsIn` reads it. */
const menuPath = Joi.string()
  .trim()
  .max(1000)
  .allow('')
  .custom((value: string, helpers) => {
    const steps = stepsIn(value);
    return steps.length > 8 || steps.some((step) => step.length > 120) ? helpers.message({ custom: LONG_PATH }) : value;
  })
  .messages({ 'string.max': LONG_PATH });

/** A command of one's own; its menu is a path written with › or >. */
export const newCommand = Joi.object<{ name: string; menu: string; kind: Kind; context: string }>({
  name: keymapName.required(),
  menu: menuPath,
  kind: Joi.valid(...KINDS).required(),
  context: commandId.required(),
});

/** A command as a row of a list is said to be; `stepsIn` and `chordsIn` read its place and its keys. */
export const listedCommand = Joi.object<{ name: string; menu: string; keys: string }>({
  name: name.required().messages({
    'string.empty': 'Give the command a name.',
    'string.max': 'A name has 120 characters at most. Shorten it.',
  }),
  menu: menuPath,
  keys: Joi.string()
    .trim()
    .max(400)
    .allow('')
    .custom((value: string, helpers) => {
      const [first] = parseChords(value, 'windows').problems;
      return first ? helpers.message({ custom: first.message }) : value;
    }),
});

/** The steps of a path written with › or >. */
export const stepsIn = (text: string): string[] =>
  text
    .split(/[›>]/u)
    .map((step) => step.trim())
    .filter((step) => step !== '');

/** Keys written with "or" between them, each once. */
export const chordsIn = (text: string): ChordText[] => [
  ...new Set(parseChords(text, 'windows').chords.map(canonicalText)),
];

/** A room kept under a name, and what of it belongs to that. */
export const newWorkspace = Joi.object<{ name: string; owner: string; parts: Part[] }>({
  name: keymapName.required(),
  owner,
  parts: Joi.array()
    .items(Joi.valid(...PARTS))
    .min(1)
    .messages({ 'array.min': 'Choose at least one part.' }),
});

/** What another computer is called, from which everything is taken in. */
export const computerName = Joi.string()
  .trim()
  .min(1)
  .max(40)
  .pattern(/^[^()]*$/u)
  .messages({
    'string.empty': 'Say what the other computer is called.',
    'string.max': 'What it is called has 40 characters at most.',
    'string.pattern.base': 'What it is called has no brackets.',
  });
export const otherComputer = Joi.object<{ label: string }>({ label: computerName.required() });
