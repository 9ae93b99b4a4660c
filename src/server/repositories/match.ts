import { Op, type Transaction } from 'sequelize';
import type { Said } from '../../core/counterpart/knownPairs';
import type { Derivation, MatchPlan } from '../../core/transfer/matchPlan';
import { now } from '../clock';
import { models, within } from '../models/models';

/** Everything that was said of counterparts; programs by their addresses. */
export async function loadSaid(): Promise<Said[]> {
  const { SaidCounterpart, Program } = await models();
  const address = (as: 'program' | 'other') => ({ model: Program, as, attributes: ['slug'], required: true });
  const rows = await SaidCounterpart.findAll({
    include: [address('program'), address('other')],
    order: ['id'],
    ...within(undefined),
  });
  return rows.map(({ program, command, other, counterpart }) => {
    return { program: program?.slug ?? '', command, other: other?.slug ?? '', counterpart };
  });
}

/**
 * Writes what was said of a command's counterpart in another program, in place of whatever was said of either of them
 * between these programs before; undefined only forgets.
 */
export async function writeSaid(
  programId: number,
  command: string,
  otherId: number,
  counterpart: string | null | undefined,
  transaction: Transaction,
): Promise<void> {
  const { SaidCounterpart } = await models();
  const forget = (id: number, one: string, other: number) => {
    const there = { programId: id, otherId: other, command: one };
    const back = { programId: other, otherId: id, counterpart: one };
    return SaidCounterpart.destroy({ where: { [Op.or]: [there, back] }, transaction });
  };
  await forget(programId, command, otherId);
  if (typeof counterpart === 'string') await forget(otherId, counterpart, programId);
  if (counterpart === undefined) return;
  await SaidCounterpart.create({ programId, command, otherId, counterpart, saidAt: now() }, { transaction });
}

/** What was settled of making one keymap feel like another; null for nothing yet. */
export async function loadPlan(keymapId: number, sourceId: number): Promise<MatchPlan | null> {
  const { MatchPlan } = await models();
  return (await MatchPlan.findOne({ where: { keymapId, sourceId }, ...within(undefined) }))?.contents ?? null;
}

/** The source that a keymap was matched with last; null for none. */
export async function lastSource(keymapId: number): Promise<number | null> {
  const { MatchPlan } = await models();
  const row = await MatchPlan.findOne({
    attributes: ['sourceId'],
    where: { keymapId },
    order: [['changedAt', 'DESC']],
    ...within(undefined),
  });
  return row?.sourceId ?? null;
}

/** Writes what was settled. */
export async function writePlan(
  keymapId: number,
  sourceId: number,
  contents: MatchPlan,
  transaction: Transaction,
): Promise<void> {
  const { MatchPlan } = await models();
  await MatchPlan.upsert({ keymapId, sourceId, contents, changedAt: now() }, { transaction });
}

/** Where a keymap came from; null where it was not derived. */
export async function loadDerivation(
  keymapId: number,
): Promise<{ readonly sourceId: number; readonly contents: Derivation } | null> {
  const { Derivation } = await models();
  return Derivation.findByPk(keymapId, within(undefined));
}

/** Writes where a keymap came from. */
export async function writeDerivation(
  keymapId: number,
  sourceId: number,
  contents: Derivation,
  transaction: Transaction,
): Promise<void> {
  const { Derivation } = await models();
  await Derivation.upsert({ keymapId, sourceId, contents }, { transaction });
}
