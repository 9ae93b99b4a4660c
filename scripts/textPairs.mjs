/** Records anew which words stand on which grounds on the screens, for contrast.test.ts. */
import { readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { build, install } from './prepare.mjs';
import { root, run } from './server.mjs';

const gathered = join(root, '.tmp/text-pairs');
install();
build();
rmSync(gathered, { recursive: true, force: true });
run('npx', ['playwright', 'test', 'everyScreen'], { GATHER_PAIRS: gathered });
const pairs = readdirSync(gathered).flatMap((name) => readFileSync(join(gathered, name), 'utf8').trim().split('\n'));
writeFileSync(join(root, 'src/ui/shell/testing/textPairs.tsv'), `${[...new Set(pairs)].sort().join('\n')}\n`);
console.log(`${new Set(pairs).size} pairs recorded.`);
