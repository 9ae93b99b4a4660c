import { readFileSync } from 'node:fs';
import { parse } from 'ini';
import { open } from './support/browser';
import { expect, type Page, test } from './support/test';

/** A program that takes its keys from settings as another package reads them, and nothing that is not spelled as it spells. */
function keysOfProgram(text: string): Record<string, readonly string[]> {
  const WORD = /^(?:[a-z\d]|f\d{1,2}|page_up|page_down|comma|period|space)$/;
  const sections = parse(text) as Record<string, Record<string, string>>;
  return Object.fromEntries(
    Object.values(sections).flatMap((section) =>
      Object.entries(section).map(([name, value]): [string, string[]] => {
        const all = value === '' ? [] : value.split(', ');
        for (const keys of all) {
          const parts = keys.split('+');
          const held = parts.slice(0, -1);
          const inOrder = ['ctrl', 'alt', 'shift'].filter((one) => held.includes(one));
          if (held.join() !== inOrder.join() || !WORD.test(parts.at(-1) ?? '')) throw new Error(`What is ${keys}?`);
        }
        return [name, all];
      }),
    ),
  );
}
const FILE = `; keys of a press for ferns, read when it starts
[sheet]
fold_sheet = ctrl+f
lift_leaf = ctrl+shift+l   ; both hands
press_flat = alt+p, f9
turn_sheet = f5

[plate]
# warm_plate = ctrl+w
one_plate_back = ctrl+page_up
smaller_drop = comma
larger_drop = period
wipe_plate =`;

/** Gives a command keys on the Board, whoever has them. */
async function give(page: Page, name: string, keys: string): Promise<void> {
  await page.getByRole('combobox').fill(name);
  await page.getByRole('combobox').press('Enter');
  await expect(page.getByRole('region', { name: 'Bench' }).getByRole('heading')).toHaveText(name);
  const field = page.getByLabel(/Press the keys/);
  await field.press(keys);
  await page.locator('[data-choice]').first().click();
  await expect(field).toHaveValue('');
}

test('five keys that are changed on the Board are in the file that is saved, as another reader finds them', async ({
  page,
}) => {
  await open(page, '/shelf/bring-in');
  await page.setInputFiles('input[type=file]', {
    name: 'fern.conf',
    mimeType: 'text/plain',
    buffer: Buffer.from(FILE),
  });
  await page.getByLabel('Name of the program').fill('Fern press');
  await page.getByRole('button', { name: 'Put it on the Shelf' }).click();
  await page.waitForURL(/\/shelf\/fern-press/);
  await open(page, '/board/fern-press/factory-keys');
  await give(page, 'fold_sheet', 'Alt+KeyA');
  await give(page, 'lift_leaf', 'Control+Alt+PageUp');
  await give(page, 'turn_sheet', 'F8');
  await give(page, 'wipe_plate', 'Control+PageDown');
  await give(page, 'smaller_drop', 'KeyQ');
  await page.getByRole('button', { name: 'More for Unnamed keymap' }).click();
  await page.getByRole('menuitem', { name: 'Save for Fern press…' }).click();
  await expect(page.getByRole('heading', { name: 'Write it back' })).toBeVisible();
  const told = page.getByRole('region', { name: 'What becomes of the file' });
  await expect(told).toContainText('Read back: 9 of 9 as wanted');
  await expect(told.getByRole('button', { name: 'Lines that change 5' })).toHaveAttribute('aria-pressed', 'true');
  // A word that the file does not have is guessed by its family, and confirmed by keyboard.
  await told.getByLabel('PgDn').focus();
  await page.keyboard.press('Enter');
  await expect(told.getByText(/Guessed/)).toHaveCount(0);
  const download = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Save the file' }).click();
  const saved = await download;
  expect(saved.suggestedFilename()).toBe('fern.conf');
  const text = readFileSync(await saved.path(), 'utf8');
  expect(keysOfProgram(text)).toEqual({
    ...keysOfProgram(FILE),
    fold_sheet: ['alt+a'],
    lift_leaf: ['ctrl+alt+page_up'],
    turn_sheet: ['f8'],
    wipe_plate: ['ctrl+page_down'],
    smaller_drop: ['q'],
  });
  const [before, after] = [FILE.split('\n'), text.split('\n')];
  expect(after.filter((line, i) => line !== before[i])).toHaveLength(5);
  expect(text).toContain('lift_leaf = ctrl+alt+page_up   ; both hands');
});

