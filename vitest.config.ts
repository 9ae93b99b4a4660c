import { createHash } from 'node:crypto';
import { availableParallelism } from 'node:os';
import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';
import { BaseSequencer, type TestSpecification } from 'vitest/node';

/** Files in a random order, which the seed brings back; whole pages first, which take longest, so that none is left alone at the end. */
class InRandomOrder extends BaseSequencer {
  override async sort(files: TestSpecification[]): Promise<TestSpecification[]> {
    const place = ({ moduleId }: TestSpecification): string =>
      (moduleId.endsWith('.tsx') ? '0' : '1') +
      createHash('sha1').update(`${this.ctx.config.sequence.seed} ${moduleId}`).digest('hex');
    return files.sort((a, b) => (place(a) < place(b) ? -1 : 1));
  }
}

export default defineConfig({
  resolve: { alias: { '@': fileURLToPath(new URL('./src', import.meta.url)) } },
  test: {
    projects: [
      // The core keeps nothing from one test to the next but what it works out again: one worker does for many files.
      { extends: true, test: { name: 'core', include: ['src/core/**/*.test.ts'], isolate: false } },
      { extends: true, test: { name: 'server', include: ['src/server/**/*.test.ts'], isolate: false } },
      {
        extends: true,
        test: { name: 'rest', include: ['src/**/*.test.{ts,tsx}'], exclude: ['src/core/**', 'src/server/**'] },
      },
    ],
    globalSetup: 'src/testing/globalSetup.mjs',
    // No test is about how fast this machine is.
    testTimeout: 120_000,
    hookTimeout: 60_000,
    // Screens wait for answers and disks: half as many again as there are cores leave none of them idle.
    maxWorkers: Math.ceil(availableParallelism() * 1.5),
    sequence: { sequencer: InRandomOrder },
  },
});
