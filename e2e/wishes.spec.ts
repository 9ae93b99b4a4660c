import { open, reload, stored } from './support/browser';
import { expect, type Locator, type Page, test } from './support/test';
import { bringInWalk } from './support/walkProgram';

const tape = (page: Page) => page.getByRole('region', { name: 'Change tape' });
const plan = (page: Page) => page.getByRole('list', { name: 'Plan' });
const line = (page: Page, name: string) => plan(page).getByRole('listitem').filter({ hasText: name });
const capsIn = async (one: Locator) => (await one.locator('kbd').allTextContents()).join(' ');
const keysAfter = (one: Locator) => capsIn(one.locator('[data-after]'));
/** Works a control by keyboard alone. */
const press = async (control: Locator, key = 'Enter'): Promise<void> => {
  await control.focus();
  await expect(control).toBeFocused();
  await control.press(key);
};
/** The plan is for the list as it stands. */
const settled = (page: Page) => expect(page.locator('[data-ms]')).toHaveText(/Proven: no other|A good answer/);

const WISHES = [
  'History',
  'Lift stain',
  'Open previous sheet',
  'Soften mask edge',
  'Grow mask',
  'Shrink mask',
  'Raise layer',
  'Duplicate layer',
  'Close tear',
  'Lift foxing',
  'Lift thread',
  'Patch from clipboard',
  'Paste mask',
  'Mask from finds',
  'Warmth layer',
  'Tone map layer',
  'Light by mask',
  'Shade by mask',
  'Opacity 30 %',
  'Opacity 60 %',
];

test('twenty wishes by keyboard: planned, pinned, ruled out, on the tape, undone as one, redone, kept, clean', async ({
  page,
}) => {
  await open(page, '/wishes/tarnlight/factory-keys');
  const search = page.getByLabel('Find commands to wish for');
  for (const name of WISHES) {
    await search.fill(name);
    const box = page.getByRole('checkbox', { name: new RegExp(`^${name}`) }).first();
    await press(box, 'Space');
    await expect(box).toBeChecked();
  }
  await expect(page.getByText(/^20 wishes: 20 get new keys\./)).toBeVisible();
  await settled(page);
  await expect(plan(page).getByRole('listitem')).toHaveCount(20);
  await expect(line(page, 'History')).toContainText('can’t be relied on');

  // One line is pinned; another's keys are ruled out, and all is solved again around both.
  const pinned = await keysAfter(line(page, 'Lift stain'));
  await press(page.getByRole('button', { name: /^Pin Lift stain/ }));
  await expect(line(page, 'Lift stain')).toContainText('Pinned by you');
  const before = await keysAfter(line(page, 'Close tear'));
  await press(page.getByRole('button', { name: /^Rule out .* for Close tear/ }));
  await expect(line(page, 'Close tear')).toContainText('Ruled out:');
  await settled(page);
  expect(await keysAfter(line(page, 'Close tear'))).not.toBe(before);
  expect(await keysAfter(line(page, 'Lift stain'))).toBe(pinned);
  const wanted = new Map<string, string>();
  for (const name of WISHES) wanted.set(name, await keysAfter(line(page, name).first()));

  // What it brings is reckoned from the same plan.
  await press(page.getByRole('button', { name: 'What it brings' }));
  const brings = page.getByRole('region', { name: 'What it brings' });
  await expect(brings).toContainText(/\d+\.\d less with the plan/);
  await press(brings.getByRole('button', { name: /^as a table/ }).first());
  await expect(brings.getByRole('table').getByRole('row')).toHaveCount(11);
  await press(page.getByRole('button', { name: 'The plan' }));

  await press(page.getByRole('button', { name: 'Put it on the tape' }));
  await expect(tape(page)).toContainText('1 ticket');
  await expect(page).not.toHaveURL(/factory-keys/);
  await expect(page.getByText('20 wishes: this plan is on the tape.')).toBeVisible();
  // The ticket opens into its lines.
  await press(tape(page).getByRole('button', { name: /^Wish list: keys for 20 commands/ }));
  await expect(page.getByRole('dialog').getByRole('listitem')).toHaveCount(20);
  await page.keyboard.press('Escape');
  await press(page.getByRole('button', { name: 'Undo', exact: true }));
  await expect(page.getByText(/^20 wishes: 20 get new keys\./)).toBeVisible();
  await expect(tape(page)).toContainText('1 undone');
  await press(page.getByRole('button', { name: 'Redo', exact: true }));
  await expect(page.getByText('20 wishes: this plan is on the tape.')).toBeVisible();

  // The list, its pin and what was ruled out are still there tomorrow.
  await reload(page);
  await expect(page.getByText('20 wishes: this plan is on the tape.')).toBeVisible();
  await expect(page.getByRole('button', { name: /^Pin Lift stain/ })).toHaveAttribute('aria-pressed', 'true');
  await press(page.getByRole('link', { name: 'Back to the Board' }));
  await press(page.getByRole('button', { name: 'Keep as new…' }));
  await page.getByRole('textbox', { name: 'Name' }).fill('Wished');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('banner').getByRole('status')).toHaveText('kept');
  await press(page.getByRole('button', { name: /^Check/ }));
  await expect(page.getByRole('dialog')).toContainText('Nothing is wrong in this keymap');
  await page.keyboard.press('Escape');
  // Every command has the keys that the plan said.
  for (const name of ['Lift stain', 'Close tear', 'Opacity 60 %']) {
    await page.getByRole('combobox').fill(name);
    await expect(page.getByRole('option').first().locator('kbd').first()).toBeVisible();
    expect(await capsIn(page.getByRole('option').first())).toBe(wanted.get(name));
  }
});

