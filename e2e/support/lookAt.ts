import { countChanges } from './browser';
import { test as base } from './test';

/** What screens are looked at with: a page of its own for each test, in the one profile of its worker. */
export const test = base.extend({
  page: async ({ profile }, use) => {
    const page = await profile.newPage();
    countChanges(page);
    await use(page);
    await page.close();
  },
});
