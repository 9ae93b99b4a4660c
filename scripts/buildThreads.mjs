/** Makes one file each of the threads in which files from outside are read and sheets are written, beside what Next builds. */
import { join } from 'node:path';
import { build } from 'esbuild';
import { root } from './server.mjs';

const THREADS = { reader: 'src/server/reading/reader.ts', writer: 'src/server/sheets/writer.ts' };

export async function buildThreads(outdir = join(root, process.env.GRAY_PIN_BUILD ?? '.next')) {
  await build({
    entryPoints: Object.entries(THREADS).map(([out, one]) => ({ in: join(root, one), out })),
    outdir,
    outExtension: { '.js': '.mjs' },
    bundle: true,
    // What few files need stands in a file of its own.
    splitting: true,
    chunkNames: 'thread-[hash]',
    platform: 'node',
    format: 'esm',
    target: 'node20',
    logLevel: 'warning',
    // Nothing is drawn here: the reader of PDFs looks for a package that draws unless it takes this for a window.
    define: { 'process.versions.nw': '"none"' },
    // As modules, where a package comes as both.
    mainFields: ['module', 'main'],
    // These read files of their own beside themselves.
    external: ['pdfkit', 'fontkit', 'write-excel-file'],
    // Packages written for require find it here.
    banner: {
      js: "import { createRequire as requireFrom } from 'node:module';const require = requireFrom(import.meta.url);",
    },
  });
}
if (process.argv[1] === import.meta.filename) await buildThreads();
