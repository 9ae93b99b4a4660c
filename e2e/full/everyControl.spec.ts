import { allStored, countChanges, open, still } from '../support/browser';
import { beginAtTop, type Control, controls, focused } from '../support/controls';
import { putBack } from '../support/putBack';
import { MAIN_SCREENS } from '../support/screens';
import { expect, type Page, test } from '../support/test';

/** A window of 1280x800, and one of 1280x1024 at 400 %. */
const WINDOWS = [
  [1280, 800],
  [320, 256],
] as const;

for (const [name, address, prepare] of MAIN_SCREENS) {
  test(`${name}: the Tab key comes to every control, and it is seen there, also at 400 %`, async ({ page }) => {
    test.setTimeout(240_000);
    await open(page, address);
    await prepare?.(page);
    const bad: string[] = [];
    for (const [width, height] of WINDOWS) {
      await page.setViewportSize({ width, height });
      await still(page);
      const wanted = (await controls(page)).filter((one) => one.reached);
      const missing = new Set(wanted.map((one) => one.name));
      await beginAtTop(page);
      for (let i = 0; missing.size > 0 && i < 2 * wanted.length + 40; i++) {
        await page.keyboard.press('Tab');
        const { name: at, hidden } = await focused(page);
        missing.delete(at);
        if (hidden) bad.push(`${width}: ${at} ${hidden}`);
      }
      bad.push(...[...missing].map((one) => `${width}: Tab never comes to ${one}`));
      expect(wanted.length).toBeGreaterThan(5);
    }
    expect(bad).toEqual([]);
  });
}

/** What has nothing to do as the demo data stands: the stand-in was not touched yet, and this drawer is the open one. */
const IDLE = ['button Start afresh', 'button Find tools'];
/** Of controls of one kind, such as those of the rows of a list, so many are tapped. */
const OF_A_KIND = 3;
const OVER = '[role=dialog], [role=menu], [role=presentation]:has(> .MuiBackdrop-root)';

for (const [name, address, prepare] of MAIN_SCREENS) {
  test(`${name}: a tap on every kind of control does something`, async ({ browser, baseURL, server }) => {
    test.setTimeout(900_000);
    const context = await browser.newContext({
      ...(baseURL ? { baseURL } : {}),
      hasTouch: true,
      viewport: { width: 1280, height: 800 },
    });
    const page = await context.newPage();
    countChanges(page);
    const errors: string[] = [];
    page.on('pageerror', (error) => errors.push(error.message));
    let taken = 0;
    page
      .on('download', () => taken++)
      .on('filechooser', () => taken++)
      .on('popup', () => taken++);
    await page.addInitScript(() => {
      window.print = () => document.documentElement.setAttribute('data-printed', '');
    });
    const begin = async (): Promise<readonly Control[]> => {
      await allStored(page);
      // What is still to be sent goes with the page that has it.
      await page.goto('about:blank');
      await putBack(server.data);
      await open(page, address);
      await prepare?.(page);
      await still(page);
      // What follows in a later picture is waited for.
      let found: readonly Control[] = [];
      await expect
        .poll(
          async () => {
            const before = found.length;
            found = await controls(page);
            return found.length === before;
          },
          { intervals: [0, 250] },
        )
        .toBe(true);
      return found;
    };
    const kinds = new Map<string, number>();
    const all = (await begin()).filter(({ name, works, kind }) => {
      kinds.set(kind, (kinds.get(kind) ?? 0) + 1);
      return works && !IDLE.includes(name) && (kinds.get(kind) ?? 0) <= OF_A_KIND;
    });
    expect(all.length).toBeGreaterThan(5);
    const dead: string[] = [];
    for (const one of all) {
      const target = page.locator(`[data-control=${JSON.stringify(`${one.name} ${one.at}`)}]`);
      let before = '';
      let takenBefore = 0;
      const tap = async (timeout: number): Promise<void> => {
        [before, takenBefore] = [await lookOf(page), taken];
        await target.tap({ timeout });
      };
      // What was tapped before may have opened something that lies over it only now.
      let failed = await tap(1500).then(() => '', String);
      if (failed !== '') {
        await begin();
        // What comes once the page has found rest is looked for by its name again.
        const there = async (): Promise<number> => {
          await controls(page);
          return target.count();
        };
        failed = await expect
          .poll(there)
          .toBeGreaterThan(0)
          .then(() => tap(5000))
          .then(() => '', String);
      }
      if (failed !== '') {
        dead.push(`${one.name} ${one.at} can't be tapped: ${failed.slice(0, 900)}`);
        await begin();
        continue;
      }
      await expect
        .poll(async () => taken > takenBefore || (await lookOf(page)) !== before, { timeout: 10_000 })
        .toBe(true)
        .catch(() => dead.push(`${one.name} ${one.at}`));
      // What opened over the page or led elsewhere is left by beginning anew.
      if (!page.url().endsWith(address) || (await page.locator(OVER).count()) > 0) await begin();
    }
    expect(dead).toEqual([]);
    expect(errors).toEqual([]);
    await context.close();
  });
}

/** Everything that a person could notice of a page: its words, what is pressed, chosen, open and filled in, and where. */
async function lookOf(page: Page): Promise<string> {
  return page
    .evaluate(() => {
      const states = [...document.querySelectorAll('*')].map((one) =>
        [...one.attributes]
          .filter(({ name }) => name.startsWith('aria-') || name.startsWith('data-') || name === 'open')
          .map(({ name, value }) => `${name}=${value}`)
          .join(),
      );
      const fields = [...document.querySelectorAll('input')].map((one) => `${one.value} ${one.checked}`);
      const field = document.activeElement?.closest('input:not([type=checkbox], [type=radio]), textarea');
      const typing = [...document.querySelectorAll('input, textarea')].indexOf(field as HTMLInputElement);
      return [location.href, document.body.textContent, typing, ...fields, ...states].join('\n');
    })
    .catch(() => 'another page');
}
