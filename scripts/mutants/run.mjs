/**
 * Changes a folder of the core in small ways and counts which changes its unit tests notice:
 * `npm run mutants -- core/clash [core/chord …] [--places 150] [--minutes 10] [--all-tests]`. What was found is kept under .mutants, so
 * that a run that was stopped goes on where it was, and only what a changed test might notice now is tried again.
 */
import { spawn } from 'node:child_process';
import { createHash } from 'node:crypto';
import { cpSync, existsSync, mkdirSync, readdirSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { install } from '../prepare.mjs';
import { root } from '../server.mjs';
import { tableOf } from './table.mjs';

const here = import.meta.dirname;
const { values, positionals } = parseArgs({
  options: {
    places: { type: 'string', default: '150' },
    minutes: { type: 'string', default: '10' },
    'all-tests': { type: 'boolean', default: false },
  },
  allowPositionals: true,
});
if (positionals.length === 0) {
  console.error('Say which folders: npm run mutants -- core/clash core/chord');
  process.exit(1);
}
install();
const folders = positionals.map((folder) => folder.replace(/^src\//, '').replace(/\/$/, ''));
for (const folder of folders) await tryFolder(folder);
console.log(folders.map((folder) => tableOf(foundOf(folder))).join('\n'));

function foundOf(folder) {
  const file = join(root, '.mutants', `${folder.replaceAll('/', '-')}.jsonl`);
  const lines = existsSync(file) ? readFileSync(file, 'utf8').trim().split('\n').filter(Boolean) : [];
  return { folder, file, results: lines.map((line) => JSON.parse(line)) };
}

/** Works in a copy without tsconfig.json, which the library would rewrite by means that this TypeScript no longer has. */
async function tryFolder(folder) {
  const source = join(root, 'src', folder);
  if (!existsSync(source)) throw new Error(`There is no folder src/${folder}.`);
  const sandbox = join(root, '.mutants', folder.replaceAll('/', '-'));
  rmSync(sandbox, { recursive: true, force: true });
  mkdirSync(sandbox, { recursive: true });
  for (const part of ['src', 'demo', 'docs', 'package.json'])
    cpSync(join(root, part), join(sandbox, part), { recursive: true });
  symlinkSync(join(root, 'node_modules'), join(sandbox, 'node_modules'));
  for (const part of ['vitest.config.mjs', 'fastCheck.mjs', 'growthOf.mjs'])
    cpSync(join(here, part), join(sandbox, part));
  const files = readdirSync(source, { recursive: true, encoding: 'utf8' }).filter((one) => one.endsWith('.ts'));
  const own = (name) => readFileSync(join(source, name), 'utf8');
  const tests = files.filter((one) => one.endsWith('.test.ts'));
  const marks = {
    file: foundOf(folder).file,
    places: Number(values.places),
    chosen: join(sandbox, 'chosen.json'),
    tests: createHash('sha256').update(tests.map(own).join('\0')).digest('hex').slice(0, 12),
  };
  const config = {
    plugins: [import.meta.resolve('@stryker-mutator/vitest-runner').replace('file://', ''), join(here, 'sample.mjs')],
    testRunner: 'vitest',
    vitest: { configFile: 'vitest.config.mjs', related: false },
    checkers: ['sample'],
    reporters: ['sample'],
    mutate: [`src/${folder}/**/*.ts`, `!src/${folder}/**/*.test.ts`],
    inPlace: true,
    coverageAnalysis: 'perTest',
    concurrency: 2,
    timeoutMS: 4000,
    disableTypeChecks: false,
    allowConsoleColors: false,
  };
  writeFileSync(join(sandbox, 'stryker.config.json'), JSON.stringify(config));
  const env = {
    ...process.env,
    MUTANTS_TESTS: values['all-tests'] ? 'src/core' : `src/${folder}`,
    MUTANTS_SAMPLE: JSON.stringify(marks),
  };
  const bin = join(root, 'node_modules/@stryker-mutator/core/bin/stryker.js');
  const child = spawn(process.execPath, [bin, 'run', 'stryker.config.json'], {
    cwd: sandbox,
    env,
    stdio: 'inherit',
    detached: true,
  });
  const limit = setTimeout(() => {
    console.log(`\nStopped after ${values.minutes} minutes; the same command goes on from here.`);
    process.kill(-child.pid);
  }, Number(values.minutes) * 60_000);
  const stop = () => process.kill(-child.pid);
  process.once('SIGINT', stop);
  const code = await new Promise((done) => child.once('exit', done));
  clearTimeout(limit);
  process.off('SIGINT', stop);
  if (code !== 0) process.exitCode = 1;
}