test('the bench says how keys are reached and what would be best; the keyboard, the filter and the check list, too', async ({
  page,
  request,
}) => {
  const slug = await bringInWalk(request, 'Reach');
  await open(page, `/board/${slug}/walk-keys/far`);
  const bench = page.getByRole('region', { name: 'Bench' });
  const field = page.getByLabel(/Press the keys/);
  await field.press('F9');
  await expect(bench.locator('[data-reach]')).toContainText('Easier than now');
  await field.press('Shift+F8');
  await expect(bench).toContainText('Best to have:');
  await field.press('Escape');
  await bench.getByText('Best to have:').locator('..').getByRole('button').first().click();
  await expect(bench.locator('[data-kind="free"]')).toBeVisible();
  const keyboard = page.getByRole('region', { name: 'Keyboard' });
  await keyboard.getByRole('button', { name: 'Reach', exact: true }).click();
  await expect(keyboard.getByRole('button', { name: /reach 0\.\d\d$/ }).first()).toBeVisible();
  const figureOf = async (code: string) =>
    Number(/[\d.]+$/.exec((await keyboard.locator(`[data-code="${code}"]`).getAttribute('aria-label')) ?? '')?.[0]);
  expect(await figureOf('KeyD')).toBeLessThan(await figureOf('KeyP'));
  // With the other hand free it is the other way around.
  await page.getByRole('button', { name: /^Keyboard: / }).click();
  await page.getByRole('dialog').getByText('Right', { exact: true }).click();
  await page.keyboard.press('Escape');
  await expect.poll(async () => (await figureOf('KeyD')) > (await figureOf('KeyP'))).toBe(true);
  await request.patch('/api/settings', { data: { hand: 'left' } });
  await reload(page);
  await page.getByRole('button', { name: /^More filters/ }).click();
  await page.getByLabel(/^hard to reach \([1-9]/).check();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('option').first()).toBeVisible();
  await expect(page.getByRole('button', { name: /^Hard to reach \d/ })).toHaveAttribute('aria-pressed', 'true');
});

test('what is used often and lies far stands in the check list with an easier key', async ({ page, request }) => {
  const slug = await bringInWalk(request, 'Far');
  await open(page, `/wishes/${slug}/walk-keys`);
  await page.getByLabel('Uses a day of Far').fill('60');
  await stored(page, /uses$/, () => page.getByLabel('Uses a day of Far').press('Enter'));
  await open(page, `/board/${slug}/walk-keys/far?show=check`);
  const far = page.getByRole('dialog').locator('[data-kind="hard to reach"][data-command="far"]');
  await expect(far).toContainText('used about 60 times a day');
  await far.getByRole('button', { name: /^Move it to/ }).click();
  await expect(far).toHaveCount(0);
  await page.keyboard.press('Escape');
  await expect(tape(page)).toContainText('1 ticket');
});
