import { open } from './support/browser';
import { expect, type Page, test } from './support/test';

const bench = (page: Page) => page.getByRole('region', { name: 'Bench' });

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
  await expect(page.getByRole('status').filter({ hasText: /^\d+ commands?$/ })).toHaveText('8 commands');
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
