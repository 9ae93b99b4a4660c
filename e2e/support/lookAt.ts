import type { BrowserContext, Page } from '@playwright/test';
import { countChanges } from './browser';
import { test as base } from './test';

/** The page of each worker: one that has shown the program before shows it sooner. */
const pages = new WeakMap<BrowserContext, Page>();

async function pageOf(profile: BrowserContext): Promise<Page> {
  const known = pages.get(profile);
  if (known) return known;
  const page = await profile.newPage();
  countChanges(page);
  pages.set(profile, page);
  return page;
}

/** What screens are looked at with: one page for all tests of a worker, each of which finds it empty. */
export const test = base.extend({
  page: async ({ profile }, use, info) => {
    const page = await pageOf(profile);
    await use(page);
    if (info.status !== info.expectedStatus) {
      pages.delete(profile);
      await page.close();
      return;
    }
    page.removeAllListeners('console');
    // Nothing is to be under the pointer in the next one.
    await page.mouse.move(-1, -1);
    await page.goto('about:blank');
    await page.setViewportSize({ width: 1280, height: 800 });
  },
});
