import { closeSync, existsSync, openSync, readSync, rmSync, statSync } from 'node:fs';
import { migrations } from '../migrations';
import { openPlainFile } from './plainFile';
import { codeOf } from './troubleOf';

/** What a database file turns out to be: one that this Gray Pin can use, or why not. */
export type Look = 'ours' | 'new' | 'empty' | 'no database' | 'damaged' | 'of another program' | 'newer' | 'held';

/** What every database file begins with. Source: sqlite.org/fileformat.html, 1.3.1. */
const HEADER = Buffer.from('SQLite format 3\0', 'latin1');
const SIDES = ['-wal', '-shm'];

/** Looks at a file that is there, its log included, without changing it or leaving anything beside it. */
export async function lookInto(path: string): Promise<Look> {
  if (statSync(path).size === 0) return 'empty';
  if (!beginsAsDatabase(path)) return 'no database';
  // A step that was cut off is taken back by whoever opens the file to write.
  if (existsSync(`${path}-journal`)) return 'ours';
  const sides = SIDES.filter((end) => !existsSync(path + end));
  const look = await read(path);
  // A file with a log can't be read without a place for it.
  if (look !== 'ours' && look !== 'held') for (const end of sides) rmSync(path + end, { force: true });
  return look;
}

async function read(path: string): Promise<Look> {
  try {
    const file = await openPlainFile(path, 'to read');
    try {
      const [health] = await file.all<{ integrity_check: string }>('PRAGMA integrity_check(1)');
      if (health?.integrity_check !== 'ok') return 'damaged';
      const tables = await file.all<{ name: string }>("SELECT name FROM sqlite_master WHERE type = 'table'");
      if (tables.length === 0) return 'new';
      if (!tables.some((one) => one.name === 'migrations')) return 'of another program';
      const names = (await file.all<{ name: string }>('SELECT name FROM migrations')).map((one) => one.name);
      const known = new Set(migrations.map((one) => one.name));
      if (names.every((name) => known.has(name))) return 'ours';
      return names.some((name) => known.has(name)) ? 'newer' : 'of another program';
    } finally {
      await file.close();
    }
  } catch (error) {
    const code = codeOf(error);
    if (code === 'SQLITE_BUSY' || code === 'SQLITE_LOCKED') return 'held';
    // A table of that name which has no such column.
    return code === 'SQLITE_ERROR' ? 'of another program' : 'damaged';
  }
}

function beginsAsDatabase(path: string): boolean {
  const [start, file] = [Buffer.alloc(HEADER.length), openSync(path, 'r')];
  try {
    readSync(file, start, 0, start.length, 0);
    return start.equals(HEADER);
  } finally {
    closeSync(file);
  }
}
