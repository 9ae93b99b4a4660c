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

/** Whether an edit was done before. */
export async function wasDone(edit: string, transaction: Transaction): Promise<boolean> {
  const { DoneEdit } = await models();
  return (await DoneEdit.findOne({ where: { edit }, transaction })) !== null;
}

/** Remembers an edit as done, and forgets those that are long past. */
export async function noteDone(edit: string, transaction: Transaction): Promise<void> {
  const { DoneEdit } = await models();
  const { id } = await DoneEdit.create({ edit }, { transaction });
  await DoneEdit.destroy({ where: { id: { [Op.lte]: id - REMEMBERED } }, transaction });
}
