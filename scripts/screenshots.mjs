/** Makes the pictures in docs/screenshots/ from fresh demo data. */
import { mkdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { build, install } from './prepare.mjs';
import { root, runScript, startServer, untilReady } from './server.mjs';

install();
build();
const { chromium } = await import('@playwright/test');
const { execFileSync } = await import('node:child_process');
const data = join(root, '.tmp/screenshot-data');
const port = 4182;
rmSync(data, { recursive: true, force: true });
runScript('seed.ts', [], { GRAY_PIN_DATA: data });
const server = startServer({ port, data, quiet: true });
const folder = join(root, 'docs/screenshots');
mkdirSync(folder, { recursive: true });

const lamp = (name) => (page) =>
  page.evaluate((one) => {
    document.documentElement.dataset.lamp = one;
  }, name);
const VIEWS = [
  ['shelf', '/shelf'],
  [
    'bring-in',
    '/shelf/bring-in',
    async (page) => {
      await page.setInputFiles('input[type=file]', join(root, 'src/core/reading/fixtures/headings.html'));
      await page.getByText('What the columns hold').waitFor();
    },
  ],
  ['board', '/board/tarnlight/sheet-retouching/step-in'],
  [
    'board-held',
    '/board/tarnlight/factory-keys/lift-stain',
    async (page) => {
      await page.getByLabel(/Press the keys/).press('Alt+KeyW');
      await page.getByText('Taking it leaves').waitFor();
    },
  ],
  ['board-dim', '/board/nibshore/my-painting-hand/glaze', lamp('dim')],
  ['sheet-yours', '/sheets/tarnlight/sheet-retouching?contents=yours'],
  ['sheet-all-mac', '/sheets/quillmoor/label-drawing?contents=all&notation=symbols&paper=Letter&way=upright'],
];
try {
  await untilReady(port, server);
  const browser = await chromium.launch({
    executablePath:
      process.env.CHROMIUM ?? execFileSync('sh', ['-c', 'command -v chromium'], { encoding: 'utf8' }).trim(),
    args: [
      '--no-sandbox',
      '--disable-gpu',
      '--disable-quic',
      '--no-first-run',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
    ],
  });
  for (const [name, address, prepare] of VIEWS) {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, reducedMotion: 'reduce' });
    await page.goto(`http://127.0.0.1:${port}${address}`);
    await page.locator('html[data-ready]').waitFor();
    await prepare?.(page);
    await page.evaluate(() => document.fonts.ready);
    await page.waitForTimeout(400);
    await page.screenshot({ path: join(folder, `${name}.png`) });
    await page.close();
    console.log(`docs/screenshots/${name}.png`);
  }
  await browser.close();
} finally {
  server.kill();
}
