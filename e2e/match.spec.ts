import { execFileSync } from 'node:child_process';
import type { KeymapView } from '../src/core/keymap/keymapView';
import { open, reload } from './support/browser';
import { type APIRequestContext, expect, type Locator, type Page, test } from './support/test';

const tape = (page: Page) => page.getByRole('region', { name: 'Change tape' });
const list = (page: Page, name: string) => page.getByRole('list', { name, exact: true });
const line = (page: Page, name: string) =>
  page.locator('[data-theirs]').filter({ has: page.getByText(name, { exact: true }) });
const show = (page: Page, name: string) => press(page.getByRole('button', { name: new RegExp(`^${name} \\d+$`) }));
/** The figures that the screen says: how many answer alike now and afterwards, and of how many. */
const figures = async (page: Page): Promise<readonly number[]> => {
  const big = page.locator('[data-before]');
  return Promise.all(['data-before', 'data-after', 'data-all'].map(async (one) => Number(await big.getAttribute(one))));
};
/** What the page shows is worked out for things as they stand. */
const settled = (page: Page) => expect(page.locator('[data-ms]:not([data-stale])')).toBeVisible();
/** Works a control by keyboard alone. */
const press = async (control: Locator, key = 'Enter'): Promise<void> => {
  await control.focus();
  await expect(control).toBeFocused();
  await control.press(key);
};
const viewOf = async (request: APIRequestContext, id: number): Promise<KeymapView> =>
  (await request.get(`/api/keymaps/${id}/view`)).json() as Promise<KeymapView>;
/** The number of a keymap, found by looking at one after the other. */
const idOf = async (request: APIRequestContext, program: string, keymap: string): Promise<number> => {
  for (let id = 1; ; id++) {
    const answer = await request.get(`/api/keymaps/${id}/view`);
    if (!answer.ok()) throw new Error(`There is no ${program}/${keymap}.`);
    const { programSlug, draft } = (await answer.json()) as KeymapView;
    if (programSlug === program && draft.slug === keymap) return id;
  }
};

