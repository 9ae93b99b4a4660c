import type { Attributes, Transaction } from 'sequelize';
import type { SheetSpec } from '../../core/sheet/sheetSpec';
import { slugs } from '../../core/text/slug';
import { Problem } from '../../schemas/problem';
import { now } from '../clock';
import { models, within } from '../models/models';
import type { SheetModel } from '../models/sheets';
import { plain } from './rows';

/** The steps of a change list that are ticked off, by what tells them apart. */
export async function loadTicks(keymapId: number, fromId: number): Promise<readonly string[]> {
  const { EntryTicks } = await models();
  return (await EntryTicks.findOne({ where: { keymapId, fromId }, ...within(undefined) }))?.ticks ?? [];
}

/** Writes which steps are ticked off. */
export async function writeTicks(
  keymapId: number,
  fromId: number,
  ticks: readonly string[],
  transaction: Transaction,
): Promise<void> {
  const { EntryTicks } = await models();
  await EntryTicks.upsert({ keymapId, fromId, ticks: [...ticks] }, { transaction });
}

export type SheetRow = Attributes<SheetModel>;

/** The sheets kept with a keymap, as they were made. */
export async function listSheets(keymapId: number, transaction?: Transaction): Promise<SheetRow[]> {
  const { Sheet } = await models();
  return (await Sheet.findAll({ where: { keymapId }, order: ['id'], ...within(transaction) })).map(plain);
}

/** A sheet by its number; @throws Problem when there is none. */
export async function sheetById(id: number, transaction?: Transaction): Promise<SheetRow> {
  const { Sheet } = await models();
  const row = await Sheet.findByPk(id, within(transaction));
  if (!row) throw new Problem('not found', 'This sheet is no longer there. Choose another.');
  return plain(row);
}

/** Keeps a sheet under a name. @returns its address with the keymap. */
export async function insertSheet(
  keymapId: number,
  name: string,
  contents: SheetSpec,
  transaction: Transaction,
  times: Pick<SheetRow, 'putAwayAt' | 'createdAt'> = { putAwayAt: null, createdAt: now() },
): Promise<string> {
  const { Sheet } = await models();
  const taken = await listSheets(keymapId, transaction);
  const slug = slugs(taken.map((one) => one.slug))(name);
  await Sheet.create({ keymapId, slug, name, contents, ...times }, { transaction });
  return slug;
}

/** Renames a sheet, changes its choices, puts it away or back. */
export async function updateSheet(
  id: number,
  values: Partial<Pick<SheetRow, 'name' | 'contents' | 'putAwayAt'>>,
  transaction: Transaction,
): Promise<void> {
  const { Sheet } = await models();
  await Sheet.update(values, { where: { id }, transaction });
}
