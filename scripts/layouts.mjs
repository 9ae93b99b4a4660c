/** Makes the layouts' facts anew, or with `--check` compares them with what an independent tool compiles. Needs Debian's packages. */
import { installDebian } from './debian.mjs';
import { run } from './server.mjs';

const check = process.argv.includes('--check');
const wanted = ['xkb-data', 'x11proto-dev', ...(check ? ['libxkbcommon-tools'] : [])];
installDebian(wanted);
run(process.execPath, ['--import', 'tsx', `scripts/keyboards/${check ? 'checkLayouts' : 'makeLayouts'}.ts`]);
