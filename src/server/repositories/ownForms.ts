import type { Attributes, Transaction } from 'sequelize';
import type { OwnForm } from '../../core/ownForm/ownForm';
import { Problem } from '../../schemas/problem';
import { now } from '../clock';
import { models, within } from '../models/models';
import type { OwnFormModel } from '../models/ownForms';
import { plain } from './rows';

export type OwnFormRow = Attributes<OwnFormModel>;

/** The forms kept with a program, as they were made. */
export async function listForms(programId: number): Promise<OwnFormRow[]> {
  const { OwnFormRow } = await models();
  return (await OwnFormRow.findAll({ where: { programId }, order: ['id'], ...within(undefined) })).map(plain);
}

/** A form by its number; @throws Problem when there is none. */
export async function formById(id: number): Promise<OwnFormRow> {
  const { OwnFormRow } = await models();
  const row = await OwnFormRow.findByPk(id, within(undefined));
  if (!row) throw new Problem('not found', 'This form is no longer there. Choose another.');
  return plain(row);
}

/** Keeps a form with a program. */
export async function insertForm(programId: number, form: OwnForm, transaction: Transaction): Promise<void> {
  const { OwnFormRow } = await models();
  await OwnFormRow.create({ programId, form, putAwayAt: null, createdAt: now() }, { transaction });
}

/** Changes a form, puts it away or back. */
export async function updateForm(
  id: number,
  values: Partial<Pick<OwnFormRow, 'form' | 'putAwayAt'>>,
  transaction: Transaction,
): Promise<void> {
  const { OwnFormRow } = await models();
  await OwnFormRow.update(values, { where: { id }, transaction });
}
