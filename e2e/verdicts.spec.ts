import type { ChoiceKind } from '../src/core/clash/choices';
import { VERDICT_STEPS } from '../src/core/testing/verdictSteps';
import { open } from './support/browser';
import { expect, type Page, test } from './support/test';
import { bringInWalk, US } from './support/walkProgram';
import { walkVerdict } from './support/walkVerdict';

const bench = (page: Page) => page.getByRole('region', { name: 'Bench' });

/** One with several choices and one without; screens/board.test.tsx walks every verdict, verdictTable.test.ts every choice. */
const WALKED: readonly (readonly [command: string, keys: string, made: readonly ChoiceKind[]])[] = [
  ['mend', 'Alt+W', ['take and give', 'take and move', 'swap']],
  ['mend', 'Esc', []],
];

for (const [command, keys, made] of WALKED)
  test(`${keys} for ${command}: the verdict says so, ${made.join(', ') || 'nothing'} can be chosen and undone`, async ({
    page,
    request,
  }) => {
    const step = VERDICT_STEPS.find((one) => one.command === command && one.keys === keys);
    if (!step) throw new Error('There is no such step.');
    await walkVerdict(page, request, step, made);
  });

test('a French keyboard is chosen and told about; German, Dvorak and Japanese presses give what is printed there', async ({
  page,
  request,
}) => {
  const slug = await bringInWalk(request, 'Keyboards');
  await open(page, `/board/${slug}/walk-keys/mend`);
  await page.getByRole('button', { name: /^Keyboard:/ }).click();
  await page.getByLabel('Language layout').fill('French');
  await page.getByRole('option', { name: 'French AZERTY', exact: true }).click();
  await expect(page.getByRole('img', { name: 'French AZERTY keyboard, ISO, full' })).toBeVisible();
  await page.getByText('Keep where the fingers go').click();
  // Alt+W, Ctrl+Z and Q stand on keys that print Z, W and A there.
  await expect(page.getByRole('dialog').getByRole('status')).toContainText('3 change');
  await page.getByText('Keep the letters').click();
  await page.getByRole('button', { name: 'Use this keyboard' }).click();
  const field = page.getByLabel(/Press the keys/);
  await field.press('Control+Alt+Digit0');
  await expect(bench(page)).toContainText('Ctrl and Alt together are AltGr: with the key à they type @ instead.');
  await page.getByRole('button', { name: 'Type them' }).click();
  await page.keyboard.type('Ctrl+]');
  await expect(bench(page)).toContainText('] stands behind AltGr');
  const presses: [string, string, string, string][] = [
    ['de', 'iso', 'Control+KeyY', 'Ctrl+Z'],
    ['dvorak', 'ansi', 'Control+KeyS', 'Ctrl+O'],
    ['jp', 'jis', 'Control+BracketLeft', 'Ctrl+@'],
    ['fr', 'iso', 'Control+KeyQ', 'Ctrl+A'],
  ];
  for (const [layout, shape, keys, chord] of presses) {
    await request.patch('/api/settings', { data: { ...US, layout, shape } });
    await open(page, `/board/${slug}/walk-keys/mend`);
    await page.getByLabel(/Press the keys/).press(keys);
    await expect(page.getByLabel(/Press the keys/)).toHaveValue(chord);
  }
});
