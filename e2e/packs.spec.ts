import { readFileSync } from 'node:fs';
import { open, stored } from './support/browser';
import { expect, test } from './support/test';

test('a pack is made of a ticket’s changes, saved, put on a colleague’s keymap by keyboard, and pulled off again', async ({
  page,
  request,
}) => {
  await open(page, '/shelf/packs/tarnlight/sheet-retouching');
  for (const name of ['Stain mask', 'Loupe', 'Full sheet', 'New layer', 'Curves'])
    await page.getByRole('checkbox', { name, exact: true }).press('Space');
  await expect(page.getByRole('status').filter({ hasText: 'chosen' })).toContainText('5 of ');
  await page.getByLabel('Name of the pack').fill('Five good ones');
  const download = page.waitForEvent('download');
  await page.getByLabel('Name of the pack').press('Enter');
  const text = readFileSync(await (await download).path(), 'utf8');

  const file = async () => {
    const { keymaps } = await (await request.get('/api/programs/tarnlight/file')).json();
    const { bindings, spares } = keymaps.find((one: { name: string }) => one.name === 'Packet pictures');
    return { bindings, spares };
  };
  const before = await file();
  await open(page, '/shelf/packs/tarnlight/packet-pictures');
  await page.setInputFiles('input[type=file]', {
    name: 'five.json',
    mimeType: 'application/json',
    buffer: Buffer.from(text),
  });
  const lines = page.getByRole('region', { name: 'Lines of the pack' });
  await expect(lines.getByRole('row')).toHaveCount(6);
  await stored(page, /edits/, () => page.getByRole('button', { name: 'Put it on' }).press('Enter'));
  await expect(page.getByRole('region', { name: 'On this keymap' })).toContainText('Five good ones');
  expect((await file()).bindings).toMatchObject({ 'stain-mask': ['Alt+D'], curves: ['Mod+E'] });
  await stored(page, /edits/, () => page.getByRole('button', { name: 'Pull Five good ones off' }).press('Enter'));
  await expect(page.getByText('No pack was put on it yet')).toBeVisible();
  expect(await file()).toEqual(before);
});
