/**
 * Everything that has to hold, from a clean clone: install what is missing, then lint, types, layouts, unit, end to end.
 * `--full` runs the whole matrix end to end. Files come in a random order; the number printed first brings it back
 * (`SEED=1234 npm test`).
 */
import { spawn, spawnSync } from 'node:child_process';
import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { installDebian } from './debian.mjs';
import { build, install } from './prepare.mjs';
import { root } from './server.mjs';

const full = process.argv.includes('--full');
const seed = process.env.SEED ?? String(Math.floor(Math.random() * 100_000));
const environment = {
  ...process.env,
  NEXT_TELEMETRY_DISABLED: '1',
  CI: process.env.CI ?? '1',
  ...(full ? { FULL: '1' } : {}),
};
const results = join(root, '.tmp');
let passed = 0;
let failed = 0;
/** What each part took, in seconds. */
const times = [];
/** What failed, by name, said once more at the end. */
const failures = [];

/** Runs a part of the tests. @returns whether it ended well. */
function part(name, command, args, extra = {}) {
  console.log(`\n== ${name}`);
  const begun = performance.now();
  const { status } = spawnSync(command, args, { cwd: root, stdio: 'inherit', env: { ...environment, ...extra } });
  times.push([name, (performance.now() - begun) / 1000]);
  return status === 0;
}

/**
 * Runs checks that pass or fail as a whole side by side, those of one list one after the other; what each says is printed
 * once it has ended.
 */
async function check(...lists) {
  const begun = performance.now();
  await Promise.all(
    lists.map(async (list) => {
      for (const [name, command, ...args] of list) {
        const { code, said } = await heard(command, args);
        console.log(`\n== ${name}\n${said}`);
        if (code === 0) passed++;
        else fail(name);
      }
    }),
  );
  times.push([lists.flatMap((list) => list.map(([name]) => name)).join(', '), (performance.now() - begun) / 1000]);
}
/** What a command says, and how it ends. */
const heard = (command, args) =>
  new Promise((done) => {
    const child = spawn(command, args, { cwd: root, env: environment });
    let said = '';
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (data) => (said += data));
    child.on('error', (error) => done({ code: 1, said: error.message }));
    child.on('close', (code) => done({ code, said }));
  });
function fail(name) {
  failed++;
  failures.push(name);
}

/** Runs a test runner that writes its counts to a file. */
function count(name, args, extra, read) {
  const well = part(name, 'npx', args, extra);
  try {
    const [good, bad] = read();
    passed += good;
    for (const one of bad) fail(`${name}: ${one}`);
    if (!well && bad.length === 0) fail(`${name}: ended badly with no test failed`);
  } catch {
    fail(`${name}: its report could not be read`);
  }
}
/** The tests of a file that failed, each with the first lines of why; the file itself where it could not be run. */
function failedIn({ name, status, message, assertionResults }) {
  const bad = assertionResults.filter((one) => one.status === 'failed');
  if (bad.length === 0 && status === 'failed') return [`${name}: ${message.slice(0, 2000)}`];
  return bad.map((one) => `${name}: ${one.fullName}\n${one.failureMessages.join('\n').slice(0, 2000)}`);
}
/** The tests of a suite, and of those in it, that did not end as expected at the first try, with the page as it stood. */
function unexpectedIn({ file, specs = [], suites = [] }) {
  const bad = specs.filter((one) => one.tests.some(({ status }) => status === 'unexpected' || status === 'flaky'));
  const why = (one) => {
    const { error, attachments } = one.tests.flatMap(({ results }) => results).find((result) => result.error) ?? {};
    const page = attachments?.find(({ name }) => name === 'error-context')?.path;
    return [error?.message.slice(0, 2000), page && readFileSync(page, 'utf8').slice(0, 4000)].filter(Boolean);
  };
  return [...bad.map((one) => [`${file}: ${one.title}`, ...why(one)].join('\n')), ...suites.flatMap(unexpectedIn)];
}
const report = (name) => JSON.parse(readFileSync(join(results, name), 'utf8'));

rmSync(results, { recursive: true, force: true });
mkdirSync(results, { recursive: true });
install();
// Chromium to drive, poppler to look into PDFs.
installDebian(['chromium', 'poppler-utils']);
console.log(`Files come in the order of SEED=${seed}.`);
await check(
  [
    ['types of routes', 'npx', 'next', 'typegen'],
    ['types', 'npx', 'tsc', '--noEmit'],
  ],
  [
    ['lint', 'npx', 'biome', 'check', '.'],
    // Every legend of every keyboard layout against what an independent tool compiles from the same data.
    ['keyboard layouts', 'node', 'scripts/layouts.mjs', '--check'],
  ],
);
count(
  'unit',
  [
    ...['vitest', 'run', `--sequence.seed=${seed}`],
    ...['--reporter=default', '--reporter=json', '--outputFile=.tmp/unit.json'],
  ],
  {},
  () => {
    const { numPassedTests, testResults } = report('unit.json');
    return [numPassedTests, testResults.flatMap(failedIn)];
  },
);
const begun = performance.now();
build();
times.push(['build', (performance.now() - begun) / 1000]);
count(
  full ? 'end to end, the whole matrix' : 'end to end',
  ['playwright', 'test', `--shuffle=${seed}`, '--reporter=list,json'],
  { PLAYWRIGHT_JSON_OUTPUT_NAME: join(results, 'e2e.json') },
  () => {
    const { stats, suites } = report('e2e.json');
    return [stats.expected, suites.flatMap(unexpectedIn)];
  },
);
// Why each failed, and their names once more: a long page must not push the others out of a log that is cut short.
if (failures.length > 0) {
  console.log(`\nFailed:\n${failures.join('\n')}`);
  console.log(`\nFailed, by name:\n${failures.map((one) => one.split('\n')[0]).join('\n')}`);
}
console.log(`\n${times.map(([name, seconds]) => `${name}: ${seconds.toFixed(0)} s`).join('\n')}`);
console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
