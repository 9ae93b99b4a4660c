/** `npm run restore -- FILE`: puts back everything from a file of `npm run backup`, and keeps what was there. */
import { resolve } from 'node:path';
import { restoreFrom } from '../src/server/backup/restoreFrom';

const [file] = process.argv.slice(2);
if (!file) {
  console.error('Say which file to put back: npm run restore -- FILE');
  process.exit(1);
}
try {
  const kept = await restoreFrom(resolve(file), new Date());
  console.log(`Everything is back as in ${resolve(file)}.${kept ? ` What was there is kept as ${kept}.` : ''}`);
} catch (error) {
  console.error((error as Error).message);
  process.exit(1);
}
