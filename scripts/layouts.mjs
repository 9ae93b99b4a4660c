/** Makes the layouts' facts anew, or with `--check` compares them with what an independent tool compiles. Needs Debian's packages. */
import { spawnSync } from 'node:child_process';
import { run } from './server.mjs';

const check = process.argv.includes('--check');
const wanted = ['xkb-data', 'x11proto-dev', ...(check ? ['libxkbcommon-tools'] : [])];
const missing = wanted.filter((name) => spawnSync('dpkg', ['-s', name]).status !== 0);
if (missing.length > 0) {
  const prefix = process.getuid?.() === 0 ? [] : ['sudo'];
  for (const args of [
    ['update', '-qq'],
    ['install', '-y', '-qq', '--no-install-recommends', ...missing],
  ]) {
    const [command, ...rest] = [...prefix, 'apt-get', ...args];
    run(command, rest, { DEBIAN_FRONTEND: 'noninteractive' });
  }
}
run(process.execPath, ['--import', 'tsx', `scripts/keyboards/${check ? 'checkLayouts' : 'makeLayouts'}.ts`]);
