import Joi from 'joi';
import type { Choices } from '../core/reading/choices';
import type { Corrections } from '../core/reading/correctRows';
import { ROLES } from '../core/reading/roles';
import { LONGEST_SHOWN, type Mark, MOST_SHOWN, marksOf, type ShownLine } from '../core/reading/shown/shownLine';
import { chord, name } from './schemas';
import { shape } from './shape';

const roles = Joi.array()
  .items(
    Joi.array()
      .items(Joi.string().valid(...ROLES))
      .max(60)
      .allow(null),
  )
  .max(200);

const mark = Joi.array()
  .ordered(Joi.number().integer().min(0).required(), Joi.number().integer().max(LONGEST_SHOWN).required())
  .custom((given: Mark, helpers) => (given[0] < given[1] ? given : helpers.error('any.invalid')))
  .allow(null);

const shownLine = shape<ShownLine>({
  text: Joi.string().max(LONGEST_SHOWN).required(),
  name: mark.required(),
  keys: mark.required(),
  path: mark.required(),
}).custom((line: ShownLine, helpers) => {
  const marks = marksOf(line).map((one) => one.mark);
  const apart = marks.every(([from, to], i) => to <= line.text.length && from >= (marks[i - 1]?.[1] ?? 0));
  return apart && (line.name !== null || line.path !== null)
    ? line
    : helpers.message({ custom: 'What was marked in the line you showed overlaps or lacks a name. Mark it again.' });
});

/** What a person said of a list. */
export const choices = shape<Choices>({
  roles: roles.required(),
  shown: Joi.array().items(shownLine).max(MOST_SHOWN).required(),
  signs: Joi.boolean().allow(null).required(),
});

/** What a person said of its rows. */
export const corrections = Joi.object<Corrections>()
  .pattern(
    Joi.string().max(40),
    Joi.object({
      none: Joi.valid(true),
      name,
      path: Joi.array().items(name).max(8),
      keys: Joi.array().items(chord).max(20).unique(),
    }),
  )
  .max(20_000);
