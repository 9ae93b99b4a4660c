import Joi from 'joi';
import { DESKTOPS } from '../core/desktop/desktopKeys';
import { MOST_LINES, type Pack, type PackLine } from '../core/pack/pack';
import { KINDS } from '../core/program/program';
import { Problem } from './problem';
import { check, chord, fileBindings, name, onKeyboard, owner } from './schemas';
import { shape } from './shape';

const packName = Joi.string().trim().min(1).max(80).messages({ 'string.empty': 'Give the pack a name.' });
const note = Joi.string().trim().max(2000).allow('');

/** A few changes as a file of ours. docs/pack-file.schema.json is made of this. */
export const packFile = shape<Pack>({
  format: Joi.string().valid('gray-pin-pack').required(),
  formatVersion: Joi.number().valid(1).required(),
  name: packName.required(),
  note: note.required(),
  owner: owner.required(),
  program: shape<Pack['program']>({
    name: name.required(),
    version: Joi.string().trim().min(1).max(40).required(),
  }).required(),
  madeOn: shape<Pack['madeOn']>({
    ...onKeyboard,
    desktop: Joi.string()
      .valid(...DESKTOPS)
      .required(),
  }).required(),
  lines: Joi.array()
    .items(
      shape<PackLine>({
        command: shape<PackLine['command']>({
          name: name.required(),
          kind: Joi.string()
            .valid(...KINDS)
            .required(),
          path: Joi.array().items(Joi.string().trim().min(1).max(120)).max(12).required(),
        }).required(),
        factory: Joi.array().items(chord).max(20).required().description("The factory's keys."),
        keys: fileBindings.required().description('The keys it is to have; an empty list means no key.'),
      }),
    )
    .min(1)
    .max(MOST_LINES)
    .required(),
});

/** The name and note of a pack, as they are typed. */
export const packNaming = shape<Pick<Pack, 'name' | 'note'>>({ name: packName.required(), note: note.required() });

const MOST_SIGNS = 1_000_000;
const NO_PACK = 'This is no pack. Choose a file that was saved with “Save the pack”.';

/** Reads the text of a file as a pack. @throws Problem in a sentence where it is none. */
export function packFrom(body: unknown): Pack {
  const { text } = check(
    shape<{ text: string }>({ text: Joi.string().max(MOST_SIGNS).allow('').required() }),
    body,
    'This file',
  );
  let given: unknown;
  try {
    given = JSON.parse(text);
  } catch {
    throw new Problem('unreadable', NO_PACK);
  }
  if ((given as { format?: unknown } | null)?.format !== 'gray-pin-pack') throw new Problem('unreadable', NO_PACK);
  return check(packFile, given, 'This pack');
}
