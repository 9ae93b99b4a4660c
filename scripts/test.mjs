/** Everything that has to hold, from a clean clone: install what is missing, then lint, types, unit, end to end. */
import { spawnSync } from 'node:child_process';
import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { build, install } from './prepare.mjs';
import { root } from './server.mjs';

const environment = { ...process.env, NEXT_TELEMETRY_DISABLED: '1', CI: process.env.CI ?? '1' };
const results = join(root, '.tmp');
let passed = 0;
let failed = 0;

/** Debian's packages the tests need: Chromium to drive, poppler to look into PDFs. */
function installTools() {
  const missing = [
    ['chromium', 'chromium'],
    ['pdftotext', 'poppler-utils'],
  ]
    .filter(([command]) => !has(command))
    .map(([, name]) => name);
  if (missing.length === 0) return;
  console.log(`Installing ${missing.join(' and ')} from Debian's packages`);
  const prefix = process.getuid?.() === 0 ? [] : ['sudo'];
  for (const args of [
    ['update', '-qq'],
    ['install', '-y', '-qq', '--no-install-recommends', ...missing],
  ]) {
    const [command, ...rest] = [...prefix, 'apt-get', ...args];
    spawnSync(command, rest, {
      stdio: ['ignore', 'ignore', 'inherit'],
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    });
  }
  if (!has('chromium'))
    throw new Error(
      'Chromium could not be installed. Install the packages chromium and poppler-utils, then try again.',
    );
}

function has(command) {
  return spawnSync('sh', ['-c', `command -v ${command}`]).status === 0;
}

/** Runs one check that passes or fails as a whole. */
function check(name, args) {
  console.log(`\n== ${name}`);
  if (spawnSync('npx', args, { cwd: root, stdio: 'inherit', env: environment }).status === 0) passed++;
  else failed++;
}

/** Every legend of every keyboard layout against what an independent tool compiles from the same data. */
function checkLayouts() {
  console.log('\n== keyboard layouts');
  if (
    spawnSync('node', ['scripts/layouts.mjs', '--check'], { cwd: root, stdio: 'inherit', env: environment }).status ===
    0
  )
    passed++;
  else failed++;
}

/** Runs a test runner that writes its counts to a file. */
function count(name, args, extra, read) {
  console.log(`\n== ${name}`);
  const { status } = spawnSync('npx', args, { cwd: root, stdio: 'inherit', env: { ...environment, ...extra } });
  try {
    const [good, bad] = read();
    passed += good;
    failed += bad;
    if (status !== 0 && bad === 0) failed++;
  } catch {
    failed++;
  }
}
const report = (name) => JSON.parse(readFileSync(join(results, name), 'utf8'));

rmSync(results, { recursive: true, force: true });
mkdirSync(results, { recursive: true });
install();
installTools();
check('lint', ['biome', 'check', '.']);
check('types', ['next', 'typegen']);
check('types, checked', ['tsc', '--noEmit']);
checkLayouts();
count('unit', ['vitest', 'run', '--reporter=default', '--reporter=json', '--outputFile=.tmp/unit.json'], {}, () => {
  const { numPassedTests, numFailedTests } = report('unit.json');
  return [numPassedTests, numFailedTests];
});
build();
count(
  'end to end',
  ['playwright', 'test', '--reporter=list,json'],
  { PLAYWRIGHT_JSON_OUTPUT_NAME: join(results, 'e2e.json') },
  () => {
    const { expected, unexpected, flaky } = report('e2e.json').stats;
    return [expected, unexpected + flaky];
  },
);
console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
