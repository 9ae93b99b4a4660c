import Joi from 'joi';
import type { Ticket } from '../core/keymap/ticket';
import type { SaidLink } from '../core/succession/link';
import type { MergeChoice } from '../core/succession/mergeKeymap';
import type { Answers } from '../core/succession/succeed';
import { check, chord, commandId, ticket } from './schemas';
import { shape } from './shape';

const address = Joi.string().min(1).max(120);
/** So much can be said of one version. */
const MOST = 20_000;

export const saidLink = Joi.object<SaidLink>({
  before: commandId.allow(null).required(),
  after: commandId.allow(null).required(),
}).custom((one: { before: string | null; after: string | null }, helpers) =>
  one.before === null && one.after === null ? helpers.error('any.invalid') : one,
);

const mergeChoice = Joi.alternatives<MergeChoice>(
  Joi.object({ take: Joi.string().valid('mine', 'theirs', 'both').required() }),
  Joi.object({ take: Joi.string().valid('keys').required(), chord: chord.required() }),
);

/** What is chosen for commands where a keymap and the next version meet. */
export const answers = Joi.array()
  .items(Joi.array().ordered(commandId.required(), mergeChoice.required()).length(2))
  .max(MOST);

/** What a person says of what became of the commands of a program. */
export const saidLinksBody = (body: unknown) =>
  check(
    shape<{ said: readonly SaidLink[] }>({ said: Joi.array().items(saidLink).max(MOST).required() }),
    body,
    'What is said of the commands',
  );

/** What is chosen where a keymap and the next version meet. */
export const answersBody = (body: unknown) =>
  check(
    shape<{ to: string; answers: Answers }>({
      to: address.required(),
      answers: answers.required(),
    }),
    body,
    'What is chosen',
  );

/** A keymap that goes along: into which version, what makes it of the factory keys there, what its commands became. */
export type MoveWish = {
  readonly to: string;
  readonly ticket: Ticket | null;
  readonly links: readonly (readonly [before: string, after: string])[];
};
export const moveBody = (body: unknown) =>
  check(
    shape<MoveWish>({
      to: address.required(),
      ticket: ticket.allow(null).required(),
      links: Joi.array()
        .items(Joi.array().ordered(commandId.required(), commandId.required()).length(2))
        .max(2 * MOST)
        .required(),
    }),
    body,
    'This step',
  );
