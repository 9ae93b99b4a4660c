import { open, still, stored } from './support/browser';
import { expect, test } from './support/test';

test('a dialog has its place in the history, and several notices stand at once, each with its undo', async ({
  page,
}) => {
  await open(page, '/shelf');
  await page.getByRole('button', { name: 'More for Packet pictures of Tarnlight' }).click();
  await page.getByRole('menuitem', { name: 'Rename…' }).click();
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByLabel('Name')).toBeFocused();
  await page.goBack();
  await expect(dialog).toHaveCount(0);
  await expect(page).toHaveURL(/\/shelf$/);

  // What a field can't take, it says by itself.
  await page.getByRole('button', { name: 'More for Packet pictures of Tarnlight' }).click();
  await page.getByRole('menuitem', { name: 'Rename…' }).click();
  await dialog.getByLabel('Name').fill(' ');
  await dialog.getByRole('button', { name: 'Rename it' }).click();
  await expect(dialog.getByLabel('Name')).toHaveAttribute('aria-invalid', 'true');
  await expect(dialog).toContainText('Give it a name.');
  await dialog.getByLabel('Name').fill('Packets');
  await stored(page, /keymaps/, () => dialog.getByRole('button', { name: 'Rename it' }).click());
  await expect(dialog).toHaveCount(0);
  await expect(page.getByRole('link', { name: 'Packets', exact: true })).toBeVisible();

  for (const name of ['Packets of Tarnlight', 'My painting hand of Nibshore']) {
    await page.getByRole('button', { name: `More for ${name}` }).click();
    await stored(page, /keymaps/, () => page.getByRole('menuitem', { name: 'Put away' }).click());
  }
  const notice = (name: string) => page.getByRole('alert').filter({ hasText: `${name} is put away.` });
  await expect(notice('My painting hand')).toBeVisible();
  await notice('Packets').getByRole('button', { name: 'Bring it back' }).click();
  await expect(page.getByRole('link', { name: 'Packets', exact: true })).toBeVisible();
  await expect(notice('Packets')).toHaveCount(0);
  await expect(page.getByRole('link', { name: 'My painting hand', exact: true })).toHaveCount(0);
});

test('tips come to the focus and to a finger that rests, and Escape takes them away', async ({ page }) => {
  await open(page, '/board/tarnlight/sheet-retouching/lift-stain');
  const tip = page.getByRole('tooltip');
  await page.getByRole('button', { name: /^Remove Ctrl/ }).focus();
  await page.keyboard.press('Shift+Tab');
  await expect(tip).toHaveText('Note what these keys remind of');
  await page.keyboard.press('Escape');
  await expect(tip).toHaveCount(0);
  await page.locator('[data-code="KeyA"]').hover();
  await expect(tip).toHaveText('Smaller brush');
  await page.getByRole('heading', { name: 'Lift stain' }).hover();
  await expect(tip).toHaveCount(0);
  await page.locator('[data-code="KeyA"]').dispatchEvent('pointerdown', { pointerType: 'touch', bubbles: true });
  await expect(tip).toHaveText('Smaller brush');
});

test('a finger alone: a command found, keys tapped, taken, the ticket gone back over, settings chosen', async ({
  browser,
  baseURL,
}) => {
  const context = await browser.newContext({
    ...(baseURL ? { baseURL } : {}),
    hasTouch: true,
    viewport: { width: 1280, height: 800 },
  });
  const page = await context.newPage();
  await open(page, '/board/nibshore/my-painting-hand');
  await page.getByRole('button', { name: /^No key/ }).tap();
  await expect(page.getByRole('button', { name: /^No key/ })).toHaveAttribute('aria-pressed', 'true');
  await page.getByRole('option').first().tap();
  const bench = page.getByRole('region', { name: 'Bench' });
  await page.getByRole('group', { name: 'Layer shown:' }).getByRole('button', { name: 'Alt' }).tap();
  await page.locator('[data-code="KeyJ"]').tap();
  await expect(bench.locator('[data-verdict]')).not.toHaveAttribute('data-verdict', 'none');
  await bench.locator('[data-choice]').first().tap();
  const tape = page.getByRole('region', { name: 'Change tape' });
  await expect(tape).toContainText(/[1-9]\d* tickets?/);
  await page.getByRole('button', { name: 'Undo', exact: true }).tap();
  await expect(tape).toContainText('1 undone');
  await tape.getByRole('button', { name: /^Redo to here/ }).tap();
  await expect(tape).not.toContainText('undone');
  await page.getByRole('button', { name: /^More filters/ }).tap();
  await page.getByRole('checkbox', { name: 'tool', exact: true }).tap();
  await expect(page.getByRole('checkbox', { name: 'tool', exact: true })).toBeChecked();
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Lamp' }).tap();
  await stored(page, /settings/, () => page.getByRole('button', { name: 'Dim', exact: true }).tap());
  await expect(page.locator('html')).toHaveAttribute('data-lamp', 'dim');
  await context.close();
});

test('pressed and unpressed differ where a person has colors of their own', async ({ browser, baseURL }) => {
  const context = await browser.newContext({ ...(baseURL ? { baseURL } : {}), forcedColors: 'active' });
  const page = await context.newPage();
  const look = (name: string | RegExp) =>
    page
      .getByRole('button', { name })
      .first()
      .evaluate((one) => getComputedStyle(one).backgroundColor);
  await open(page, '/board/tarnlight/sheet-retouching');
  await still(page);
  expect(await look(/^All \d/)).not.toBe(await look(/^No key/));
  await open(page, '/workspaces/tarnlight');
  await still(page);
  expect(await look('Panels')).not.toBe(await look('Menus'));
  await context.close();
});
