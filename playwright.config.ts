import { defineConfig } from '@playwright/test';
import { chromiumPath, launchArgs } from './e2e/browser';

const port = Number(process.env.E2E_PORT ?? 4179);

export default defineConfig({
  testDir: 'e2e',
  outputDir: '.tmp/test-results',
  workers: 1,
  timeout: 60_000,
  expect: { timeout: 8_000 },
  reporter: [['list']],
  use: {
    baseURL: `http://127.0.0.1:${port}`,
    viewport: { width: 1280, height: 800 },
    launchOptions: { executablePath: chromiumPath(), args: launchArgs },
  },
  webServer: {
    command: 'node scripts/testServer.mjs',
    url: `http://127.0.0.1:${port}/api/health`,
    env: { PORT: String(port), GRAY_PIN_DATA: '.tmp/e2e-data' },
    timeout: 120_000,
    reuseExistingServer: false,
  },
});
