import { copyFileSync, existsSync, mkdirSync, rmSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { Problem } from '../../schemas/problem';
import { openPlainFile } from '../stored/plainFile';
import { codeOf } from '../stored/troubleOf';

/**
 * Keeps a copy of a database that is to be replaced, even of one that can't be read any more, and folds its log in so that
 * the file stands alone. Nobody else may have it open for that.
 * @returns the copy's path. @throws Problem when the server runs on it; nothing is changed then.
 */
export async function putAside(stored: string, now: Date, why: string): Promise<string> {
  const folder = join(dirname(stored), 'copies');
  const copy = join(folder, `gray-pin ${now.toISOString().replace(/[:.]/g, '-')} ${why}.sqlite`);
  const file = await openPlainFile(stored, 'to write');
  let broken = false;
  try {
    // A server that runs holds the file as long as it is open.
    await file.run('PRAGMA locking_mode = EXCLUSIVE');
    await file.run('BEGIN EXCLUSIVE');
    await file.run('COMMIT');
    await file.all('PRAGMA wal_checkpoint(TRUNCATE)');
    mkdirSync(folder, { recursive: true });
    await file.run('VACUUM INTO ?', copy);
  } catch (error) {
    if (codeOf(error) === 'SQLITE_BUSY')
      throw new Problem('not allowed', `Gray Pin is running on ${stored}. Stop it first. Nothing was changed.`);
    broken = true;
  } finally {
    await file.close();
  }
  // What can't be read any more is kept as it stands, its log beside it; that log must not meet what comes.
  if (broken)
    for (const end of ['', '-wal', '-shm']) {
      if (!existsSync(stored + end)) continue;
      mkdirSync(folder, { recursive: true });
      copyFileSync(stored + end, copy + end);
      if (end !== '') rmSync(stored + end);
    }
  return copy;
}
