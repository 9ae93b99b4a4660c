/** Fills a new database with the demo data; with --reset, puts the old file aside first. Prints what it did. */
import { existsSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { putAside } from '../src/server/backup/putAside';
import { closeDatabase } from '../src/server/database';
import { databaseFile } from '../src/server/dataFolder';
import { seedDemo } from '../src/server/demo/seedDemo';
import { orSay } from './orSay';

await orSay(async () => {
  if (process.argv.includes('--reset') && existsSync(databaseFile())) {
    const copy = await putAside(databaseFile(), new Date(), 'before-reset');
    for (const end of ['', '-wal', '-shm']) rmSync(databaseFile() + end, { force: true });
    console.log(`The data there was is kept as ${copy}.`);
  }
  if (await seedDemo(join(import.meta.dirname, '../demo'))) console.log('The demo data is in.');
  await closeDatabase();
});
