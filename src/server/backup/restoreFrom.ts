import { closeSync, copyFileSync, existsSync, fsyncSync, mkdirSync, openSync, renameSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { Problem } from '../../schemas/problem';
import { databaseFile, dataFolder } from '../dataFolder';
import { lookInto } from '../stored/lookInto';
import { putAside } from './putAside';

/**
 * Puts back everything from a file that `saveEverything` wrote, once it is checked; what was there is kept as a copy. A
 * kill at any moment leaves what was there or what came, never something between.
 * @returns where what was there is kept; null where nothing was.
 * @throws Problem when the file is none of ours, is damaged or newer, or the server runs; nothing is changed then.
 */
export async function restoreFrom(file: string, now: Date): Promise<string | null> {
  await checkBackup(file);
  const [stored, incoming] = [databaseFile(), join(dataFolder(), 'incoming.sqlite')];
  const kept = existsSync(stored) ? await putAside(stored, now, 'before-restore') : null;
  mkdirSync(dataFolder(), { recursive: true });
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
  const look = await lookInto(file);
  if (look === 'ours') return;
  throw new Problem(
    'unreadable',
    look === 'newer'
      ? `${file} was saved by a newer Gray Pin than this one. Nothing was changed.`
      : look === 'damaged'
        ? `${file} is damaged. Nothing was changed.`
        : `${file} is no file that Gray Pin saved. Nothing was changed.`,
  );
}
