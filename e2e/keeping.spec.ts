import { open, reload } from './support/browser';
import { expect, type Page, test } from './support/test';
import { bringInWalk } from './support/walkProgram';

const bench = (page: Page) => page.getByRole('region', { name: 'Bench' });
const tape = (page: Page) => page.getByRole('region', { name: 'Change tape' });
const menu = async (page: Page, label: RegExp, item: string | RegExp): Promise<void> => {
  await page.getByRole('button', { name: label }).click();
  await page.getByRole('menuitem', { name: item }).click();
};
const use = async (page: Page, address: string, keys: string): Promise<void> => {
  await open(page, address);
  await page.getByLabel(/Press the keys/).press(keys);
  await bench(page).locator('[data-choice]').first().click();
  await expect(page.getByLabel(/Press the keys/)).toHaveValue('');
};

test('keepers, hooks and spares: marked, asked for, spent, and still there tomorrow', async ({ page, request }) => {
  const at = `/board/${await bringInWalk(request, 'Marks')}/walk-keys`;
  await open(page, `${at}/wash`);
  await page.getByRole('button', { name: 'Keeper: Alt+W' }).click();
  await expect(tape(page)).toContainText('keeper');
  await page.getByRole('button', { name: 'Memory hook for Alt+W' }).click();
  await page.keyboard.type('W for wash');
  await page.keyboard.press('Enter');
  await expect(bench(page)).toContainText('W for wash');
  // Taking a keeper asks twice, and can be left.
  await open(page, `${at}/mend`);
  await page.getByLabel(/Press the keys/).press('Alt+KeyW');
  await expect(bench(page)).toContainText('marked as a keeper');
  await page.getByRole('button', { name: 'Take it', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Leave it' }).last()).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(tape(page)).toContainText('2 tickets');
  // A whole menu is spare in one step; its keys are a pool to spend.
  await menu(page, /^More for Mend/, /^Mark all of Repair as spare/);
  const keyboard = page.getByRole('region', { name: 'Keyboard' });
  await expect(tape(page)).toContainText('3 tickets');
  await expect(keyboard).toContainText('Yours to spend:');
  await open(page, `${at}/bare`);
  await keyboard.locator('[data-tip="Press flat"]').first().click();
  await expect(bench(page)).toContainText('is spare, so these keys are yours to spend');
  await page.getByRole('button', { name: 'Take it', exact: true }).click();
  await expect(tape(page)).toContainText('4 tickets');
  await page.getByRole('button', { name: /^Spare/ }).click();
  await page
    .getByRole('button', { name: /^Keeper/ })
    .first()
    .click();
  await expect(page.getByRole('option')).toHaveText(/Wash/);
  await reload(page);
  await expect(tape(page)).toContainText('4 tickets');
});

test('a ticket is pulled from the middle, with what rests on it, and comes back with undo', async ({
  page,
  request,
}) => {
  const at = `/board/${await bringInWalk(request, 'Pulling')}/walk-keys`;
  await use(page, `${at}/wash`, 'F2');
  await use(page, `${at}/mend`, 'Shift+F3');
  await use(page, `${at}/gild`, 'Alt+KeyW');
  await expect(tape(page)).toContainText('3 tickets');
  const pull = (name: string) => tape(page).getByRole('button', { name: `Pull out (${name})` });
  await pull('Mend').focus();
  await page.keyboard.press('Enter');
  await expect(tape(page)).toContainText('4 tickets');
  await expect(tape(page)).toContainText('Pull out Mend');
  await pull('Wash').focus();
  await page.keyboard.press('Enter');
  // Gild took the keys that Wash had left.
  await expect(page.getByRole('dialog')).toContainText('1 later ticket');
  await expect(page.getByRole('dialog')).toContainText('Gild');
  await page.getByRole('button', { name: 'Pull out all 2' }).click();
  await expect(tape(page)).toContainText('5 tickets');
  await expect(page.getByRole('banner')).toContainText('kept');
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(tape(page)).toContainText('3 tickets');
  await open(page, `${at}/mend`);
  await expect(bench(page)).toContainText('F3');
});

test('kept versions, back to factory, comparing, locking', async ({ page, request }) => {
  const slug = await bringInWalk(request, 'Keeping');
  const at = `/board/${slug}/walk-keys`;
  await use(page, `${at}/mend`, 'Alt+KeyE');
  await page.getByRole('button', { name: 'Keep changes' }).click();
  await expect(page.getByRole('banner')).toContainText('kept');
  await use(page, `${at}/wash`, 'F9');
  await page.getByRole('button', { name: 'Keep changes' }).click();
  await expect(page.getByRole('banner')).toContainText('kept');

  await menu(page, /^More for Walk keys/, 'Kept versions…');
  const dialog = page.getByRole('dialog');
  await expect(dialog).toContainText('Version 3');
  await dialog.getByText('1 change').first().click();
  await expect(dialog).toContainText('Wash');
  await dialog.getByRole('button', { name: 'Go back to version 2' }).click();
  await expect(dialog).toContainText('Version 2');
  await dialog.getByRole('button', { name: 'Close' }).click();
  await expect(tape(page)).toContainText('Back to version 2');
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(tape(page)).toContainText('1 undone');

  // Mend's factory key is held by Wash now, who is named before it loses it.
  await open(page, `${at}/mend`);
  await menu(page, /^More for Mend/, 'Back to its factory keys');
  await expect(dialog).toContainText('Wash loses');
  await dialog.getByRole('button', { name: 'Set back to factory' }).click();
  await expect(bench(page)).toContainText('F9');
  await menu(page, /^More for Mend/, 'What happened to it…');
  await expect(dialog).toContainText('Mend back to factory');
  await dialog.getByRole('button', { name: 'Close' }).click();
  await menu(page, /^More for Walk keys/, 'Everything back to factory keys');
  await expect(tape(page)).toContainText('Everything back to factory');
  await page.getByRole('button', { name: 'Undo', exact: true }).click();

  await menu(page, /^More for Walk keys/, /^Compare/);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Keeping');
  await expect(page.getByRole('row', { name: /^Wash/ })).toContainText('Only at the left');
  await page.getByLabel('Keymap at the left').selectOption('walk-keys');
  await expect(page.getByText('the same keymap twice')).toBeVisible();

  await open(page, `${at}/mend`);
  await menu(page, /^More for Walk keys/, /^Lock/);
  await expect(page.getByRole('banner')).toContainText('locked');
  await page.getByLabel(/Press the keys/).press('F4');
  await bench(page).locator('[data-choice]').first().click();
  await expect(page.getByText(/is locked\. Unlock it first/)).toBeVisible();
  await reload(page);
  await menu(page, /^More for Walk keys/, 'Unlock');
  await page.getByLabel(/Press the keys/).press('F4');
  await bench(page).locator('[data-choice]').first().click();
  await expect(bench(page)).toContainText('F4');
});

test('finding by keys, by other words, by filters together; a key’s card; what is free', async ({ page }) => {
  await open(page, '/board/tarnlight/sheet-retouching');
  const search = page.getByRole('combobox');
  await search.press('Alt+KeyC');
  await expect(page.getByRole('option')).toHaveText(/^Card check/);
  await search.press('Escape');
  await page.getByRole('button', { name: 'Find by pressing keys' }).click();
  await search.press('KeyN');
  await expect(page.getByRole('option')).toHaveCount(2);
  await expect(page.getByRole('option').first()).toContainText('Clone');
  await page.getByRole('button', { name: 'Find by pressing keys' }).click();
  await search.fill('eyedropper');
  await expect(page.getByRole('option').first()).toContainText('Pick color');
  await search.fill('');
  await page.getByRole('button', { name: /^Spare 11/ }).click();
  await page.getByRole('button', { name: /^More filters/ }).click();
  await page.getByLabel('Light', { exact: true }).check();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('status').filter({ hasText: 'commands' })).toHaveText('8 commands');
  await page.getByRole('button', { name: /^All \d/ }).click();

  await open(page, '/board/tarnlight/sheet-retouching/lift-stain');
  const keyboard = page.getByRole('region', { name: 'Keyboard' });
  await keyboard.locator('[data-code="KeyQ"]').click({ button: 'right' });
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByRole('row', { name: /Alt\+Q/ }).first()).toContainText('Dust sweep');
  await expect(page).toHaveURL(/show=key%20KeyQ/);
  await dialog.getByRole('button', { name: 'Dust sweep' }).click();
  await expect(bench(page).getByRole('heading')).toHaveText('Dust sweep');
  await keyboard.getByRole('button', { name: 'What is free' }).click();
  const layer = page.getByRole('group', { name: 'Free keys by layer' }).getByRole('button', { name: /^Alt \d/ });
  await layer.click();
  const count = Number(/\d+/.exec((await layer.textContent()) ?? '')?.[0]);
  await expect(keyboard.locator('[data-free="true"]')).toHaveCount(count);
  expect(count).toBeGreaterThan(0);
  await bench(page)
    .getByRole('button', { name: /^After it/ })
    .click();
  await expect(bench(page).getByRole('heading')).toHaveText('Lift stain');
});
