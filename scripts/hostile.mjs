/** Asks a running server many things that mean no good: `npm run hostile -- 100000`. Builds it first where need be. */
import { build, install } from './prepare.mjs';
import { run } from './server.mjs';

install();
build();
run(process.execPath, ['--import', 'tsx', 'scripts/askHostile.ts', ...process.argv.slice(2)]);
