import { closeSync, copyFileSync, existsSync, fsyncSync, mkdirSync, openSync, renameSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { databaseFile, dataFolder } from '../dataFolder';
import { migrations } from '../migrations';
import { Problem } from '../problem';
import { openPlainFile } from './plainFile';

/**
 * Puts back everything from a file that `saveEverything` wrote, once it is checked; what was there is kept as a copy. A
 * kill at any moment leaves what was there or what came, never something between.
 * @returns where what was there is kept; null where nothing was.
 * @throws Problem when the file is none of ours, is damaged or newer, or the server runs; nothing is changed then.
 */
export async function restoreFrom(file: string, now: Date): Promise<string | null> {
  await checkBackup(file);
  const [stored, incoming] = [databaseFile(), join(dataFolder(), 'incoming.sqlite')];
  const kept = existsSync(stored) ? await keepWhatIsThere(stored, now) : null;
  rmSync(incoming, { force: true });
  copyFileSync(file, incoming);
  // Whole on disk before it takes the place of the other.
  const written = openSync(incoming, 'r+');
  fsyncSync(written);
  closeSync(written);
  renameSync(incoming, stored);
  return kept;
}

/** @throws Problem saying what is wrong with a file that is to be restored. */
async function checkBackup(file: string): Promise<void> {
  if (!existsSync(file)) throw new Problem('not found', `There is no file ${file}.`);
  const names = await (async () => {
    const backup = await openPlainFile(file, 'to read');
    try {
      const [health] = await backup.all<{ integrity_check: string }>('PRAGMA integrity_check');
      if (health?.integrity_check !== 'ok') return null;
      return (await backup.all<{ name: string }>('SELECT name FROM migrations')).map((one) => one.name);
    } catch {
      return null;
    } finally {
      await backup.close();
    }
  })();
  if (names === null)
    throw new Problem('unreadable', `${file} is damaged, or is no file that Gray Pin saved. Nothing was changed.`);
  const known = new Set(migrations.map((one) => one.name));
  if (names.some((name) => !known.has(name)))
    throw new Problem('unreadable', `${file} was saved by a newer Gray Pin than this one. Nothing was changed.`);
}

/**
 * Keeps a copy of the database, and folds its log in so that the file stands alone. Nobody else may have it open for that.
 * @returns the copy's path.
 */
async function keepWhatIsThere(stored: string, now: Date): Promise<string> {
  mkdirSync(join(dataFolder(), 'copies'), { recursive: true });
  const copy = join(
    dataFolder(),
    'copies',
    `gray-pin ${now.toISOString().replace(/[:.]/g, '-')} before-restore.sqlite`,
  );
  const file = await openPlainFile(stored, 'to write');
  let broken = false;
  try {
    // A server that runs holds the file as long as it is open.
    await file.run('PRAGMA locking_mode = EXCLUSIVE');
    await file.run('BEGIN EXCLUSIVE');
    await file.run('COMMIT');
    await file.all('PRAGMA wal_checkpoint(TRUNCATE)');
    await file.run('VACUUM INTO ?', copy);
  } catch (error) {
    if ((error as { code?: string }).code === 'SQLITE_BUSY')
      throw new Problem(
        'not allowed',
        `Gray Pin is running on ${stored}. Stop it first, then restore. Nothing was changed.`,
      );
    broken = true;
  } finally {
    await file.close();
  }
  // What can't be read any more is kept as it stands, its log beside it; that log must not meet what comes.
  if (broken)
    for (const end of ['', '-wal', '-shm']) {
      if (!existsSync(stored + end)) continue;
      copyFileSync(stored + end, copy + end);
      if (end !== '') rmSync(stored + end);
    }
  return copy;
}
