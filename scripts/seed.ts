/** Fills a new database with the demo data; with --reset, puts the old file aside first. Prints what it did. */
import { existsSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { closeDatabase, copyDatabase, database } from '../src/server/database';
import { databaseFile } from '../src/server/dataFolder';
import { seedDemo } from '../src/server/demo/seedDemo';

if (process.argv.includes('--reset') && existsSync(databaseFile())) {
  const copy = await copyDatabase(await database(), 'before-reset');
  await closeDatabase();
  for (const end of ['', '-wal', '-shm']) rmSync(databaseFile() + end, { force: true });
  console.log(`The data there was is kept as ${copy}.`);
}
const seeded = await seedDemo(join(import.meta.dirname, '../demo'));
if (seeded) console.log('The demo data is in.');
await closeDatabase();
