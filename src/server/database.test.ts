import { OPEN_READWRITE } from 'sqlite3';
import { describe, expect, it } from 'vitest';
import { Lent } from './connections';
import { database, fileStamp, inOneMoment, inTransaction, together } from './database';
import { databaseFile } from './dataFolder';
import { onOwnData } from './testing/onOwnData';

onOwnData();

/** Asks something within the transaction that is open. */
async function ask(sql: string): Promise<readonly Record<string, unknown>[]> {
  return inTransaction(async (transaction) => {
    const [rows] = await (await database()).query(sql, { transaction });
    return rows as Record<string, unknown>[];
  });
}
/** Whether the connection that serves the next transaction is the one that was marked by a table only it can see. */
const isMarked = async (): Promise<boolean> => (await ask('SELECT name FROM temp.sqlite_master')).length > 0;

describe('a connection', () => {
  it('that served a transaction well serves the next one, as strict as before', async () => {
    await ask('CREATE TEMP TABLE mark (x)');
    expect(await isMarked()).toBe(true);
    expect(await ask('SELECT foreign_keys, synchronous FROM pragma_foreign_keys, pragma_synchronous')).toEqual([
      { foreign_keys: 1, synchronous: 2 },
    ]);
  });

  it('on which anything failed serves nobody again, and leaves nothing half done', async () => {
    await ask('CREATE TABLE things (x UNIQUE)');
    await ask('CREATE TEMP TABLE IF NOT EXISTS mark (x)');
    await expect(
      inTransaction(async (transaction) => {
        const sequelize = await database();
        await sequelize.query('INSERT INTO things VALUES (1)', { transaction });
        await sequelize.query('INSERT INTO things VALUES (1)', { transaction });
      }),
    ).rejects.toThrow();
    expect(await isMarked()).toBe(false);
    expect(await ask('SELECT * FROM things')).toEqual([]);
  });

  it('is closed once, also where all is closed while it is at work', async () => {
    const uncaught: unknown[] = [];
    const note = (error: unknown) => void uncaught.push(error);
    const heard = process.listeners('uncaughtException');
    process.removeAllListeners('uncaughtException').on('uncaughtException', note);
    try {
      // What Sequelize does while a transaction begins and everything is closed: nobody listens to what comes of it.
      const one = Lent(databaseFile(), OPEN_READWRITE, () => undefined);
      one.all('SELECT 1', () => undefined);
      one.run('PRAGMA FOREIGN_KEYS=ON');
      one.close();
      one.close();
      await new Promise((resolve) => setTimeout(resolve, 50));
    } finally {
      process.off('uncaughtException', note);
      for (const one of heard) process.on('uncaughtException', one);
    }
    expect(uncaught).toEqual([]);
    expect(await ask('SELECT 1 AS one')).toEqual([{ one: 1 }]);
  });
});

describe('statements together', () => {
  it('are all waited for, also where the first of them fails', async () => {
    let ended = false;
    const slow = new Promise<void>((done) => {
      setTimeout(() => {
        ended = true;
        done();
      }, 20);
    });
    await expect(together(Promise.reject(new Error('first')), slow)).rejects.toThrow('first');
    expect(ended).toBe(true);
    expect(await together(Promise.resolve(1), Promise.resolve('two'))).toEqual([1, 'two']);
  });
});

it('a moment asks once what tells its file from another', async () => {
  await inOneMoment(async () => {
    expect(fileStamp()).toBe(fileStamp());
    expect(await fileStamp()).toMatch(/schema_version/);
  });
});
