import { readFileSync, writeFileSync } from 'node:fs';
import { open, reload, stored } from './support/browser';
import { expect, test } from './support/test';
import { bringInWalk } from './support/walkProgram';

const KEPT = 'program=tarnlight&keymap=sheet-retouching&date=May';

test('a web page and an SVG open by themselves in a browser; a PNG is saved from the page', async ({ page }, info) => {
  const get = async (as: string) => page.request.get(`/api/sheets?${KEPT}&contents=yours&as=${as}`);
  const html = await (await get('html')).text();
  await page.setContent(html);
  await expect(page.getByRole('heading', { name: 'Tarnlight — Sheet retouching' })).toBeVisible();
  await expect(page.getByRole('row', { name: /Dust sweep/ }).locator('kbd')).toHaveText(['Alt', 'Q']);
  const svg = info.outputPath('sheet.svg');
  writeFileSync(svg, await (await get('svg')).body());
  await page.goto(`file://${svg}`);
  const texts = await page.locator('text').allTextContents();
  expect(texts).toContain('Dust sweep');
  expect(texts.length).toBeGreaterThan(80);
  await open(page, '/sheets/tarnlight/sheet-retouching?contents=yours');
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as another file' }).click();
  await page.getByRole('menuitem', { name: 'Picture (PNG)' }).click();
  const png = readFileSync(await (await download).path());
  expect(png.subarray(1, 4).toString()).toBe('PNG');
  expect(png.readUInt32BE(16)).toBe(Math.round(841.89 * 3));
});

test('several programs stand side by side, and only where their keys differ', async ({ page }) => {
  const others = encodeURIComponent('["nibshore/my-painting-hand","quillmoor/label-drawing"]');
  await open(page, `/sheets/tarnlight/sheet-retouching?contents=yours&programs=${others}`);
  await page.getByRole('radio', { name: 'Several programs' }).check();
  const sheet = page.getByRole('img', { name: /^Page 1/ });
  await expect(sheet).toContainText('Tarnlight, Nibshore, Quillmoor');
  await expect(sheet).toContainText('Nibshore · My painting hand');
  const all = Number(/(\d+) lines/.exec((await page.getByRole('status').first().textContent()) ?? '')?.[1]);
  await page.getByRole('checkbox', { name: 'Only where keys differ' }).check();
  await expect(page.getByText('Only where keys differ').first()).toBeVisible();
  await expect
    .poll(async () => Number(/(\d+) lines/.exec((await page.getByRole('status').first().textContent()) ?? '')?.[1]))
    .toBeLessThan(all);
  const query = new URL(page.url()).searchParams;
  const csv = await page.request.get(`/api/sheets?${KEPT}&${query}&as=csv`);
  expect((await csv.text()).split('\r\n')[0]).toContain('Nibshore · My painting hand,Quillmoor · Label drawing');
});

test('a change list is ticked off and remembered, leads from any keymap, and breaks rings', async ({
  page,
  request,
}) => {
  const slug = await bringInWalk(request, 'Carried over');
  await open(page, `/board/${slug}/walk-keys/mend`);
  // Wash and Mend change keys: a ring.
  const view = await (await request.get(`/api/programs/${slug}/file`)).json();
  expect(view.keymaps).toHaveLength(1);
  const board = page.getByLabel(/Press the keys/);
  await board.press('Alt+KeyW');
  await page.locator('[data-choice]').first().click();
  await expect(board).toHaveValue('');
  await open(page, `/board/${slug}/walk-keys/wash`);
  await board.press('F9');
  await page.locator('[data-choice]').first().click();
  await expect(page.getByRole('region', { name: 'Change tape' })).toContainText('2 tickets');
  await open(page, `/sheets/${slug}/walk-keys`);
  await page.getByRole('link', { name: 'Change list' }).click();
  const list = page.getByRole('region', { name: 'Steps' });
  const lines = list.getByRole('listitem');
  await expect(lines.nth(1)).toBeVisible();
  const count = await lines.count();
  await expect(page.getByRole('status').first()).toContainText(`0 of ${count} steps`);
  await lines.first().getByRole('checkbox').focus();
  await stored(page, /ticks$/, () => page.keyboard.press('Space'));
  await expect(page.getByRole('status').first()).toContainText(`1 of ${count} steps`);
  await reload(page);
  await expect(lines.first().getByRole('checkbox')).toBeChecked();
  await page.getByRole('button', { name: 'Start over' }).click();
  await expect(lines.first().getByRole('checkbox')).not.toBeChecked();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(lines.first().getByRole('checkbox')).toBeChecked();
  await open(page, '/sheets/tarnlight/factory-keys/changes?from=sheet-retouching');
  await expect(list.getByRole('heading')).toContainText('from Sheet retouching to Factory keys');
});
