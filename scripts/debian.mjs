/** Installs Debian's packages that are missing. */
import { spawnSync } from 'node:child_process';
import { run } from './server.mjs';

export function installDebian(wanted) {
  const missing = wanted.filter((name) => spawnSync('dpkg', ['-s', name]).status !== 0);
  if (missing.length === 0) return;
  const prefix = process.getuid?.() === 0 ? [] : ['sudo'];
  for (const args of [
    ['update', '-qq'],
    ['install', '-y', '-qq', '--no-install-recommends', ...missing],
  ]) {
    const [command, ...rest] = [...prefix, 'apt-get', ...args];
    run(command, rest, { DEBIAN_FRONTEND: 'noninteractive' });
  }
}
