import { AsyncLocalStorage } from 'node:async_hooks';
import { mkdirSync, statSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { Sequelize, type Transaction } from 'sequelize';
import sqlite3 from 'sqlite3';
import { SequelizeStorage, Umzug } from 'umzug';
import type { Problem } from '../schemas/problem';
import { databaseFile, dataFolder } from './dataFolder';
import { migrations } from './migrations';
import { mustOpen } from './stored/mustOpen';
import { troubleOf } from './stored/troubleOf';

/** So long a file that another process holds is waited for, in ms. */
const BUSY = 4000;

type Done = (this: unknown, error: Error | null, rows?: unknown) => void;

/** Files whose tables stay as they are from now on, with what their columns are. */
const settled = new Map<string, Map<string, unknown>>();
/** Connections that nobody uses, by their file. */
const spare = new Map<string, Connection[]>();
const MOST_SPARE = 4;

/**
 * Sequelize opens a connection for each transaction and gives no hook to set it up, so the driver does it: foreign keys
 * hold, a commit is on disk before it returns, and a busy file is waited for. What Sequelize does with each statement and
 * each transaction besides costs more than they do, so what can be kept is kept: what a table's columns are, which it asks
 * before each reading, and the connection itself.
 */
class Connection extends sqlite3.Database {
  /** The transaction it serves. */
  uuid: string | undefined;
  readonly #file: string;
  /** After a failure nobody knows what a connection is in the middle of. */
  #failed = false;

  constructor(file: string, mode: number, done: (error: Error | null) => void) {
    super(file, mode, done);
    this.#file = file;
    this.configure('busyTimeout', BUSY);
    this.exec('PRAGMA foreign_keys = ON; PRAGMA synchronous = FULL;', () => {
      // A file that is no database fails here first; the query that follows says so where it can be caught.
    });
  }

  /** Sequelize keeps where each statement was asked, in case it fails; that took a fifth of the time of an edit. */
  override serialize(work?: () => void): void {
    const { stackTraceLimit } = Error;
    Error.stackTraceLimit = 0;
    try {
      super.serialize(work);
    } finally {
      Error.stackTraceLimit = stackTraceLimit;
    }
  }

  override all(sql: string, ...given: unknown[]): this {
    const columns = sql.startsWith('PRAGMA table_info(') ? settled.get(this.#file) : undefined;
    const done = given.at(-1) as Done;
    const known = columns?.get(sql);
    if (known) done.call(this, null, known);
    else
      super.all(
        sql,
        ...given.slice(0, -1),
        this.#watched(done, (rows) => columns?.set(sql, rows)),
      );
    return this;
  }

  override run(sql: string, ...given: unknown[]): this {
    const done = given.at(-1);
    return typeof done === 'function'
      ? super.run(sql, ...given.slice(0, -1), this.#watched(done as Done))
      : super.run(sql, ...given);
  }

  #watched(done: Done, also?: (rows: unknown) => void): Done {
    const fail = () => {
      this.#failed = true;
    };
    return function watched(error, rows) {
      if (error) fail();
      else also?.(rows);
      done.call(this, error, rows);
    };
  }

  /** A connection that served a transaction well is kept for the next. */
  override close(done?: (error: Error | null) => void): void {
    const unused = spare.get(this.#file);
    if (this.uuid && !this.#failed && unused && unused.length < MOST_SPARE) unused.push(this);
    else super.close(done);
  }
}

/** What Sequelize makes a connection by: one that nobody uses, else a new one. */
function Lent(file: string, mode: number, done: (error: Error | null) => void): Connection {
  const unused = spare.get(file)?.pop();
  if (!unused) return new Connection(file, mode, done);
  setImmediate(done, null);
  return unused;
}

/** From now on the tables of a file stay as they are. */
function settle(file: string): void {
  settled.set(file, new Map());
  spare.set(file, []);
}

/** Closes what is kept of a file. */
async function letGo(file: string): Promise<void> {
  settled.delete(file);
  const unused = spare.get(file) ?? [];
  spare.delete(file);
  await Promise.all(unused.map((one) => new Promise<void>((done) => one.close(() => done()))));
}

/**
 * Opens a database file and brings it up to date, after keeping a copy of it where a migration is due.
 * @throws Problem when the file can't be used; it is as it was then.
 */
export async function openDatabaseFile(file: string): Promise<Sequelize> {
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
    if (pending.length > 0 && existed) await copyDatabase(sequelize, `before-${pending[0]?.name ?? 'migration'}`);
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
