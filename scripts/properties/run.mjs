/**
 * Runs the property tests with many times their cases (20 times, or as often as is said) and new seeds: what
 * fails once in a hundred runs of `npm test` fails here.
 * `npm run properties`, `npm run properties -- 50`, `npm run properties -- 50 src/core/clash`
 */
import { spawnSync } from 'node:child_process';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

const [times = '20', ...folders] = process.argv.slice(2);
if (!(Number(times) >= 1)) {
  console.error('Say how many times as many cases there should be: npm run properties -- 50');
  process.exit(2);
}
const files = (folders.length > 0 ? folders : ['src'])
  .flatMap((folder) => readdirSync(folder, { recursive: true }).map((name) => join(folder, name)))
  .filter((name) => /\.test\.tsx?$/.test(name) && readFileSync(name, 'utf8').includes("'fast-check'"));
const { status } = spawnSync(
  'npx',
  ['vitest', 'run', '--config', 'scripts/properties/vitest.config.mjs', '--root', '.', ...files],
  { stdio: 'inherit', env: { ...process.env, PROPERTIES_TIMES: times } },
);
process.exit(status ?? 1);
