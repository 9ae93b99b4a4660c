import { existsSync, renameSync, rmSync } from 'node:fs';
import { Problem } from '../../schemas/problem';
import { databaseFile } from '../dataFolder';
import { openPlainFile } from '../stored/plainFile';

/**
 * Writes everything that is stored as one file, whole also while the server runs and edits come in. The file appears under
 * its name when it is finished; a file that was there before is replaced only then.
 * @throws Problem when there is nothing to save.
 */
export async function saveEverything(file: string): Promise<void> {
  if (!existsSync(databaseFile()))
    throw new Problem('not found', `There is nothing to save: ${databaseFile()} is not there.`);
  const unfinished = `${file}.unfinished`;
  rmSync(unfinished, { force: true });
  const stored = await openPlainFile(databaseFile(), 'to write');
  try {
    await stored.run('VACUUM INTO ?', unfinished);
  } finally {
    await stored.close();
  }
  renameSync(unfinished, file);
}
