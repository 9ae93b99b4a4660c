import type { Page } from '@playwright/test';
import { listIn } from '../src/core/testing/listIn';
import { heldUp } from './heldUp';

const ROWS = 19_990;

/** Tasks count from when the page asks: to put a file into the page is the work of whoever drives the browser. */
type Watched = { asked?: number; answered?: number; rows?: number; tasks: PerformanceEntry[] };
declare global {
  interface Window {
    watchedPreview: Watched;
  }
}

/** So many visits are looked at, of at most so many; and a machine held up for longer than this part of one says nothing of it. */
const [WANTED, MOST, FREE] = [8, 24, 0.005];

/**
 * Brings a list of 20,000 rows in again and again, until it was done often enough while the machine was not held up by
 * others. @returns the longest of each figure, how many visits it is of, and how many there were.
 */
export async function previewOften(page: Page, base: string) {
  const free: Awaited<ReturnType<typeof previewMany>>[] = [];
  let visits = 0;
  while (free.length < WANTED && visits < MOST) {
    const { done, held } = await heldUp(() => previewMany(page, base));
    visits++;
    if (held <= FREE) free.push(done);
  }
  const longest = (of: keyof (typeof free)[number]): number => Math.max(0, ...free.map((one) => one[of]));
  return { first: longest('first'), came: longest('came'), worked: longest('worked'), free: free.length, visits };
}

/**
 * Brings a list of 20,000 rows in, filters it, corrects a row and scrolls.
 * @returns milliseconds from the answer to the first rows, the longest task while they came, and while it was worked on.
 */
async function previewMany(page: Page, base: string) {
  await page.goto(`${base}/shelf/bring-in`);
  await page.locator('html[data-ready]').waitFor();
  await page.evaluate(() => {
    window.watchedPreview = { tasks: [] };
    new PerformanceObserver((list) => {
      window.watchedPreview.tasks.push(...list.getEntries());
    }).observe({ type: 'longtask' });
    const asked = window.fetch;
    window.fetch = async (...given) => {
      if (!`${given[0]}`.includes('/api/reading')) return asked(...given);
      window.watchedPreview.asked ??= performance.now();
      const answer = await asked(...given);
      window.watchedPreview.answered = performance.now();
      return answer;
    };
    new MutationObserver(() => {
      if (window.watchedPreview.rows || !document.querySelector('[role=row][data-result]')) return;
      requestAnimationFrame(() =>
        setTimeout(() => {
          window.watchedPreview.rows ??= performance.now();
        }),
      );
    }).observe(document.body, { childList: true, subtree: true });
  });
  const longest = async (): Promise<number> => {
    await page.waitForTimeout(300);
    return page.evaluate(() => {
      const { asked = 0, tasks } = window.watchedPreview;
      return Math.max(0, ...tasks.splice(0).flatMap((one) => (one.startTime < asked ? [] : [one.duration])));
    });
  };
  await page.setInputFiles('input[type=file]', {
    name: 'many.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(listIn('table', ROWS)),
  });
  await page.getByText(`All rows ${ROWS + 1}`).waitFor();
  const came = await longest();
  const { answered = 0, rows = 0 } = await page.evaluate(() => window.watchedPreview);
  for (const one of [/^Commands/, /^Left out/, /^All rows/]) {
    await page.getByRole('button', { name: one }).click();
    await page.waitForTimeout(200);
  }
  await page.getByRole('button', { name: /^Correct row 5,/ }).click();
  await page.getByRole('radio', { name: 'no command' }).click();
  await page.getByRole('button', { name: 'Correct it' }).click();
  await page.getByText('Corrected by you 1').waitFor();
  await page.mouse.move(600, 600);
  for (let i = 0; i < 20; i++) {
    await page.mouse.wheel(0, 600);
    await page.waitForTimeout(60);
  }
  return { first: rows - answered, came, worked: await longest() };
}
