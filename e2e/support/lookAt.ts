import type { BrowserContext } from '@playwright/test';
import { countChanges } from './browser';
import { serverOf } from './servers';
import { test as base } from './test';

/**
 * What screens are looked at with: a page of its own for each test, in one browser profile for all of a worker, which
 * has the program's script already. Nothing is kept there but that.
 */
export const test = base.extend<object, { profile: BrowserContext }>({
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
  page: async ({ profile }, use) => {
    const page = await profile.newPage();
    countChanges(page);
    await use(page);
    await page.close();
  },
});
