import { type BrowserContext, test as base } from '@playwright/test';
import { countChanges } from './browser';
import { putBack } from './putBack';
import { serverOf, type TestServer } from './servers';

/**
 * What every end-to-end test is made with. Each worker has a server of its own, and each test finds there the demo data
 * as it was seeded, with the usual settings, whatever ran before it.
 *
 * `profile` is one browser profile for all of a worker, which has the program's script already; nothing else is kept in
 * it. It stands here, where `lookAt` alone asks for it, since Playwright ends a worker and its browser wherever the next
 * test knows other fixtures of workers.
 */
export const test = base.extend<{ server: TestServer; seeded: undefined }, { profile: BrowserContext }>({
  // biome-ignore lint/correctness/noEmptyPattern: Playwright reads from the pattern what a fixture needs.
  server: async ({}, use, info) => use(serverOf(info.parallelIndex)),
  baseURL: async ({ server }, use) => use(server.address),
  profile: [
    async ({ browser }, use, info) => {
      const profile = await browser.newContext({
        baseURL: serverOf(info.parallelIndex).address,
        viewport: { width: 1280, height: 800 },
      });
      await use(profile);
      await profile.close();
    },
    { scope: 'worker' },
  ],
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
