import { readFileSync } from 'node:fs';
import { runScript } from '../scripts/server.mjs';
import { open, reload } from './support/browser';
import { expect, type Page, test } from './support/test';

const card = (page: Page, name: string) =>
  page.getByRole('listitem').filter({ has: page.getByRole('link', { name, exact: true }) });

test('duplicate, rename, put away, bring back', async ({ page }) => {
  await open(page, '/shelf/nibshore');
  await page.getByRole('button', { name: 'More for My painting hand of Nibshore' }).click();
  await page.getByRole('menuitem', { name: 'Duplicate…' }).click();
  await page.getByLabel('Name', { exact: true }).fill('Quick hand');
  await page.getByRole('button', { name: 'Make the copy' }).click();
  await expect(card(page, 'Quick hand')).toContainText('25 yours');
  await page.getByRole('button', { name: 'More for Quick hand of Nibshore' }).click();
  await page.getByRole('menuitem', { name: 'Rename…' }).click();
  await page.getByLabel('Name', { exact: true }).fill('');
  await page.getByRole('button', { name: 'Rename it' }).click();
  await expect(page.getByText('Give it a name.')).toBeVisible();
  await page.getByLabel('Name', { exact: true }).fill('Quicker hand');
  await page.getByRole('button', { name: 'Rename it' }).click();
  await expect(card(page, 'Quicker hand')).toBeVisible();
  await page.getByRole('button', { name: 'More for Quicker hand of Nibshore' }).click();
  await page.getByRole('menuitem', { name: 'Put away' }).click();
  await expect(card(page, 'Quicker hand')).toHaveCount(0);
  await reload(page);
  await page.getByRole('button', { name: 'Bring back Quicker hand' }).click();
  await expect(card(page, 'Quicker hand')).toBeVisible();
  await page.getByRole('button', { name: 'More for Nibshore' }).click();
  await page.getByRole('menuitem', { name: 'Put away' }).click();
  await expect(page.getByRole('heading', { name: 'Nibshore' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Bring it back' }).click();
  await expect(page.getByRole('heading', { name: 'Nibshore' })).toBeVisible();
});

test('everything is saved as one file, which restoring takes', async ({ page }, info) => {
  await open(page, '/shelf');
  const coming = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Save everything…' }).click();
  const saved = await coming;
  expect(saved.suggestedFilename()).toMatch(/^Gray Pin \d{4}-\d{2}-\d{2}\.sqlite$/);
  const [file, data] = [info.outputPath('saved.sqlite'), info.outputPath('data')];
  await saved.saveAs(file);
  runScript('restore.ts', [file], { GRAY_PIN_DATA: data });
  expect(readFileSync(`${data}/gray-pin.sqlite`)).toEqual(readFileSync(file));
});

for (const [file, name, commands, odd] of [
  [
    'headings.html',
    'Copperlamp 3',
    13,
    ['Looks like a footnote', 'needs the mouse or pen', 'There is no name in this row'],
  ],
  ['nested.html', 'New program', 14, ["We don't know a key called “Frobnicate”", 'Looks like a footnote']],
  ['german.html', 'Tastenliste', 11, ['There is no name in this row']],
] as const) {
  test(`a web page of five tables becomes a program: ${file}`, async ({ page, request }) => {
    await open(page, '/shelf/bring-in');
    await page.setInputFiles('input[type=file]', `src/core/reading/fixtures/${file}`);
    await expect(page.getByRole('status').filter({ hasText: 'web page' })).toContainText(`${commands} commands`);
    const rows = page.getByRole('table', { name: 'Rows as they were understood' });
    for (const reason of odd) {
      const kind = /^(?:Looks|There)/.test(reason) ? /^Left out/ : /^With a remark/;
      await page.getByRole('button', { name: kind }).click();
      await expect(rows).toContainText(reason);
    }
    await expect(page.getByLabel('Name of the program')).toHaveValue(name);
    await page.getByLabel('Name of the program').fill(`From ${file}`);
    await page.getByRole('button', { name: 'Put it on the Shelf' }).click();
    await expect(page.getByRole('heading', { name: `From ${file}` })).toBeVisible();
    const slug = new URL(page.url()).pathname.split('/').pop();
    const made = await (await request.get(`/api/programs/${slug}/file`)).json();
    expect(made.program.commands).toHaveLength(commands);
  });
}

test('a program travels with its keymaps as a file, whatever the file is called', async ({ page }) => {
  await open(page, '/shelf');
  await page.getByRole('button', { name: 'More for Quillmoor' }).click();
  const download = page.waitForEvent('download');
  await page.getByRole('menuitem', { name: 'Export as a file' }).click();
  const text = readFileSync(await (await download).path(), 'utf8');
  await open(page, '/shelf/bring-in');
  await page.setInputFiles('input[type=file]', {
    name: 'holiday.txt',
    mimeType: 'text/plain',
    buffer: Buffer.from(text),
  });
  await expect(page.getByText('This is a Gray Pin file')).toBeVisible();
  await expect(page.getByText('Label drawing')).toBeVisible();
  await page.getByLabel('Name of the program').fill('Quillmoor at home');
  await page.getByRole('button', { name: 'Put it on the Shelf' }).click();
  await expect(page.getByRole('heading', { name: 'Quillmoor at home' })).toBeVisible();
  const again = await (await page.request.get('/api/programs/quillmoor-at-home/file')).json();
  const first = JSON.parse(text);
  expect(again).toEqual({ ...first, program: { ...first.program, name: 'Quillmoor at home' } });
});

test('a list in no form that is known is read as one line of it is shown, by keyboard alone, and so is the next', async ({
  page,
  request,
}) => {
  const list = 'src/core/reading/fixtures/otherwise.txt';
  await open(page, '/shelf/bring-in');
  await page.setInputFiles('input[type=file]', list);
  await page.getByRole('button', { name: /^Read wrongly/ }).press('Enter');
  await page.getByRole('button', { name: /when Alt\+Q is down/ }).press('Enter');
  await expect(page.getByRole('status')).toContainText('12 lines are read as commands, 12 of them with keys');
  // The name is said to be its last word alone, then what it is.
  const line = page.getByRole('textbox', { name: /^Draw over/ });
  await line.press('End');
  for (const _ of 'again') await line.press('Shift+ArrowLeft');
  await line.press('Enter');
  await expect(
    page
      .getByRole('strong')
      .filter({ hasText: /^again$/ })
      .first(),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Name', exact: true }).press('Enter');
  await line.press('End');
  for (const _ of 'sweep dust again') await line.press('Shift+ArrowLeft');
  await line.press('Enter');
  await page.getByRole('button', { name: /^Some lines are written otherwise/ }).press('Enter');
  await page.getByRole('textbox', { name: 'Find in the file' }).fill('masks');
  await page.getByRole('button', { name: /^All lines/ }).press('Enter');
  await page.getByRole('button', { name: /-- masks/ }).press('Enter');
  await page.getByRole('button', { name: 'Menu or group' }).press('Enter');
  await line.press('End');
  for (const _ of 'masks') await line.press('Shift+ArrowLeft');
  await line.press('Enter');
  await expect(page.getByRole('status')).toContainText('12 lines are read as commands');
  await page.getByRole('button', { name: 'Read it this way' }).press('Enter');
  const rows = page.getByRole('table', { name: 'Rows as they were understood' });
  await expect(rows).toContainText('mask the paper');
  await expect(rows.getByRole('row', { name: /true size/ })).toContainText('view');
  await page.getByLabel('Name of the program').fill('Shown by a line');
  await page.getByRole('button', { name: 'Put it on the Shelf' }).press('Enter');
  await expect(page.getByRole('heading', { name: 'Shown by a line' })).toBeVisible();
  const slug = new URL(page.url()).pathname.split('/').pop();
  const made = await (await request.get(`/api/programs/${slug}/file`)).json();
  expect(made.program.commands).toHaveLength(12);
  expect(made.program.commands.at(-1)).toMatchObject({ name: 'farther', path: ['view'] });
  await open(page, '/shelf/bring-in');
  await page.setInputFiles('input[type=file]', list);
  await expect(page.getByText('Read as you had the list of Shown by a line read before.')).toBeVisible();
  await expect(page.getByRole('status')).toContainText('12 commands');
});