test('Tarnlight is made to feel like Nibshore by keyboard: settled by hand, on the tape, undone as one, redone, kept, clean', async ({
  page,
  request,
}) => {
  await open(page, '/match/tarnlight/factory-keys?like=nibshore%2Fmy-painting-hand');
  await settled(page);
  const [before, first, all] = await figures(page);
  expect(first).toBeGreaterThan(before as number);

  // Counterparts: one is confirmed, one corrected, one has none.
  await show(page, 'Check');
  await press(page.getByRole('button', { name: 'Yes, Packet details is Sheet details' }));
  // What was said may teach more than that.
  await expect.poll(async () => (await figures(page))[2] as number).toBeGreaterThan(all as number);
  // The line is gone; the focus is on the one that stands in its place.
  await expect(list(page, 'Check').locator(':focus')).toHaveCount(1);
  await press(page.getByRole('button', { name: 'Choose the counterpart of Fill with color' }));
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByRole('searchbox')).toBeFocused();
  await page.keyboard.type('fill with gr');
  await press(dialog.getByRole('button', { name: /^Fill with ground/ }));
  await expect(dialog).toHaveCount(0);
  await press(page.getByRole('button', { name: 'Choose the counterpart of Open as reference' }));
  await press(dialog.getByRole('button', { name: 'No counterpart' }));
  await expect(line(page, 'Open as reference')).toHaveCount(0);
  await settled(page);

  // Lines: one stays as it is, one gets other keys.
  await show(page, 'Carries over');
  await expect(line(page, 'Fill with color')).toContainText('Fill with ground');
  const copy = line(page, 'Save step');
  await press(copy.getByRole('button', { name: 'Keep mine' }), 'Space');
  await expect(list(page, 'Carries over').getByText('Save step')).toHaveCount(0);
  const turns = line(page, 'Preferences');
  await press(turns.getByRole('button', { name: 'Other key', exact: true }), 'Space');
  await expect(dialog.getByLabel(/^Press the keys you want for/)).toBeFocused();
  await page.keyboard.press('Alt+Shift+KeyO');
  await expect(dialog.getByRole('status')).toContainText(/These keys are free|has these keys/);
  await page.keyboard.press('Enter');
  await expect(turns.getByRole('button', { name: 'Other key', exact: true })).toHaveAttribute('aria-pressed', 'true');
  await settled(page);
  await show(page, 'Stays as it is');
  await expect(line(page, 'Save step')).toContainText('settled by you');

  // What is the same there need not stay so: the desktop takes these keys before any program.
  await show(page, 'Already the same');
  await press(page.getByRole('button', { name: 'Other keys for History' }));
  await page.keyboard.press('Alt+Equal');
  await page.keyboard.press('Enter');
  await expect(line(page, 'History')).toHaveCount(0);
  await settled(page);

  // Who loses keys gets others; two of them are settled by hand and the rest is solved again.
  const knockOns = page.getByRole('region', { name: 'Knock-on changes' });
  await expect(knockOns.getByRole('listitem').nth(3)).toBeVisible();
  const [one, two] = await Promise.all(
    [0, 1].map((i) => knockOns.getByRole('listitem').nth(i).getAttribute('data-command')),
  );
  const card = (id: string | null | undefined) => knockOns.locator(`[data-command="${id}"]`);
  await press(card(one).getByRole('button', { name: /^No key for/ }));
  await expect(card(one)).toContainText('no key');
  await expect(card(one).locator(':focus')).toHaveCount(1);
  await press(card(two).getByRole('button', { name: /^Press other keys for/ }));
  await page.keyboard.press('Control+Alt+Shift+F9');
  await press(dialog.getByRole('button', { name: 'Take these keys' }));
  await expect(card(two).locator('kbd').last()).toHaveText('F9');
  await settled(page);

  const [, after] = await figures(page);
  const put = page.getByRole('button', { name: /^Put \d+ changes on the tape$/ });
  const changes = Number(/\d+/.exec((await put.textContent()) ?? '')?.[0]);
  await press(put);
  await expect(tape(page)).toContainText('1 ticket');
  await expect(page).not.toHaveURL(/factory-keys\?/);
  await expect.poll(async () => (await figures(page))[0]).toBe(after);
  await expect(page.getByRole('button', { name: 'Nothing to put on the tape' })).toBeDisabled();
  await press(tape(page).getByRole('button', { name: /^Feel like Nibshore/ }));
  await expect(dialog.getByRole('listitem')).toHaveCount(changes);
  await page.keyboard.press('Escape');
  await press(page.getByRole('button', { name: 'Undo', exact: true }));
  await expect.poll(async () => (await figures(page))[0]).toBe(before);
  await press(page.getByRole('button', { name: 'Redo', exact: true }));
  await expect.poll(async () => (await figures(page))[0]).toBe(after);

  // What was settled is still there tomorrow.
  await reload(page);
  await settled(page);
  await show(page, 'Stays as it is');
  await expect(line(page, 'Save step')).toContainText('settled by you');

  // Counted by another route: both keymaps as the server has them, the counterparts as said, and a loop.
  const address = new URL(page.url()).pathname.split('/');
  const [mine, theirs] = await Promise.all([
    viewOf(request, await idOf(request, 'tarnlight', address[3] ?? '')),
    viewOf(request, await idOf(request, 'nibshore', 'my-painting-hand')),
  ]);
  const given = {
    mine,
    theirs,
    said: [
      ['Sheet details', 'Packet details'],
      ['Fill with ground', 'Fill with color'],
    ],
    alone: ['Open as reference'],
  };
  const counted = execFileSync(process.execPath, ['--import', 'tsx', 'e2e/support/countAlike.ts'], {
    input: JSON.stringify(given),
    encoding: 'utf8',
  });
  const [same, both] = JSON.parse(counted) as [number, number];
  expect(both).toBeGreaterThan(80);
  await expect.poll(() => figures(page)).toEqual([same, same, both]);
  await expect(page.locator('[data-before]')).toContainText(`${Math.round((100 * same) / both)} %`);

  await open(page, `/board/tarnlight/${address[3]}`);
  await press(page.getByRole('button', { name: 'Keep as new…' }));
  await page.getByRole('textbox', { name: 'Name' }).fill('Like painting');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('banner').getByRole('status')).toHaveText('kept');
  await press(page.getByRole('button', { name: /^Check/ }));
  await expect(dialog).toContainText('Nothing is wrong in this keymap');
});
