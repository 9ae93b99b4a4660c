/** Makes a clone ready: installs what the lockfile says, builds when the code is newer than the last build. */
import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { root, run } from './server.mjs';

const BUILT_FROM = [
  'src',
  'scripts/buildThreads.mjs',
  'package.json',
  'package-lock.json',
  'next.config.ts',
  'tsconfig.json',
];

/** Installs the packages unless those of this lockfile are there already. */
export function install() {
  const mark = join(root, 'node_modules/.installed-from');
  const lock = fingerprint(['package-lock.json']);
  if (existsSync(mark) && readFileSync(mark, 'utf8') === lock) return;
  run('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error']);
  writeFileSync(mark, lock);
}

/** Builds the application unless this very code has been built. */
export function build() {
  const mark = join(root, '.next/built-from');
  const code = fingerprint(BUILT_FROM);
  if (existsSync(mark) && readFileSync(mark, 'utf8') === code) return;
  run('npm', ['run', '--silent', 'build']);
  writeFileSync(mark, code);
}

function fingerprint(names) {
  const hash = createHash('sha256');
  const add = (name) => {
    // Tests are no part of what is built.
    if (/\.test\.tsx?$/.test(name)) return;
    const path = join(root, name);
    if (statSync(path).isDirectory()) for (const inside of readdirSync(path).sort()) add(join(name, inside));
    else hash.update(name).update(readFileSync(path));
  };
  names.forEach(add);
  return hash.digest('hex');
}
