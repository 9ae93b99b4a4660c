import Joi from 'joi';
import type { Ticket } from '../../core/keymap/ticket';
import { LAMPS, SCREEN_NOTATIONS, type Settings, TEXT_SIZES } from '../../core/settings/settings';
import { Problem } from '../problem';
import { check, keymapName, owner, revision, ticket } from './schemas';

/** The bodies our routes take. */
type Body = unknown;

export const editBody = (body: Body) =>
  check<{ revision: number; ticket: Ticket }>(
    Joi.object({ revision: revision.required(), ticket: ticket.required() }),
    body,
    'This step',
  );

export const tapeBody = (body: Body) =>
  check<{ revision: number; cursor: number }>(
    Joi.object({ revision: revision.required(), cursor: Joi.number().integer().min(0).required() }),
    body,
    'This step',
  );

export const revisionBody = (body: Body) =>
  check<{ revision: number }>(Joi.object({ revision: revision.required() }), body, 'This step');

export const keepAsNewBody = (body: Body) =>
  check<{ revision: number; name: string; owner: string }>(
    Joi.object({ revision: revision.required(), name: keymapName.required(), owner: owner.default('') }),
    body,
    'This name',
  );

export const duplicateBody = (body: Body) =>
  check<{ name: string; owner: string }>(
    Joi.object({ name: keymapName.required(), owner: owner.default('') }),
    body,
    'This name',
  );

export const changeBody = (body: Body) =>
  check<{ name?: string; owner?: string; putAway?: boolean }>(
    Joi.object({ name: keymapName, owner, putAway: Joi.boolean() }).min(1),
    body,
    'This change',
  );

export const settingsBody = (body: Body) =>
  check<Partial<Settings>>(
    Joi.object({
      lamp: Joi.string().valid(...LAMPS),
      textSize: Joi.string().valid(...TEXT_SIZES),
      notation: Joi.string().valid(...SCREEN_NOTATIONS),
    }).min(1),
    body,
    'This setting',
  );

/** A keymap's number from an address. */
export function idOf(text: string): number {
  const id = Number(text);
  if (!Number.isInteger(id) || id < 1) throw new Problem('not found', 'There is no keymap at this address.');
  return id;
}
