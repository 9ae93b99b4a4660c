import { defineConfig } from 'vitest/config';

/** Used in the copy of the project in which its code is changed. */
export default defineConfig({
  resolve: {
    alias: [
      { find: /^fast-check$/, replacement: new URL('./fastCheck.mjs', import.meta.url).pathname },
      { find: /^.*\/testing\/growthOf$/, replacement: new URL('./growthOf.mjs', import.meta.url).pathname },
    ],
  },
  test: { include: [`${process.env.MUTANTS_TESTS}/**/*.test.ts`], testTimeout: 20_000 },
});
