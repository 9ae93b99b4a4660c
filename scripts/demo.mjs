/** From a clean clone to the demo in one go: install, build, seed if new, serve. `--reset` puts the demo data back. */
import { build, install } from './prepare.mjs';
import { mustBeFree, runScript } from './server.mjs';

await mustBeFree(Number(process.env.PORT ?? 4170));
install();
build();
runScript('seed.ts', process.argv.slice(2));
await import('./start.mjs');
