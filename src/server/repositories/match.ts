import type { Transaction } from 'sequelize';
import type { Said } from '../../core/counterpart/knownPairs';
import { change, insert, select } from './rows';

/** Everything that was said of counterparts; programs by their addresses. */
export function loadSaid(): Promise<Said[]> {
  return select<Said>(
    `SELECT a.slug AS program, s.command, b.slug AS other, s.counterpart FROM said_counterparts s
     JOIN programs a ON a.id = s.program_id JOIN programs b ON b.id = s.other_id ORDER BY s.id`,
  );
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
  now: string,
  transaction: Transaction,
): Promise<void> {
  const forget = (id: number, one: string, other: number) =>
    change(
      `DELETE FROM said_counterparts WHERE (program_id = :id AND other_id = :other AND command = :one)
       OR (program_id = :other AND other_id = :id AND counterpart = :one)`,
      { id, one, other },
      transaction,
    );
  await forget(programId, command, otherId);
  if (typeof counterpart === 'string') await forget(otherId, counterpart, programId);
  if (counterpart === undefined) return;
  const row = { program_id: programId, command, other_id: otherId, counterpart, said_at: now };
  await insert('said_counterparts', row, transaction);
}

/** What was settled of making one keymap feel like another, as it was stored; null for nothing yet. */
export async function loadPlan(keymapId: number, sourceId: number): Promise<string | null> {
  const [row] = await select<{ contents: string }>(
    'SELECT contents FROM match_plans WHERE keymap_id = :keymapId AND source_id = :sourceId',
    { keymapId, sourceId },
  );
  return row?.contents ?? null;
}

/** The source that a keymap was matched with last; null for none. */
export async function lastSource(keymapId: number): Promise<number | null> {
  const [row] = await select<{ source_id: number }>(
    `SELECT source_id FROM match_plans WHERE keymap_id = :keymapId ORDER BY changed_at DESC LIMIT 1`,
    { keymapId },
  );
  return row?.source_id ?? null;
}

/** Writes what was settled. */
export async function writePlan(
  keymapId: number,
  sourceId: number,
  contents: string,
  now: string,
  transaction: Transaction,
): Promise<void> {
  await change(
    `INSERT INTO match_plans (keymap_id, source_id, contents, changed_at) VALUES (:keymapId, :sourceId, :contents, :now)
     ON CONFLICT (keymap_id, source_id) DO UPDATE SET contents = excluded.contents, changed_at = excluded.changed_at`,
    { keymapId, sourceId, contents, now },
    transaction,
  );
}

/** Where a keymap came from; null where it was not derived. */
export async function loadDerivation(keymapId: number): Promise<{ source: number; contents: string } | null> {
  const [row] = await select<{ source: number; contents: string }>(
    'SELECT source_id AS source, contents FROM derivations WHERE keymap_id = :keymapId',
    { keymapId },
  );
  return row ?? null;
}

/** Writes where a keymap came from. */
export async function writeDerivation(
  keymapId: number,
  source: number,
  contents: string,
  transaction: Transaction,
): Promise<void> {
  await change(
    `INSERT INTO derivations (keymap_id, source_id, contents) VALUES (:keymapId, :source, :contents)
     ON CONFLICT (keymap_id) DO UPDATE SET source_id = excluded.source_id, contents = excluded.contents`,
    { keymapId, source, contents },
    transaction,
  );
}
