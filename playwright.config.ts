import { defineConfig } from '@playwright/test';
import { chromiumPath, launchArgs } from './e2e/support/browser';
import { FULL } from './e2e/support/full';
import { serverOf, WORKERS } from './e2e/support/servers';

export default defineConfig({
  testDir: 'e2e',
  testIgnore: FULL ? [] : ['full/**'],
  outputDir: '.tmp/test-results',
  fullyParallel: true,
  workers: WORKERS,
  // No walk is about how fast this machine is: what is waited for comes, however late.
  timeout: 300_000,
  expect: { timeout: 45_000 },
  reporter: [['list']],
  use: {
    viewport: { width: 1280, height: 800 },
    launchOptions: { executablePath: chromiumPath(), args: launchArgs },
  },
  webServer: Array.from({ length: WORKERS }, (_, worker) => {
    const { port, address, data } = serverOf(worker);
    return {
      command: 'node scripts/testServer.mjs',
      url: `${address}/api/health`,
      env: { PORT: String(port), GRAY_PIN_DATA: data },
      timeout: 120_000,
      reuseExistingServer: false,
    };
  }),
});
