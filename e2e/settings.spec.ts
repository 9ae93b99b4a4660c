import { open, reload, stored } from './support/browser';
import { expect, test } from './support/test';

test('lamp, text size and notation are kept', async ({ page }) => {
  await open(page, '/board/tarnlight/sheet-retouching/lift-stain');
  await page.getByRole('button', { name: 'Lamp' }).click();
  for (const choice of ['Dim', 'Largest', 'Command'])
    await stored(page, '/api/settings', () => page.getByText(choice, { exact: true }).click());
  await reload(page);
  await expect(page.locator('html')).toHaveAttribute('data-lamp', 'dim');
  await expect(page.locator('html')).toHaveAttribute('data-text', 'largest');
  await expect(page.getByRole('region', { name: 'Bench' })).toContainText('Command');
  const [wide, high] = await page.evaluate(() => [
    document.documentElement.scrollWidth,
    document.documentElement.scrollHeight,
  ]);
  expect([wide, high]).toEqual([1280, 800]);
});
