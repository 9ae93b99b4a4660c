import type { Transaction } from 'sequelize';
import { type Chosen, type ChosenEdit, MOST_CHOSEN } from '../../core/finder/chosen';
import { now } from '../clock';
import { models, within } from '../models/models';

/** What a person chose for words in a program. */
export async function loadChosen(programId: number, person: string): Promise<Chosen> {
  const { Chosen } = await models();
  const rows = await Chosen.findAll({
    attributes: ['words', 'command'],
    where: { programId, person },
    order: ['words'],
    raw: true,
    ...within(undefined),
  });
  return Object.fromEntries(rows.map((row) => [row.words, row.command]));
}

/** Writes what was chosen for words, in place of what was chosen for them before; the oldest beyond the most are dropped. */
export async function writeChosen(
  programId: number,
  person: string,
  { words, command }: ChosenEdit,
  transaction: Transaction,
): Promise<void> {
  const { Chosen } = await models();
  const own = { programId, person };
  await Chosen.destroy({ where: { ...own, words }, transaction });
  await Chosen.create({ ...own, words, command, chosenAt: now() }, { transaction });
  const old = await Chosen.findAll({
    attributes: ['id'],
    where: own,
    order: [['id', 'DESC']],
    offset: MOST_CHOSEN,
    limit: MOST_CHOSEN,
    raw: true,
    transaction,
  });
  if (old.length > 0) await Chosen.destroy({ where: { id: old.map((one) => one.id) }, transaction });
}
