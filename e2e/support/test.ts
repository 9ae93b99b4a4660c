import { test as base } from '@playwright/test';
import { countChanges } from './browser';
import { putBack } from './putBack';
import { serverOf, type TestServer } from './servers';

/**
 * What every end-to-end test is made with. Each worker has a server of its own, and each test finds there the demo data
 * as it was seeded, with the usual settings, whatever ran before it.
 */
export const test = base.extend<{ server: TestServer; seeded: undefined }>({
  // biome-ignore lint/correctness/noEmptyPattern: Playwright reads from the pattern what a fixture needs.
  server: async ({}, use, info) => use(serverOf(info.parallelIndex)),
  baseURL: async ({ server }, use) => use(server.address),
  page: async ({ page }, use) => {
    countChanges(page);
    await use(page);
  },
  seeded: [
    async ({ server }, use) => {
      await putBack(server.data);
      await use(undefined);
    },
    { auto: true },
  ],
});
export { type APIRequestContext, expect, type Locator, type Page } from '@playwright/test';
