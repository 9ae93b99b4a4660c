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
export function remembering<Value>(kind: string, most: number): Remembering<Value> {
  /** What is known of the file as it is. */
  async function knownNow(): Promise<Map<string, unknown>> {
    const file = await database();
    const all: Known = files.get(file) ?? new Map();
    files.set(file, all);
    const known = all.get(kind) ?? new Map<string, unknown>();
    all.set(kind, known);
    return known;
  }
  function keep(known: Map<string, unknown>, name: string, value: Value): Value {
    known.delete(name);
    known.set(name, value);
    for (const oldest of known.keys()) {
      if (known.size <= most) break;
      known.delete(oldest);
    }
    return value;
  }
  return {
    async read(given, read) {
      // Between two looks something may be written, and who writes may read what never comes to be stored.
      if (!onlyReads()) return read();
      const [known, name] = [await knownNow(), `${await fileStamp()} ${given}`];
      return keep(known, name, known.has(name) ? (known.get(name) as Value) : await read());
    },
    async next(given, after) {
      const [known, stamp] = [await knownNow(), await fileStamp()];
      const before = known.get(`${stamp} ${given}`) as Value | undefined;
      return (work) => {
        if (before === undefined) return undefined;
        // What it was stays: whoever began to read before this was stored asks for it still.
        return keep(known, `${stamp} ${after}`, work(before));
      };
    },
  };
}

type Remembering<Value> = {
  /** What goes by a name, from memory if it is there. */
  readonly read: (given: string, read: () => Promise<Value>) => Promise<Value>;
  /**
   * Within a transaction that makes one thing of another: @returns what remembers that too, if the one it is made of is
   * remembered, and gives it back; to be called when all is stored.
   */
  readonly next: (given: string, after: string) => Promise<(work: (before: Value) => Value) => Value | undefined>;
};
