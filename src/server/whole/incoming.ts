import { randomUUID } from 'node:crypto';
import { mkdirSync, readdirSync, rmSync, statSync } from 'node:fs';
import { writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import type { WholeProgram } from '../../core/whole/whole';
import { Problem } from '../../schemas/problem';
import { wholeProgram } from '../../schemas/whole';
import { database, openDatabaseFile } from '../database';
import { databaseFile, dataFolder } from '../dataFolder';
import { modelsOf } from '../models/models';
import { refuseContradictions } from '../refuseContradictions';
import { doneByItself } from '../stored/doneByItself';
import { lookInto } from '../stored/lookInto';
import { readWhole } from './readWhole';

/** So large a file is taken in. */
export const MOST_BYTES = 100_000_000;
export const tooLarge = (): Problem =>
  new Problem(
    'too large',
    'This file is larger than 100 MB, more than is taken in. With “npm run restore” it can take the place of what is here.',
  );
const NOT_OURS =
  'This is no file that Gray Pin saved. Choose one that was saved with “Save everything…” on the other computer. Nothing was changed.';
const LOOKS: Readonly<Record<string, string>> = {
  damaged: 'This file is damaged, so nothing was taken in. Save everything anew on the other computer and try that.',
  newer: 'This file was saved by a newer Gray Pin than this one. Bring this one up to date first. Nothing was changed.',
};

/**
 * All programs of a file that another Gray Pin saved. The file is looked at as a copy of its own, which is gone afterwards.
 * @throws Problem when it is too large, none of ours, damaged, newer, or holds what can't be taken.
 */
export async function readIncoming(file: Blob): Promise<WholeProgram[]> {
  const path = join(dataFolder(), `incoming-${randomUUID()}.sqlite`);
  try {
    await store(file, path);
    await mustBeOurs(path);
    const opened = await openDatabaseFile(path, false);
    try {
      const programs = await readWhole({ models: modelsOf(opened), transaction: null });
      const checked: WholeProgram[] = [];
      for (const one of programs) {
        const program = wholeProgram(one);
        mustHoldTogether(program);
        checked.push(program);
        // A large file keeps nobody waiting for longer than one of its programs.
        await new Promise(setImmediate);
      }
      return checked;
    } finally {
      await opened.close();
    }
  } catch (error) {
    if (error instanceof Problem) throw error;
    console.error('A file could not be taken in.', error);
    throw new Problem('unreadable', NOT_OURS);
  } finally {
    for (const end of ['', '-wal', '-shm', '-journal']) rmSync(path + end, { force: true });
  }
}

/** @throws Problem where a program contradicts itself. */
function mustHoldTogether({ name, facts, keymaps }: WholeProgram): void {
  refuseContradictions(facts);
  if (keymaps.filter((one) => one.factory).length !== 1 || !keymaps[0]?.factory)
    throw new Problem('unreadable', `“${name}” in this file has no factory keys, or several. Nothing was changed.`);
}

async function store(file: Blob, path: string): Promise<void> {
  if (file.size > MOST_BYTES) throw tooLarge();
  mkdirSync(dataFolder(), { recursive: true });
  forgetOld();
  await writeFile(path, new Uint8Array(await file.arrayBuffer()));
}

/** Whoever was killed while looking at a file left it behind. */
function forgetOld(): void {
  for (const name of readdirSync(dataFolder())) {
    const old = join(dataFolder(), name);
    if (/^incoming-[\da-f-]{36}\.sqlite/u.test(name) && Date.now() - statSync(old).mtimeMs > DAY)
      rmSync(old, { force: true });
  }
}
const DAY = 86_400_000;

/** @throws Problem unless a file is a whole database of ours, and does nothing by itself that ours does not. */
async function mustBeOurs(path: string): Promise<void> {
  const look = await lookInto(path);
  if (look !== 'ours') throw new Problem('unreadable', LOOKS[look] ?? NOT_OURS);
  await database();
  const known = new Set(await doneByItself(databaseFile()));
  if ((await doneByItself(path)).some((one) => !known.has(one))) throw new Problem('unreadable', NOT_OURS);
}
