import sqlite3 from 'sqlite3';

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
  #closed = false;

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
      : super.run(
          sql,
          ...given,
          // Sequelize sets foreign keys without asking what came of it; the statement after says so, and can be caught.
          this.#watched(() => undefined),
        );
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

  /**
   * A connection that served a transaction well is kept for the next. Closing everything closes also those of transactions
   * under way, which close theirs once more when they end; the driver would throw that where nobody can catch it.
   */
  override close(done?: (error: Error | null) => void): void {
    const unused = spare.get(this.#file);
    if (this.uuid && !this.#failed && unused && unused.length < MOST_SPARE) {
      unused.push(this);
      return;
    }
    const closed = this.#closed;
    this.#closed = true;
    if (closed) setImmediate(() => done?.(null));
    else super.close(done);
  }
}

/** What Sequelize makes a connection by: one that nobody uses, else a new one. */
export function Lent(file: string, mode: number, done: (error: Error | null) => void): Connection {
  const unused = spare.get(file)?.pop();
  if (!unused) return new Connection(file, mode, done);
  setImmediate(done, null);
  return unused;
}

/** From now on the tables of a file stay as they are. */
export function settle(file: string): void {
  settled.set(file, new Map());
  spare.set(file, []);
}

/** Closes what is kept of a file. */
export async function letGo(file: string): Promise<void> {
  settled.delete(file);
  const unused = spare.get(file) ?? [];
  spare.delete(file);
  await Promise.all(unused.map((one) => new Promise<void>((done) => one.close(() => done()))));
}
