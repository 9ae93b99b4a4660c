/** `npm run backup -- FILE`: writes everything as one file, also while the server runs. */
import { resolve } from 'node:path';
import { saveEverything } from '../src/server/backup/saveEverything';

const [file] = process.argv.slice(2);
if (!file) {
  console.error('Say which file to write: npm run backup -- FILE');
  process.exit(1);
}
try {
  await saveEverything(resolve(file));
  console.log(`Everything is saved in ${resolve(file)}.`);
} catch (error) {
  console.error((error as Error).message);
  process.exit(1);
}
