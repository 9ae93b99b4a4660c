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
