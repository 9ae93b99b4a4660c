import type { Transaction } from 'sequelize';
import type { WishList } from '../../core/advice/wishList';
import { models, within } from '../models/models';
import { inParts, insertMany } from './rows';

/** Uses a day of a program's commands, as one person has told. */
export async function loadUses(programId: number, owner: string): Promise<Map<string, number>> {
  const { Use } = await models();
  const rows = await Use.findAll({
    attributes: ['command', 'perDay'],
    where: { programId, owner },
    order: ['command'],
    raw: true,
    ...within(undefined),
  });
  return new Map(rows.map((row) => [row.command, row.perDay]));
}

/** Writes uses a day; null forgets one, `all` whatever else was told. */
export async function writeUses(
  programId: number,
  owner: string,
  uses: Readonly<Record<string, number | null>>,
  all: boolean,
  transaction: Transaction,
): Promise<void> {
  const { Use } = await models();
  const told = { programId, owner };
  if (all) await Use.destroy({ where: told, transaction });
  else await inParts(Object.keys(uses), (some) => Use.destroy({ where: { ...told, command: [...some] }, transaction }));
  const rows = Object.entries(uses).flatMap(([command, perDay]) =>
    perDay === null ? [] : [{ ...told, command, perDay }],
  );
  await insertMany(Use, rows, transaction);
}

/** The wish list of a keymap; null when there is none. */
export async function loadWishList(keymapId: number): Promise<WishList | null> {
  const { WishList } = await models();
  return (await WishList.findByPk(keymapId, within(undefined)))?.contents ?? null;
}

/** Writes the wish list of a keymap. */
export async function writeWishList(keymapId: number, contents: WishList, transaction: Transaction): Promise<void> {
  const { WishList } = await models();
  await WishList.upsert({ keymapId, contents }, { transaction });
}