test('a keymap of the demo goes into its file; a newer copy is given; what has no file says so', async ({ page }) => {
  await open(page, '/sheets/tarnlight/sheet-retouching/write');
  await expect(page.getByText(/Read back: (\d+) of \1 as wanted/)).toBeVisible();
  await page.getByRole('button', { name: /^Whole file/ }).click();
  await expect(page.getByRole('list', { name: /Lines as they are/ })).toContainText('# Keys of Tarnlight 4.2');
  await page.getByLabel('A newer copy of the file').setInputFiles({
    name: 'tarnlight-keys.conf',
    mimeType: 'text/plain',
    buffer: Buffer.from(readFileSync('demo/tarnlight-keys.conf', 'utf8').replace('4.2', '4.2.1')),
  });
  await page.waitForURL(/write\?file=\d+/);
  await expect(page.getByRole('banner')).toContainText('tarnlight-keys.conf, given');
  await expect(page.getByText(/Read back: (\d+) of \1 as wanted/)).toBeVisible();
  await open(page, '/sheets/nibshore/my-painting-hand/write');
  await expect(page.getByRole('button', { name: 'Choose the file…' })).toBeVisible();
  await expect(page.getByText('Save the file')).toHaveCount(0);
});

test('a form of one’s own is written, seen as it comes out, kept with the program, put away and back', async ({
  page,
}) => {
  await open(page, '/sheets/quillmoor/label-drawing/form');
  const out = page.getByRole('region', { name: 'The file as it comes out' });
  await expect(out).toContainText('# Quillmoor: Label drawing');
  await page.getByLabel('Name of the form').fill('For the press');
  await page.getByLabel('Template').fill('{{#bound}}\n{{keys}} -> {{id}}\n{{/bound}}');
  await expect(out).toContainText(/ctrl\+\w -> /);
  await page.getByLabel('Joined by').fill('-');
  await expect(out).toContainText(/ctrl-\w -> /);
  await page.getByLabel('Template').fill('{{#bound}}{{keys}}');
  await expect(out.getByRole('alert')).toContainText('is never closed');
  await expect(page.getByRole('button', { name: 'Save the file' })).toBeDisabled();
  await page.getByLabel('Template').fill('{{#bound}}\n{{keys}} -> {{id}}\n{{/bound}}');
  await page.getByRole('button', { name: 'Keep with Quillmoor' }).click();
  await page.waitForURL(/form\?form=\d+/);
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save the file' }).click();
  const text = readFileSync(await (await download).path(), 'utf8');
  expect(
    text
      .split('\n')
      .filter((line) => line !== '')
      .every((line) => / -> [\w-]+$/.test(line)),
  ).toBe(true);
  await page.getByRole('button', { name: 'Another form' }).click();
  await page.getByRole('menuitem', { name: 'Put this form away' }).click();
  await page.waitForURL(/\/form$/);
  await expect(page.getByRole('button', { name: 'Keep with Quillmoor' })).toBeVisible();
  await page.getByRole('button', { name: 'Another form' }).click();
  await page.getByRole('menuitem', { name: 'Bring back For the press' }).click();
  await page.getByRole('button', { name: 'Another form' }).click();
  await page.getByRole('menuitem', { name: 'For the press', exact: true }).click();
  await expect(page.getByLabel('Template')).toHaveValue(/-> \{\{id\}\}/);
});
