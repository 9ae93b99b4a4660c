/** Builds what is to be measured, then measures it. */
import { build, install } from './prepare.mjs';
import { run } from './server.mjs';

install();
build();
run(process.execPath, ['--import', 'tsx', 'bench/run.ts', ...process.argv.slice(2)]);
