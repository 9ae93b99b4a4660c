import { type BrowserContext, test as base } from '@playwright/test';
import { countChanges } from './browser';
import { putBack } from './putBack';
import { serverOf, type TestServer } from './servers';

/**
 * What every end-to-end test is made with. Each worker has a server of its own, and each test finds there the demo data
 * as it was seeded, with the usual settings, whatever ran before it.
 *
 * `profile` is one browser profile for all of a worker, which has the program's script already and lists by what is in
 * them; nothing else is kept in it.
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
  context: async ({ profile }, use) => {
    const before = profile.pages();
    await use(profile);
    // Also those that the test opened itself.
    for (const page of profile.pages()) if (!before.includes(page)) await page.close();
  },
  page: async ({ context }, use) => {
    const page = await context.newPage();
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
