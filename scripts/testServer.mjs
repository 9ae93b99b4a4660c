/** A server on fresh demo data, for the end-to-end tests. */
import { rmSync } from 'node:fs';
import { runScript } from './server.mjs';

rmSync(process.env.GRAY_PIN_DATA, { recursive: true, force: true });
runScript('seed.ts');
await import('./start.mjs');
