import { open } from './support/browser';
import { expect, test } from './support/test';

test('a keyboard alone: from the Shelf to a changed key, kept, and its sheet', async ({ page }) => {
  await open(page, '/shelf');
  const tabTo = async (matches: (text: string) => boolean): Promise<void> => {
    for (let i = 0; i < 120; i++) {
      await page.keyboard.press('Tab');
      const text = await page.evaluate(() => {
        const at = document.activeElement;
        return `${at?.getAttribute('data-code') ?? ''} ${at?.getAttribute('aria-label') ?? ''} ${at?.textContent ?? ''}`.trim();
      });
      if (matches(text)) return;
    }
    throw new Error('Never got there with Tab.');
  };
  await tabTo((text) => text === 'Packet pictures');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('combobox')).toBeFocused();
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('PageDown');
  await page.keyboard.press('ArrowUp');
  await expect(page.getByRole('option', { selected: true })).toHaveCount(1);
  await page.keyboard.type('scan lines');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Alt+Shift+Control+KeyL');
  await expect(page.getByRole('region', { name: 'Bench' })).toContainText(/is free|holds/);
  // The press field never catches a keyboard: Tab goes on, Esc goes back to the list.
  await tabTo((text) => /^(Use it|Take it)/.test(text));
  await page.keyboard.press('Enter');
  await expect(page.getByRole('region', { name: 'Change tape' })).toContainText('Lift scan lines');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('combobox')).toBeFocused();
  // Going to the bench and back leaves the arrow keys with the list.
  await page.keyboard.press('Enter');
  await expect(page.getByLabel(/Press the keys/)).toBeFocused();
  await page.keyboard.press('Escape');
  await page.getByRole('combobox').fill('');
  const before = await page.getByRole('option', { selected: true }).textContent();
  await page.keyboard.press('ArrowDown');
  await expect(page.getByRole('option', { selected: true })).not.toHaveText(before ?? '');
  await expect(page.getByRole('combobox')).toBeFocused();
  await tabTo((text) => /^Key[A-Z] /.test(text));
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('region', { name: 'Bench' }).locator('[data-verdict]')).not.toHaveAttribute(
    'data-verdict',
    'none',
  );
  await page.keyboard.press('Shift+Tab');
  // The check list, the card of a key and what is free, by keyboard alone.
  await open(page, '/board');
  await tabTo((text) => /^Check/.test(text));
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog')).toContainText(/to look at|Nothing is wrong/);
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await tabTo((text) => text === 'What is free');
  await page.keyboard.press('Space');
  await tabTo((text) => /^All of /.test(text));
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog')).toContainText('What they do');
  await page.keyboard.press('Escape');
  await tabTo((text) => /^Keyboard:/.test(text));
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog')).toContainText('Language layout');
  await page.keyboard.press('Escape');
  await open(page, '/board');
  await tabTo((text) => text === 'Keep changes');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('banner')).toContainText('kept');
  await open(page, '/sheets');
  await tabTo((text) => text.startsWith('Save as PDF'));
  await tabTo((text) => text === 'Print');
});
