import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  resolve: { alias: { '@': fileURLToPath(new URL('./src', import.meta.url)) } },
  test: {
    include: ['src/**/*.test.{ts,tsx}'],
    globalSetup: 'src/testing/globalSetup.mjs',
    // No test is about how fast this machine is.
    testTimeout: 60_000,
    hookTimeout: 60_000,
    // One is left free otherwise, which on two cores is half of them.
    maxWorkers: '100%',
    sequence: { shuffle: { files: true, tests: false } },
  },
});
