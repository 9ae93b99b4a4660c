import { AsyncLocalStorage } from 'node:async_hooks';
import { mkdirSync, statSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { Sequelize, type Transaction } from 'sequelize';
import sqlite3 from 'sqlite3';
import { SequelizeStorage, Umzug } from 'umzug';
import type { Problem } from '../schemas/problem';
import { Lent, letGo, settle } from './connections';
import { databaseFile, dataFolder } from './dataFolder';
import { migrations } from './migrations';
import { mustOpen } from './stored/mustOpen';
import { troubleOf } from './stored/troubleOf';

/**
 * Opens a database file and brings it up to date, after keeping a copy of it where a migration is due.
 * @param copies whether such a copy is kept.
 * @throws Problem when the file can't be used; it is as it was then.
 */
export async function openDatabaseFile(file: string, copies = true): Promise<Sequelize> {
  mkdirSync(dirname(file), { recursive: true });
  await mustOpen(file);
  const existed = exists(file);
  const sequelize = new Sequelize({
    dialect: 'sqlite',
    storage: file,
    logging: false,
    dialectModule: { ...sqlite3, Database: Lent },
    define: { underscored: true, timestamps: false },
    // The driver waits for a busy file itself.
    retry: { max: 1 },
  });
  // Whoever closes it closes all of its connections, so that the log is folded in.
  const close = sequelize.close.bind(sequelize);
  sequelize.close = async () => {
    await letGo(file);
    await close();
  };
  // Kept in the file for good: reading and writing don't wait for each other.
  await sequelize.query('PRAGMA journal_mode = WAL');
  const umzug = new Umzug({
    migrations: migrations.map(({ name, up }) => ({
      name,
      up: () => sequelize.transaction((transaction) => up(sequelize, transaction)),
    })),
    storage: new SequelizeStorage({ sequelize, tableName: 'migrations' }),
    logger: undefined,
  });
  try {
    const pending = await umzug.pending();
    if (pending.length > 0 && existed && copies)
      await copyDatabase(sequelize, `before-${pending[0]?.name ?? 'migration'}`);
    await umzug.up();
    settle(file);
    return sequelize;
  } catch (error) {
    await sequelize.close();
    throw error;
  }
}

/** Keeps a copy of the database beside it, whole even while it is in use. @returns the copy's path. */
export async function copyDatabase(sequelize: Sequelize, label: string): Promise<string> {
  const folder = join(dataFolder(), 'copies');
  mkdirSync(folder, { recursive: true });
  const copy = join(folder, `gray-pin ${new Date().toISOString().replace(/[:.]/g, '-')} ${label}.sqlite`);
  await sequelize.query('VACUUM INTO $copy', { bind: { copy } });
  return copy;
}

function exists(file: string): boolean {
  try {
    return statSync(file).size > 0;
  } catch {
    return false;
  }
}

// Next bundles routes apart from each other; the one connection is kept where all of them find it.
const shared = globalThis as {
  grayPinDatabase?: Promise<Sequelize> | undefined;
  grayPinQueue?: Promise<unknown>;
  /** When the file was last found held by another process. */
  grayPinHeld?: { readonly at: number; readonly trouble: Problem };
  grayPinMoment?: AsyncLocalStorage<Moment>;
};
/** A transaction that everything asked belongs to, and whether it may write. */
type Moment = { readonly transaction: Transaction; readonly writes: boolean; stamp?: Promise<string> };
shared.grayPinMoment ??= new AsyncLocalStorage<Moment>();
const moment = shared.grayPinMoment;

/** The application's database, opened on first use. */
export function database(): Promise<Sequelize> {
  shared.grayPinDatabase ??= openDatabaseFile(databaseFile()).catch((error: unknown) => {
    shared.grayPinDatabase = undefined;
    throw error;
  });
  return shared.grayPinDatabase;
}

/** Closes the application's database, as a test or a script does when it is done. */
export async function closeDatabase(): Promise<void> {
  const open = await shared.grayPinDatabase;
  shared.grayPinDatabase = undefined;
  await open?.close();
}

/**
 * Runs work as one transaction that holds the write lock from its start. Transactions of this process wait for each
 * other here: waiting inside the driver would use up the threads that the one at work needs.
 */
export async function inTransaction<T>(work: (transaction: Transaction) => Promise<T>): Promise<T> {
  const before = shared.grayPinQueue ?? Promise.resolve();
  const asked = performance.now();
  const mine = before.then(async () => {
    // Who waited while the file was held by another process need not wait as long once more.
    if (shared.grayPinHeld && shared.grayPinHeld.at >= asked) throw shared.grayPinHeld.trouble;
    const sequelize = await database();
    return sequelize.transaction({ type: 'IMMEDIATE' as Transaction.TYPES }, (transaction) =>
      // What the work reads, it reads of what it has written.
      moment.run({ transaction, writes: true }, () => work(transaction)),
    );
  });
  const said = mine.catch((error: unknown) => {
    const trouble = troubleOf(error);
    if (trouble?.code === 'busy') shared.grayPinHeld = { at: performance.now(), trouble };
    throw trouble ?? error;
  });
  shared.grayPinQueue = said.catch(() => undefined);
  return said;
}

/**
 * Waits for all of several statements of a transaction that don't hang on each other, also where one fails: what is still
 * on its way then must not come after the rollback. @throws what the first of them threw.
 */
export async function together<Works extends readonly unknown[]>(
  ...works: { readonly [At in keyof Works]: Promise<Works[At]> }
): Promise<Works> {
  const ended = await Promise.allSettled(works);
  const failed = ended.find((one) => one.status === 'rejected');
  if (failed) throw failed.reason;
  return ended.map((one) => (one as PromiseFulfilledResult<unknown>).value) as unknown as Works;
}

/** The transaction in which everything is read of one moment; null where each query reads for itself. */
export function momentNow(): Transaction | null {
  return moment.getStore()?.transaction ?? null;
}

/** Whether all that is read is of one moment that nothing is written in. */
export function onlyReads(): boolean {
  return moment.getStore()?.writes === false;
}

/**
 * What tells the file, as this moment reads it, from one that was copied over it while it was open: a copying counts as a
 * change of the schema.
 */
export function fileStamp(): Promise<string> {
  const now = moment.getStore();
  if (!now) return askStamp();
  now.stamp ??= askStamp();
  return now.stamp;
}

async function askStamp(): Promise<string> {
  const sequelize = await database();
  const [said] = await sequelize.query('PRAGMA schema_version', { plain: false, transaction: momentNow() });
  return JSON.stringify(said);
}

/**
 * Reads everything of one moment: all that the work selects is as it was at its first look, whatever is written meanwhile.
 * Writers neither wait for it nor make it wait. Within another it is part of that.
 */
export async function inOneMoment<T>(work: () => Promise<T>): Promise<T> {
  if (momentNow()) return work();
  try {
    const sequelize = await database();
    return await sequelize.transaction({ type: 'DEFERRED' as Transaction.TYPES }, (transaction) =>
      moment.run({ transaction, writes: false }, work),
    );
  } catch (error) {
    throw troubleOf(error) ?? error;
  }
}

/** A reader, all of whose queries read of one moment. */
export function ofOneMoment<Given extends unknown[], T>(
  read: (...given: Given) => Promise<T>,
): (...given: Given) => Promise<T> {
  return (...given) => inOneMoment(() => read(...given));
}
