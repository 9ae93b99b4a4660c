import Joi from 'joi';
import { parseCanonical } from '../core/chord/parseChord';
import { SHAPES, SIZES } from '../core/keyboard/keyboard';
import { LAYOUTS } from '../core/keyboard/layouts';
import type { Change, Ticket } from '../core/keymap/ticket';
import type { Command, Context, Rules } from '../core/program/program';
import { FORMS, KINDS } from '../core/program/program';
import type { Facts } from '../core/program/programEdits';
import { cutText } from '../core/text/cutText';
import { oddCharacter, withoutOdd } from '../core/text/oddCharacter';
import { Problem } from './problem';
import { type Plain, shape } from './shape';

/** What comes in at the edges, as Joi sees it. Messages are for people. */
export const chord = Joi.string()
  .max(120)
  .custom((value: string, helpers) => {
    return parseCanonical(value) ? value : helpers.message({ custom: `“${value}” is not keys as we write them.` });
  });
export const name = Joi.string().trim().min(1).max(120);
export const keymapName = name.messages({
  'string.empty': 'Give it a name.',
  'string.max': 'A name has 120 characters at most.',
});
export const owner = Joi.string()
  .trim()
  .max(80)
  .allow('')
  .messages({ 'string.max': 'Whose it is is said in 80 characters at most.' });
export const revision = Joi.number().integer().min(1);
export const commandId = Joi.string().min(1).max(200);
const hook = Joi.string().trim().min(1).max(120);
const bindings = Joi.array()
  .items(Joi.object({ chord: chord.required(), keeper: Joi.valid(true), hook }))
  .max(20)
  .unique('chord');

export const ticket = shape<Ticket>({
  title: Joi.string().min(1).max(200).required(),
  changes: Joi.array()
    .items(
      shape<Change>({
        command: commandId.required(),
        before: bindings.required(),
        after: bindings.required(),
        spare: Joi.array().ordered(Joi.boolean().required(), Joi.boolean().required()),
      }),
    )
    .min(1)
    .max(20_000)
    .unique('command')
    .required(),
  pulled: Joi.array().items(Joi.number().integer().min(1)).min(1).max(20_000).unique(),
});

/** The keyboard that keys were chosen on. */
export const onKeyboard = {
  shape: Joi.string()
    .valid(...SHAPES)
    .required(),
  size: Joi.string()
    .valid(...SIZES)
    .required(),
  layout: Joi.string()
    .valid(...LAYOUTS.map((one) => one.id))
    .required(),
};

/** One binding in our own file: keys alone, or with their marks. */
export const fileBindings = Joi.array()
  .items(chord, Joi.object({ keys: chord.required(), keeper: Joi.boolean(), hook }))
  .max(20)
  .unique((a, b) => (a.keys ?? a) === (b.keys ?? b))
  .description('Chords alone, or with their marks: a keeper is not to be lost, a hook is a memory hook.');

export const contexts = Joi.array()
  .items(shape<Context>({ id: commandId.required(), name: name.required(), parent: commandId.allow(null).required() }))
  .min(1)
  .max(200)
  .unique('id')
  .description('Where keys are listened for; a tree under the one context without a parent.');
export const rules = {
  turns: Joi.array()
    .items(Joi.array().items(name).min(1).max(8))
    .max(100)
    .description('Beginnings of paths: the commands that live there take turns on a key.'),
  fixed: Joi.array()
    .items(Joi.object({ chord: chord.required(), why: Joi.string().trim().min(1).max(200).required() }))
    .max(500)
    .unique('chord')
    .description('Chords the program keeps for itself, and why.'),
  shadow: Joi.boolean().description('Whether a narrower context may shadow a wider one on the same chord.'),
  sequences: Joi.boolean().description('Whether it takes two strokes one after the other.'),
  forms: Joi.object(
    Object.fromEntries(
      KINDS.map((kind) => [
        kind,
        Joi.array()
          .items(Joi.string().valid(...FORMS))
          .unique()
          .required(),
      ]),
    ),
  ).description(
    'The forms of keys each kind of command takes: bare (a character alone or with Shift), named (F5), modified, held.',
  ),
  menuLetters: Joi.object()
    .pattern(
      name,
      Joi.string()
        .pattern(/^[\p{L}\p{N}]$/u)
        .uppercase(),
    )
    .description("The letter that opens each menu with Alt on Windows and Linux, by the menu's name."),
};
export const command = {
  id: commandId.required(),
  name: name.required(),
  kind: Joi.string()
    .valid(...KINDS)
    .required(),
  path: Joi.array().items(name).max(8).required(),
  context: commandId.required(),
};

/** What a program says of itself: all of it, as the screen for it sends it. */
export const programFacts = shape<Facts>({
  contexts: contexts.required(),
  rules: Joi.object<Plain<Rules>>(
    Object.fromEntries(Object.entries(rules).map(([key, value]) => [key, value.required()])),
  ).required(),
  commands: Joi.array().items(shape<Command>(command)).min(1).max(20_000).unique('id').required(),
});

/** A text of a value, or a name in it, that holds a character nobody could see; null where all can be seen. */
function oddText(value: unknown): { readonly text: string; readonly odd: string } | null {
  // By a list of what is left, since a value may be nested deeper than calls can be.
  const left: unknown[] = [value];
  while (left.length > 0) {
    const one = left.pop();
    if (typeof one === 'string') {
      const odd = oddCharacter(one);
      if (odd !== null) return { text: withoutOdd(one), odd };
    } else if (Array.isArray(one)) for (const inside of one) left.push(inside);
    else if (one !== null && typeof one === 'object')
      for (const [name, inside] of Object.entries(one)) left.push(inside, name);
  }
  return null;
}

/** Checks a value against a schema; @throws Problem with the first thing that is wrong, in words. */
export function check<T>(schema: Joi.ObjectSchema<T> | Joi.ArraySchema<T>, value: unknown, what: string): T {
  const unseen = oddText(value);
  if (unseen)
    throw new Problem(
      'not valid',
      `${what} can't be taken as it is: “${cutText(unseen.text, 60)}” holds a character that can't be seen (${unseen.odd}). Write it anew without it.`,
    );
  const result = schema.validate(value, { abortEarly: true, convert: true, errors: { wrap: { label: '“”' } } });
  if (result.error)
    throw new Problem('not valid', `${what} can't be taken as it is: ${result.error.message.replace(/\.$/, '')}.`);
  return result.value as T;
}
