import { accessSync, constants, existsSync, readdirSync, statSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { Problem } from '../../schemas/problem';
import { type Look, lookInto } from './lookInto';

const WRONG: Readonly<Record<Exclude<Look, 'ours' | 'new' | 'held'>, string>> = {
  empty: 'is empty, and was not always',
  'no database': 'is not a database',
  damaged: 'is damaged or breaks off',
  'of another program': 'is a database of another program',
  newer: 'was written by a newer Gray Pin than this one',
};

/**
 * Looks whether a database file can be used before anything is done to it. One that is not there yet can.
 * @throws Problem that says what is wrong with which file and what to do; the file is as it was.
 */
export async function mustOpen(file: string): Promise<void> {
  if (!existsSync(file)) return;
  const closed = [file, dirname(file)].find((path) => !isWritable(path));
  if (closed)
    throw new Problem(
      'not allowed',
      `${closed} may not be written. Make it writable for you, then start Gray Pin again.`,
    );
  const look = await lookInto(file);
  const copies = copiesBeside(file);
  if (look === 'ours' || look === 'new' || (look === 'empty' && copies.length === 0 && !existsSync(`${file}-wal`)))
    return;
  if (look === 'held')
    throw new Problem('busy', `Another process holds ${file}. Close what uses that file, then start Gray Pin again.`);
  const whole = await newestWhole(copies);
  const way = whole
    ? `Copies are in ${dirname(whole)}; the newest that is whole is put back by\n  npm run restore -- "${whole}"\nand what is there now is kept.`
    : `There is no copy in ${join(dirname(file), 'copies')}. Put a file of “npm run backup” back with npm run restore -- FILE, or move ${file} away to begin anew.`;
  const use = look === 'newer' ? ' Start that one, or take an older copy.' : '';
  throw new Problem('unreadable', `${file} ${WRONG[look]}. Nothing was changed.${use}\n${way}`);
}

function isWritable(path: string): boolean {
  try {
    accessSync(path, constants.R_OK | constants.W_OK);
    return true;
  } catch {
    return false;
  }
}

/** The copies kept beside a database file, the newest first. */
function copiesBeside(file: string): readonly string[] {
  const folder = join(dirname(file), 'copies');
  if (!existsSync(folder)) return [];
  return readdirSync(folder)
    .filter((name) => name.endsWith('.sqlite'))
    .map((name) => join(folder, name))
    .sort((a, b) => statSync(b).mtimeMs - statSync(a).mtimeMs);
}

async function newestWhole(copies: readonly string[]): Promise<string | null> {
  for (const copy of copies) if ((await lookInto(copy)) === 'ours') return copy;
  return null;
}
