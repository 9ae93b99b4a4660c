import type { Transaction } from 'sequelize';
import { slugs } from '../../core/text/slug';
import { Problem } from '../../schemas/problem';
import { change, insert, select } from './rows';

/** The steps of a change list that are ticked off, by what tells them apart. */
export async function loadTicks(keymapId: number, fromId: number): Promise<string[]> {
  const [row] = await select<{ ticks: string }>(
    'SELECT ticks FROM entry_ticks WHERE keymap_id = :keymapId AND from_id = :fromId',
    { keymapId, fromId },
  );
  return row ? (JSON.parse(row.ticks) as string[]) : [];
}

/** Writes which steps are ticked off. */
export async function writeTicks(
  keymapId: number,
  fromId: number,
  ticks: readonly string[],
  transaction: Transaction,
): Promise<void> {
  await change(
    `INSERT INTO entry_ticks (keymap_id, from_id, ticks) VALUES (:keymapId, :fromId, :ticks)
     ON CONFLICT (keymap_id, from_id) DO UPDATE SET ticks = excluded.ticks`,
    { keymapId, fromId, ticks: JSON.stringify(ticks) },
    transaction,
  );
}

export type SheetRow = {
  id: number;
  keymap_id: number;
  slug: string;
  name: string;
  contents: string;
  put_away_at: string | null;
};

/** The sheets kept with a keymap, as they were made. */
export function listSheets(keymapId: number, transaction?: Transaction): Promise<SheetRow[]> {
  return select<SheetRow>('SELECT * FROM sheets WHERE keymap_id = :keymapId ORDER BY id', { keymapId }, transaction);
}

/** A sheet by its number; @throws Problem when there is none. */
export async function sheetById(id: number, transaction?: Transaction): Promise<SheetRow> {
  const [row] = await select<SheetRow>('SELECT * FROM sheets WHERE id = :id', { id }, transaction);
  if (!row) throw new Problem('not found', 'This sheet is no longer there. Choose another.');
  return row;
}

/** Keeps a sheet under a name. @returns its address with the keymap. */
export async function insertSheet(
  keymapId: number,
  name: string,
  contents: string,
  now: string,
  transaction: Transaction,
): Promise<string> {
  const taken = await listSheets(keymapId, transaction);
  const slug = slugs(taken.map((one) => one.slug))(name);
  await insert(
    'sheets',
    { keymap_id: keymapId, slug, name, contents, put_away_at: null, created_at: now },
    transaction,
  );
  return slug;
}

/** Renames a sheet, changes its choices, puts it away or back. */
export async function updateSheet(
  id: number,
  values: { name?: string; contents?: string; put_away_at?: string | null },
  transaction: Transaction,
): Promise<void> {
  const names = Object.keys(values) as (keyof typeof values)[];
  if (names.length === 0) return;
  const set = names.map((name) => `${name} = :${name}`).join(', ');
  await change(`UPDATE sheets SET ${set} WHERE id = :id`, { id, ...values }, transaction);
}
