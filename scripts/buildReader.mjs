/** Makes one file of the thread in which files from outside are read, beside what Next builds. */
import { join } from 'node:path';
import { build } from 'esbuild';
import { root } from './server.mjs';

export async function buildReader(outfile = join(root, process.env.GRAY_PIN_BUILD ?? '.next', 'reader.mjs')) {
  await build({
    entryPoints: [join(root, 'src/server/reading/reader.ts')],
    outfile,
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    logLevel: 'warning',
    // Packages written for require find it here.
    banner: { js: "import { createRequire } from 'node:module';const require = createRequire(import.meta.url);" },
  });
}
if (process.argv[1] === import.meta.filename) await buildReader();
