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

const SERVER = ['src/server/**/*.test.ts', 'src/app/api/*.test.ts', 'src/app/hostile.test.ts'];
const SCREENS = ['src/app/screens/*.test.tsx'];

export default defineConfig({
  resolve: { alias: { '@': fileURLToPath(new URL('./src', import.meta.url)) } },
  test: {
    projects: [
      // Where nothing is kept from one file to the next but what is worked out again, one worker does for many files.
      { extends: true, test: { name: 'core', include: ['src/core/**/*.test.ts'], isolate: false } },
      { extends: true, test: { name: 'server', include: SERVER, isolate: false } },
      { extends: true, test: { name: 'screens', include: SCREENS, isolate: false } },
      {
        extends: true,
        test: {
          name: 'rest',
          include: ['src/**/*.test.{ts,tsx}'],
          exclude: ['src/core/**', ...SERVER, ...SCREENS],
        },
      },
    ],
    globalSetup: 'src/testing/globalSetup.mjs',
    // No test is about how fast this machine is.
    testTimeout: 120_000,
    hookTimeout: 60_000,
    // Pages drawn in jsdom leave much behind at once; with more room for it a seventh less is spent on clearing it away.
    execArgv: ['--max-semi-space-size=64'],
    // Screens wait for answers and disks: half as many again as there are cores leave none of them idle.
    maxWorkers: Math.ceil(availableParallelism() * 1.5),
    sequence: { sequencer: InRandomOrder },
  },
});
