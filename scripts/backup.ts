/** `npm run backup -- FILE`: writes everything as one file, also while the server runs. */
import { resolve } from 'node:path';
import { saveEverything } from '../src/server/backup/saveEverything';
import { orSay } from './orSay';

const [file] = process.argv.slice(2);
if (!file) {
  console.error('Say which file to write: npm run backup -- FILE');
  process.exit(1);
}
await orSay(async () => {
  await saveEverything(resolve(file));
  console.log(`Everything is saved in ${resolve(file)}.`);
});
