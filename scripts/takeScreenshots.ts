/** Takes the pictures in docs/screenshots/ from fresh demo data. */
import { execFileSync } from 'node:child_process';
import { mkdirSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { chromium, type Page } from '@playwright/test';
import { chromiumPath, launchArgs } from '../e2e/support/browser';
import { fromLaptop, nextVersion, showLine } from '../e2e/support/screens';
import { root, runScript, startServer, untilReady } from './server.mjs';

const data = join(root, '.tmp/screenshot-data');
const port = 4182;
rmSync(data, { recursive: true, force: true });
runScript('seed.ts', [], { GRAY_PIN_DATA: data });
const server = startServer({ port, data, quiet: true });
const folder = join(root, 'docs/screenshots');
mkdirSync(folder, { recursive: true });

const lamp = (name: string) => (page: Page) =>
  page.evaluate((one) => {
    document.documentElement.dataset.lamp = one;
  }, name);
const planned = (page: Page) => page.getByText(/Proven: no other|A good answer/).waitFor();
const matched = (page: Page) => page.locator('[data-ms]:not([data-stale])').waitFor();
/** Types into the finder, and waits until what is found first is on the bench. */
const looked = (typed: string, told: string) => async (page: Page) => {
  await page.getByRole('combobox').fill(typed);
  await page.getByRole('region', { name: 'Find a command' }).getByText(told).first().waitFor();
  await page
    .getByRole('region', { name: 'Bench' })
    .getByLabel(/^Press the keys/)
    .waitFor();
  await page.waitForTimeout(600);
};
const switched = async (page: Page) => {
  await page.getByRole('button', { name: /^Switch to it \(Mending/ }).click();
  await page.getByText('Stands as Mending').waitFor();
  await page.getByRole('button', { name: 'Undo' }).last().waitFor();
  await page.waitForTimeout(7500);
};
/** Gives keys whose words are to be guessed, and such as the file can't hold, then looks again. */
const withOddKeys = async (page: Page) => {
  await page.getByText(/^Read back/).waitFor();
  const rows = { 'open-recent': ['Mod+Alt+PageDown'], 'set-square': ['NumpadAdd'], 'step-in-here': ['hold:P'] };
  for (let id = 1; id < 20; id++) {
    const answer = await page.request.get(`http://127.0.0.1:${port}/api/keymaps/${id}/view`);
    if (!answer.ok()) continue;
    const { draft, bindings } = (await answer.json()) as {
      draft: { slug: string; revision: number };
      bindings: [string, string][];
    };
    if (draft.slug !== 'sheet-retouching') continue;
    const changes = Object.entries(rows).map(([command, after]) => ({
      command,
      before: bindings.filter(([one]) => one === command).map(([, chord]) => ({ chord })),
      after: after.map((chord) => ({ chord })),
    }));
    const ticket = { title: 'For the picture', changes };
    await page.request.post(`http://127.0.0.1:${port}/api/keymaps/${id}/edits`, {
      data: { revision: draft.revision, ticket },
    });
  }
  await page.reload();
  await page.getByText(/^Read back/).waitFor();
};
/** Sheets as PDF, of which the first page is kept as a picture. */
const PAPERS: readonly (readonly [name: string, query: string])[] = [
  ['pdf-desk', 'program=tarnlight&keymap=sheet-retouching&contents=all&notation=both&group=task&paper=A3'],
  ['pdf-poster', 'program=tarnlight&keymap=sheet-retouching&contents=all&form=poster&layers=together'],
];
const VIEWS: readonly (readonly [name: string, address: string, prepare?: (page: Page) => Promise<unknown>])[] = [
  ['shelf', '/shelf'],
  [
    'bring-in',
    '/shelf/bring-in',
    async (page: Page) => {
      await page.setInputFiles('input[type=file]', join(root, 'src/core/reading/fixtures/nested.html'));
      await page.getByText('What the columns hold').first().waitFor();
      await page.waitForTimeout(500);
    },
  ],
  ['bring-in-line', '/shelf/bring-in', showLine],
  ['board', '/board/tarnlight/sheet-retouching', looked('get rid of specks', 'Dust sweep')],
  [
    'board-held',
    '/board/tarnlight/factory-keys/lift-stain',
    async (page: Page) => {
      await page.getByLabel(/Press the keys/).press('Alt+KeyW');
      await page.getByText('Taking it leaves').waitFor();
    },
  ],
  ['wishes', '/wishes/tarnlight/sheet-retouching', planned],
  ['match', '/match/tarnlight/sheet-retouching?like=nibshore%2Fmy-painting-hand', matched],
  [
    'match-compare',
    '/match/compare',
    (page: Page) => page.getByRole('region', { name: 'How much carries over' }).waitFor(),
  ],
  ['workspaces', '/workspaces/tarnlight', switched],
  [
    'workspaces-menus',
    '/workspaces/tarnlight?show=menus',
    async (page: Page) => {
      await page.getByRole('button', { name: /^Mask/ }).click();
      await page.getByRole('button', { name: /^Mark Invert mask/ }).waitFor();
    },
  ],
  [
    'tryout',
    '/tryout/tarnlight/sheet-retouching',
    async (page: Page) => {
      await page.keyboard.press('Control+KeyZ');
      await page.keyboard.press('Alt+KeyS');
      await page.keyboard.press('Shift+KeyH');
      await page.getByRole('menuitem', { name: 'Mend', exact: true }).click();
      await page.getByRole('menu', { name: 'Mend' }).waitFor();
    },
  ],
  ['board-dim', '/board/nibshore/my-painting-hand/glaze', lamp('dim')],
  ['sheets', '/sheets/tarnlight/sheet-retouching?contents=yours', (page: Page) => page.waitForTimeout(800)],
  [
    'change-list',
    '/sheets/tarnlight/sheet-retouching/changes',
    async (page: Page) => {
      await page.getByRole('checkbox').first().check();
      await page.getByRole('checkbox').nth(1).check();
    },
  ],
  [
    'take-in',
    '/shelf/take-in',
    async (page: Page) => {
      await fromLaptop(page);
      await page.getByLabel('What the other computer is called').fill('laptop');
      await page.getByLabel('What the other computer is called').press('Enter');
      await page.getByText('as “Sheet retouching (laptop)”').waitFor();
    },
  ],
  // Last, since one gives keys that the file has no words for, and such that it can't hold; the other brings a program in.
  ['write-back', '/sheets/tarnlight/sheet-retouching/write', withOddKeys],
  [
    'new-version',
    '/shelf/bring-in',
    async (page: Page) => {
      await nextVersion(page);
      // What was said in passing is gone by then.
      await page.waitForTimeout(7500);
    },
  ],
];
try {
  await untilReady(port, server);
  const browser = await chromium.launch({ executablePath: chromiumPath(), args: launchArgs });
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
  for (const [name, query] of PAPERS) {
    const answer = await fetch(`http://127.0.0.1:${port}/api/sheets?${query}&date=May`);
    const pdf = join(root, `.tmp/${name}.pdf`);
    writeFileSync(pdf, Buffer.from(await answer.arrayBuffer()));
    execFileSync('pdftoppm', ['-r', '80', '-png', '-singlefile', pdf, join(folder, name)]);
    console.log(`docs/screenshots/${name}.png`);
  }
  await browser.close();
} finally {
  server.kill();
}
