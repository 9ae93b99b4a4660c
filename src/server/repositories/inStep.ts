import { Op, type Transaction } from 'sequelize';
import { models, within } from '../models/models';

/** So many edits are remembered as done; one that was not answered is sent again within seconds. */
const REMEMBERED = 2000;

/** How often a thing was changed; 0 for never. */
export async function revisionOf(thing: string): Promise<number> {
  const { KeptRevision } = await models();
  return (await KeptRevision.findByPk(thing, within(undefined)))?.revision ?? 0;
}

/** Counts a change of a thing. */
export async function writeRevision(thing: string, revision: number, transaction: Transaction): Promise<void> {
  const { KeptRevision } = await models();
  await KeptRevision.upsert({ thing, revision }, { transaction });
}

/** An edit that was done before, and which keymap it was done on if it was one of a keymap; null for none. */
export async function doneBefore(
  edit: string | undefined,
  transaction: Transaction,
): Promise<{ readonly doneOn: number | null } | null> {
  if (edit === undefined) return null;
  const { DoneEdit } = await models();
  return DoneEdit.findOne({ attributes: ['doneOn'], where: { edit }, transaction });
}

/** Remembers an edit as done, and forgets those that are long past. */
export async function noteDone(
  edit: string | undefined,
  transaction: Transaction,
  doneOn: number | null = null,
): Promise<void> {
  if (edit === undefined) return;
  const { DoneEdit } = await models();
  const { id } = await DoneEdit.create({ edit, doneOn }, { transaction });
  await DoneEdit.destroy({ where: { id: { [Op.lte]: id - REMEMBERED } }, transaction });
}
