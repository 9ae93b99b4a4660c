import type { Transaction } from 'sequelize';
import { change, insertMany, select } from './rows';

/** Uses a day of a program's commands, as one person has told. */
export async function loadUses(programId: number, owner: string): Promise<Map<string, number>> {
  const rows = await select<{ command: string; per_day: number }>(
    'SELECT command, per_day FROM uses WHERE program_id = :programId AND owner = :owner ORDER BY command',
    { programId, owner },
  );
  return new Map(rows.map((row) => [row.command, row.per_day]));
}

/** Writes uses a day; null forgets one, `all` whatever else was told. */
export async function writeUses(
  programId: number,
  owner: string,
  uses: Readonly<Record<string, number | null>>,
  all: boolean,
  transaction: Transaction,
): Promise<void> {
  if (all)
    await change(
      'DELETE FROM uses WHERE program_id = :programId AND owner = :owner',
      { programId, owner },
      transaction,
    );
  else {
    for (const command of Object.keys(uses)) {
      await change(
        'DELETE FROM uses WHERE program_id = :programId AND owner = :owner AND command = :command',
        { programId, owner, command },
        transaction,
      );
    }
  }
  const rows = Object.entries(uses).flatMap(([command, perDay]) =>
    perDay === null ? [] : [{ program_id: programId, owner, command, per_day: perDay }],
  );
  await insertMany('uses', rows, transaction);
}

/** The wish list of a keymap as it was stored; null when there is none. */
export async function loadWishList(keymapId: number): Promise<string | null> {
  const [row] = await select<{ contents: string }>('SELECT contents FROM wish_lists WHERE keymap_id = :keymapId', {
    keymapId,
  });
  return row?.contents ?? null;
}

/** Writes the wish list of a keymap. */
export async function writeWishList(keymapId: number, contents: string, transaction: Transaction): Promise<void> {
  await change(
    'INSERT INTO wish_lists (keymap_id, contents) VALUES (:keymapId, :contents) ON CONFLICT (keymap_id) DO UPDATE SET contents = excluded.contents',
    { keymapId, contents },
    transaction,
  );
}
