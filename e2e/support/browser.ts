import { execFileSync } from 'node:child_process';
import { expect, type Page, type Request } from '@playwright/test';

/** Debian's Chromium, wherever its command is. */
export function chromiumPath(): string {
  return process.env.CHROMIUM ?? execFileSync('sh', ['-c', 'command -v chromium'], { encoding: 'utf8' }).trim();
}

export const launchArgs = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];

const onTheirWay = new WeakMap<Page, Set<Request>>();

/** Opens an address once everything that was done on the page before is stored, and waits until the page answers. */
export async function open(page: Page, address: string): Promise<void> {
  if ((onTheirWay.get(page)?.size ?? 0) > 0) await allStored(page);
  await page.goto(address);
  await page.locator('html[data-ready]').waitFor();
}

/**
 * Brings everything that moves on the page to its end, and what moves because of that: what is out of sight would never
 * come there by itself. What goes on without end goes on.
 */
export async function still(page: Page): Promise<void> {
  await page.evaluate(async () => {
    for (let frames = 0; frames < 60; frames++) {
      const moving = document
        .getAnimations()
        .filter(
          ({ playState, effect }) =>
            playState === 'running' && effect?.getComputedTiming().endTime !== Number.POSITIVE_INFINITY,
        );
      if (moving.length === 0) return;
      for (const one of moving) one.finish();
      await new Promise(requestAnimationFrame);
    }
    throw new Error('Something on the page never stops moving.');
  });
}

/** Does something, and waits until the server has answered what the page sent it for that. */
export async function stored(page: Page, path: string | RegExp, action: () => Promise<unknown>): Promise<void> {
  const answered = page.waitForResponse(
    (one) => one.request().method() !== 'GET' && new URL(one.url()).pathname.match(path) !== null,
  );
  await action();
  await answered;
}

/** Keeps count of what a page has sent to be stored and the server has not answered yet. */
export function countChanges(page: Page): void {
  const sent = new Set<Request>();
  onTheirWay.set(page, sent);
  page.on('request', (one) => void (one.method() !== 'GET' && sent.add(one)));
  page.on('requestfinished', (one) => void sent.delete(one));
  page.on('requestfailed', (one) => void sent.delete(one));
}

/** Waits until everything that was done on a page is stored. */
export async function allStored(page: Page): Promise<void> {
  await page.evaluate(() => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done))));
  await expect.poll(() => onTheirWay.get(page)?.size).toBe(0);
}

/** Loads the page again, once everything that was done on it is stored. */
export async function reload(page: Page): Promise<void> {
  await allStored(page);
  await page.reload();
  await page.locator('html[data-ready]').waitFor();
}
