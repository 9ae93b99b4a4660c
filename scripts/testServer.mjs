/** A server on fresh demo data, for the end-to-end tests; beside its database the file that each test begins from. */
import { copyFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { root, runScript } from './server.mjs';

const data = join(root, process.env.GRAY_PIN_DATA);
rmSync(data, { recursive: true, force: true });
runScript('seed.ts');
copyFileSync(join(data, 'gray-pin.sqlite'), join(data, 'seeded.sqlite'));
await import('./start.mjs');
