import { execFileSync } from 'node:child_process';
import type { Page } from '@playwright/test';

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

/** Opens an address and waits until the page answers. */
export async function open(page: Page, address: string): Promise<void> {
  await page.goto(address);
  await page.locator('html[data-ready]').waitFor();
}

/** Waits until nothing on the page moves any more; what goes on without end is not waited for. */
export async function still(page: Page): Promise<void> {
  await page.evaluate(async () => {
    for (;;) {
      const moving = document
        .getAnimations()
        .filter(
          (one) => one.playState === 'running' && one.effect?.getComputedTiming().endTime !== Number.POSITIVE_INFINITY,
        );
      if (moving.length === 0) return;
      await Promise.all(moving.map((one) => one.finished.catch(() => null)));
    }
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
