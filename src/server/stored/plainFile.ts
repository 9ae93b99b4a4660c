import sqlite3 from 'sqlite3';

/** A database file as the driver has it, for what is done with whole files: each call ends before the next begins. */
export type PlainFile = {
  readonly run: (sql: string, ...values: readonly string[]) => Promise<void>;
  readonly all: <Row>(sql: string) => Promise<readonly Row[]>;
  readonly close: () => Promise<void>;
};

/** Opens a file that is there already. @throws Error when it is none, or can't be opened. */
export async function openPlainFile(path: string, mode: 'to read' | 'to write'): Promise<PlainFile> {
  const flags = mode === 'to read' ? sqlite3.OPEN_READONLY : sqlite3.OPEN_READWRITE;
  const file = await new Promise<sqlite3.Database>((resolve, reject) => {
    const opening = new sqlite3.Database(path, flags, (error) => (error ? reject(error) : resolve(opening)));
  });
  file.configure('busyTimeout', 3000);
  return {
    run: (sql, ...values) =>
      new Promise((resolve, reject) => {
        file.run(sql, values, (error: Error | null) => (error ? reject(error) : resolve()));
      }),
    all: <Row>(sql: string) =>
      new Promise<readonly Row[]>((resolve, reject) => {
        file.all(sql, (error: Error | null, rows: Row[]) => (error ? reject(error) : resolve(rows)));
      }),
    close: () =>
      new Promise((resolve, reject) => {
        file.close((error) => (error ? reject(error) : resolve()));
      }),
  };
}
