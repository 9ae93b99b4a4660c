import type { Transaction } from 'sequelize';
import type { SaidLink } from '../../core/succession/link';
import type { Answers } from '../../core/succession/succeed';
import { now } from '../clock';
import { models, within } from '../models/models';

/** The version that a program came from, and what was said of its commands; null where it came from none. */
export async function loadSuccession(programId: number, transaction?: Transaction) {
  const { Succession } = await models();
  const row = await Succession.findByPk(programId, within(transaction));
  return row ? { fromId: row.fromId, said: row.said } : null;
}

/** Which program came from which: the next version's number, and that of the one before. */
export async function listSuccessions(): Promise<ReadonlyMap<number, number>> {
  const { Succession } = await models();
  const rows = await Succession.findAll({ attributes: ['programId', 'fromId'], raw: true, ...within(undefined) });
  return new Map(rows.map((one) => [one.programId, one.fromId]));
}

/** Notes that a program is the next version of another. */
export async function insertSuccession(programId: number, fromId: number, transaction: Transaction): Promise<void> {
  const { Succession } = await models();
  await Succession.create({ programId, fromId, said: [], createdAt: now() }, { transaction });
}

/** Writes what was said of what became of the commands. */
export async function writeSaidLinks(
  programId: number,
  said: readonly SaidLink[],
  transaction: Transaction,
): Promise<void> {
  const { Succession } = await models();
  await Succession.update({ said }, { where: { programId }, transaction });
}

/** What was chosen for a keymap that goes along, and the keymap that was made of it. */
export async function loadMove(keymapId: number, programId: number, transaction?: Transaction) {
  const { Move } = await models();
  const row = await Move.findOne({ where: { keymapId, programId }, ...within(transaction) });
  return { answers: row?.answers ?? [], madeId: row?.madeId ?? null };
}

/** The keymaps that were made in a version, by those they were made of. */
export async function movesTo(programId: number, transaction?: Transaction): Promise<ReadonlyMap<number, number>> {
  const { Move } = await models();
  const rows = await Move.findAll({ where: { programId }, ...within(transaction) });
  return new Map(rows.flatMap(({ keymapId, madeId }) => (madeId === null ? [] : [[keymapId, madeId] as const])));
}

/** Writes what was chosen for a keymap that goes along, or what was made of it. */
export async function writeMove(
  keymapId: number,
  programId: number,
  values: { readonly answers?: Answers; readonly madeId?: number },
  transaction: Transaction,
): Promise<void> {
  const { Move } = await models();
  const before = await loadMove(keymapId, programId, transaction);
  await Move.upsert({ keymapId, programId, ...before, ...values }, { transaction });
}
