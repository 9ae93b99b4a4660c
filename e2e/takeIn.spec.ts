import { asOnLaptop } from '../src/server/testing/asOnLaptop';
import { open } from './support/browser';
import { expect, test } from './support/test';

test('everything of another computer is looked at, taken in by keyboard beside what is here, and does nothing again', async ({
  page,
  request,
}) => {
  const saved = await (await request.get('/api/everything')).body();
  const file = {
    name: 'laptop.sqlite',
    mimeType: 'application/vnd.sqlite3',
    buffer: Buffer.from(await asOnLaptop(saved)),
  };
  const keymaps = async (program: string): Promise<string[]> =>
    (await (await request.get(`/api/programs/${program}/file`)).json()).keymaps.map(
      (one: { name: string }) => one.name,
    );
  const before = await keymaps('tarnlight');
  await open(page, '/shelf');
  await page.getByRole('link', { name: 'Take everything in…' }).press('Enter');
  await page.getByText('From another computer').waitFor();
  await page.setInputFiles('input[type=file]', file);
  await expect(page.getByRole('rowheader', { name: /^Sheet retouching/ })).toBeVisible();
  await page.getByLabel('What the other computer is called').fill('laptop');
  await page.getByLabel('What the other computer is called').press('Enter');
  await expect(page.getByText('as “Sheet retouching (laptop)”')).toBeVisible();
  const labels = page.getByRole('group', { name: 'What becomes of Label drawing' });
  await labels.getByRole('button', { name: 'Go on here as there' }).press('Space');
  await expect(page.getByText('Goes on here as there;')).toBeVisible();
  expect(await keymaps('tarnlight')).toEqual(before);
  await page.getByRole('button', { name: 'Take it in' }).press('Enter');
  await page.waitForURL('**/shelf');
  await expect(page.getByRole('heading', { name: 'Sheet retouching (laptop)' })).toBeVisible();
  expect(await keymaps('tarnlight')).toEqual([...before, 'Sheet retouching (laptop)', 'Packets, left hand']);
  expect(await keymaps('quillmoor')).toEqual(['Label drawing']);
  await open(page, '/shelf/take-in');
  await page.setInputFiles('input[type=file]', file);
  await expect(page.getByText('All that is in this file is here already')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Take it in' })).toBeDisabled();
});
