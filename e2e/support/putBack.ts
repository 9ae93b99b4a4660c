import { join } from 'node:path';
import sqlite3 from 'sqlite3';

/** The driver's backup, which has no types of its own. */
type Backup = {
  readonly completed: boolean;
  readonly step: (pages: number, done: (error: Error | null) => void) => void;
  readonly finish: (done: () => void) => void;
};
type WithBackup = sqlite3.Database & {
  readonly backup: (
    path: string,
    to: string,
    from: string,
    outward: boolean,
    done: (error: Error | null) => void,
  ) => Backup;
};

/**
 * Puts a database back to the demo data as it was seeded, page by page under the database's own lock, while its server
 * runs: the server sees one commit that changed everything.
 * @throws Error when somebody else holds the database for 5 s.
 */
export async function putBack(data: string): Promise<void> {
  const path = join(data, 'gray-pin.sqlite');
  const file = await called<WithBackup>((done) => {
    const opening = new sqlite3.Database(path, sqlite3.OPEN_READWRITE, (error) => done(error, opening as WithBackup));
  });
  file.configure('busyTimeout', 5000);
  const backup = await called<Backup>((done) => {
    const begun = file.backup(join(data, 'seeded.sqlite'), 'main', 'main', false, (error) => done(error, begun));
  });
  await called<void>((done) => backup.step(-1, (error) => done(error)));
  const { completed } = backup;
  await called<void>((done) => backup.finish(() => done(null)));
  await called<void>((done) => file.close((error) => done(error)));
  if (!completed) throw new Error(`${path} is in use and could not be put back.`);
}

function called<T>(work: (done: (error: Error | null, value?: T) => void) => void): Promise<T> {
  return new Promise((resolve, reject) => {
    work((error, value) => (error ? reject(error) : resolve(value as T)));
  });
}
