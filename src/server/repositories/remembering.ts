import type { Sequelize } from 'sequelize';
import { database, fileStamp, onlyReads } from '../database';

type Known = Map<string, Map<string, unknown>>;
// Next bundles routes apart from each other; what one has read, all know.
const shared = globalThis as { grayPinKnown?: WeakMap<Sequelize, Known> };
shared.grayPinKnown ??= new WeakMap();
const files = shared.grayPinKnown;

/**
 * Keeps what was read of things that never change under their name, such as a keymap at one of its revisions: the ones
 * asked for last. What is given out is shared and must not be changed.
 * @param kind what is read. @param most so many are kept.
 */
export function remembering<Value>(kind: string, most: number): typeof remembered {
  async function remembered(given: string, read: () => Promise<Value>): Promise<Value> {
    // Between two looks something may be written, and who writes may read what never comes to be stored.
    if (!onlyReads()) return read();
    const file = await database();
    const name = `${await fileStamp()} ${given}`;
    const all: Known = files.get(file) ?? new Map();
    files.set(file, all);
    const known = all.get(kind) ?? new Map<string, unknown>();
    all.set(kind, known);
    const value = known.has(name) ? (known.get(name) as Value) : await read();
    known.delete(name);
    known.set(name, value);
    for (const oldest of known.keys()) {
      if (known.size <= most) break;
      known.delete(oldest);
    }
    return value;
  }
  return remembered;
}
