/** `npm run restore -- FILE`: puts back everything from a file of `npm run backup`, and keeps what was there. */
import { resolve } from 'node:path';
import { restoreFrom } from '../src/server/backup/restoreFrom';
import { orSay } from './orSay';

const [file] = process.argv.slice(2);
if (!file) {
  console.error('Say which file to put back: npm run restore -- FILE');
  process.exit(1);
}
await orSay(async () => {
  const kept = await restoreFrom(resolve(file), new Date());
  console.log(`Everything is back as in ${resolve(file)}.${kept ? ` What was there is kept as ${kept}.` : ''}`);
});
