/** Builds what is to be shown, then makes the pictures in docs/screenshots/. */
import { build, install } from './prepare.mjs';
import { run } from './server.mjs';

install();
build();
run(process.execPath, ['--import', 'tsx', 'scripts/takeScreenshots.ts']);
