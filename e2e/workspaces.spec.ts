import { readFileSync } from 'node:fs';
import { open } from './support/browser';
import { expect, type Locator, type Page, test } from './support/test';

type Room = {
  panels: unknown;
  menus: { hidden: string[]; marks: [string, string][] };
  tools: unknown;
  appearance: { brightness: number };
  keymap: number | null;
};
type View = { state: { room: Room; steps: string[]; cursor: number } };
const roomNow = async (page: Page, program = 'tarnlight'): Promise<Room> =>
  ((await (await page.request.get(`/api/programs/${program}/room`)).json()) as View).state.room;
/** Waits until all steps shown are stored, so many at least: a page that is opened before shows the room as it was. */
const stepsStored = (page: Page, least: number): Promise<void> =>
  expect(async () => {
    const shown = Number.parseInt((await steps(page).locator('strong').first().textContent()) ?? '', 10);
    expect(shown).toBeGreaterThanOrEqual(least);
    expect(((await (await page.request.get('/api/programs/tarnlight/room')).json()) as View).state.cursor).toBe(shown);
  }).toPass({ timeout: 60_000 });
const picture = (page: Page): Locator => page.getByRole('region', { name: /^The window of/ });
const steps = (page: Page): Locator => page.getByRole('region', { name: 'Steps' });
const part = (page: Page, name: string): Promise<void> => page.getByText(name, { exact: true }).first().click();
/** Drags something to the middle of a drop place, or of something that has none over it, as a hand does. */
async function drag(page: Page, from: Locator, to: Locator, place = true): Promise<void> {
  // A hand takes hold of what has come to rest.
  await from.hover();
  const [a, start] = [await from.boundingBox(), page.mouse];
  if (!a) throw new Error('Nothing to drag.');
  await start.move(a.x + a.width / 2, a.y + a.height / 2);
  await start.down();
  await start.move(a.x + a.width / 2 + 12, a.y + a.height / 2 + 12, { steps: 4 });
  // What is being dragged over may move while it makes room; the hand follows until it is there.
  await expect(async () => {
    const b = await to.boundingBox();
    if (!b) throw new Error('Nowhere to drag to.');
    await start.move(b.x + b.width / 2, b.y + b.height / 2, { steps: 8 });
    if (place) await expect(to).toHaveAttribute('data-aimed', 'true', { timeout: 1000 });
    else await expect(page.locator('[data-aimed]')).toHaveCount(0, { timeout: 1000 });
    // What was aimed at while places were still being measured is not let go on.
    await start.move(b.x + b.width / 2 + 1, b.y + b.height / 2 + 1);
    await page.evaluate(() => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done))));
    expect(await to.boundingBox()).toEqual(b);
    if (place) await expect(to).toHaveAttribute('data-aimed', 'true', { timeout: 1000 });
  }).toPass();
  await start.up();
}
const focused = (page: Page): Promise<string> =>
  page.evaluate(() => {
    const one = document.activeElement as HTMLElement | null;
    return one?.getAttribute('aria-label') ?? one?.textContent ?? '';
  });
/** Goes on with Tab until something with these words has the focus. */
async function tabTo(page: Page, words: RegExp): Promise<void> {
  for (let i = 0; i < 160; i++) {
    await page.keyboard.press('Tab');
    if (words.test(await focused(page))) return;
  }
  throw new Error(`Tab never came to ${words}.`);
}
const switchTo = async (page: Page, name: string): Promise<void> => {
  await page.getByRole('button', { name: new RegExp(`^(?:Switch|Back) to it \\(${name}`) }).click();
  await expect(page.getByText(new RegExp(`^Stands as ${name}$`))).toBeVisible();
};

test('a workspace is arranged by mouse: panels dragged, stacked, floated, sized; tools; a mark; appearance', async ({
  page,
}) => {
  await open(page, '/workspaces/tarnlight');
  await drag(page, picture(page).getByRole('tab', { name: 'Layers' }), page.locator('[data-spot="between left "]'));
  await expect(steps(page)).toContainText('Layers to the left dock');
  await drag(page, picture(page).getByRole('tab', { name: 'Finds' }), page.locator('[data-spot="onto layers"]'));
  await expect(steps(page)).toContainText('Finds to the stack of Layers');
  await drag(
    page,
    picture(page).getByRole('tab', { name: 'Lifts' }),
    picture(page).getByRole('img', { name: /^Sample picture/ }),
    false,
  );
  await expect(steps(page)).toContainText('Lifts to float');
  await page.getByRole('checkbox', { name: 'Notes' }).check();
  const border = page.getByRole('separator', { name: 'Width of the left dock' });
  const wide = Number(await border.getAttribute('aria-valuenow'));
  const box = await border.boundingBox();
  if (!box) throw new Error('No border.');
  await page.mouse.move(box.x + 3, box.y + 60);
  await page.mouse.down();
  await page.mouse.move(box.x + 60, box.y + 60, { steps: 6 });
  await page.mouse.up();
  await expect(border).not.toHaveAttribute('aria-valuenow', String(wide));
  await expect(steps(page)).toContainText('Size the left dock');
  await part(page, 'Tools and bars');
  await drag(
    page,
    page.locator('[data-button="crop-tool"]'),
    page.locator('[data-button="clone"]').locator('..').locator('[data-half="before"]'),
  );
  await expect(steps(page)).toContainText('Move Crop tool on the tool rail');
  await part(page, 'Menus');
  await page.getByRole('button', { name: 'Light', exact: true }).click();
  await page.getByRole('button', { name: 'Madder red' }).click();
  await page.getByRole('button', { name: 'Mark Levels in Madder' }).click();
  await part(page, 'Appearance');
  await page.getByLabel('Brightness').fill('25');
  await expect(steps(page)).toContainText('Brightness');
  await page.getByRole('button', { name: 'Keep as a workspace…' }).click();
  await page.getByRole('textbox', { name: 'Name' }).fill('By mouse');
  await page.getByRole('button', { name: 'Keep it', exact: true }).click();
  await expect(page.getByText('Stands as By mouse')).toBeVisible();
  const byMouse = await roomNow(page);
  expect(JSON.stringify(byMouse.panels)).toContain('"panels":["layers","finds"]');
  expect(byMouse.menus.marks).toEqual([['levels', 'madder']]);
  expect(byMouse.appearance.brightness).toBe(25);
  // It returns exactly, whatever was done since.
  await page.getByLabel('Brightness').fill('90');
  await expect.poll(async () => (await roomNow(page)).appearance.brightness).toBe(90);
  await switchTo(page, 'Mending');
  expect((await roomNow(page)).panels).not.toEqual(byMouse.panels);
  await switchTo(page, 'By mouse');
  expect(await roomNow(page)).toEqual(byMouse);
});

test('another is arranged by keyboard alone and kept with two of its parts', async ({ page }) => {
  await open(page, '/workspaces/tarnlight');
  // Tab comes to the tab that is shown; arrows go to those beside it.
  await tabTo(page, /^Layers$/);
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('ArrowLeft');
  expect(await focused(page)).toBe('Layers');
  await page.keyboard.press('Space');
  const said = page.getByRole('status').filter({ hasText: 'puts it there' });
  for (let i = 0; !(await said.textContent())?.includes('Alone in the left dock') && i < 20; i++)
    await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Enter');
  await expect(steps(page)).toContainText('Layers to the left dock');
  // The focus has gone with it, and Escape leaves what was begun.
  await expect.poll(() => focused(page)).toMatch(/^Layers/);
  await page.keyboard.press('Space');
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Escape');
  await tabTo(page, /^Height of the bottom dock|^Width of the right dock/);
  for (let i = 0; i < 4; i++) await page.keyboard.press('ArrowUp');
  await expect(steps(page)).toContainText(/Size the (?:bottom|right) dock/);
  await stepsStored(page, 2);
  await open(page, '/workspaces/tarnlight?show=tools');
  // Tab comes to the first button; arrows go to the others.
  await tabTo(page, /^Stain finder/);
  for (let i = 0; !/^Crop tool/.test(await focused(page)) && i < 60; i++) await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Space');
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Enter');
  await expect(steps(page)).toContainText('Move Crop tool on the tool rail');
  await expect.poll(() => focused(page)).toMatch(/^Crop tool/);
  await page.keyboard.press('ArrowLeft');
  await page.keyboard.press('Delete');
  await expect(steps(page)).toContainText(/Take .* off the tool rail/);
  await stepsStored(page, 4);
  await open(page, '/workspaces/tarnlight');
  await tabTo(page, /^Keep as a workspace…/);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog')).toBeVisible();
  await page.keyboard.type('By keyboard');
  await tabTo(page, /^$/);
  for (const name of ['Menus', 'Appearance', 'Keymap']) {
    await page.getByRole('dialog').getByRole('checkbox', { name }).focus();
    await page.keyboard.press('Space');
  }
  await tabTo(page, /^Keep it$/);
  await page.keyboard.press('Enter');
  await expect(page.getByText('Stands as By keyboard')).toBeVisible();
  // Switched to from elsewhere, it brings the two parts it has and leaves the others; one undo takes them back.
  const byKeyboard = await roomNow(page);
  await switchTo(page, 'Mending');
  const mending = await roomNow(page);
  expect(mending.panels).not.toEqual(byKeyboard.panels);
  expect(mending.appearance).not.toEqual(byKeyboard.appearance);
  await switchTo(page, 'By keyboard');
  expect(await roomNow(page)).toEqual({ ...mending, panels: byKeyboard.panels, tools: byKeyboard.tools });
  await page.keyboard.press('Control+KeyZ');
  await expect.poll(() => roomNow(page)).toEqual(mending);
});

test('the stand-in shows the workspace: bar, icons, marks, folded panels by their keys, appearance', async ({
  page,
}) => {
  await open(page, '/tryout/tarnlight/sheet-retouching');
  await page.getByRole('button', { name: /^Workspace:/ }).click();
  await page.getByRole('menuitem', { name: /^Switch to Mending/ }).click();
  await expect(page.getByRole('toolbar', { name: 'Button bar' })).toContainText('Lift stain');
  await expect(page.getByRole('tab', { name: 'Card check' })).toBeVisible();
  await page.getByRole('menuitem', { name: 'Light', exact: true }).click();
  await expect(page.locator('[data-command="levels"] [data-ink="madder"]')).toBeVisible();
  await page.keyboard.press('Escape');
  const before = await page.getByRole('application').evaluate((one) => getComputedStyle(one).backgroundColor);
  // Plain desk has no keymap and no menus: both stay; its one dock is folded.
  await page.getByRole('button', { name: /^Workspace:/ }).click();
  await page.getByRole('menuitem', { name: /^Switch to Plain desk/ }).click();
  await expect(page.getByRole('tab', { name: 'Card check' })).toHaveCount(0);
  const after = await page.getByRole('application').evaluate((one) => getComputedStyle(one).backgroundColor);
  expect(after).not.toBe(before);
  await page.getByRole('application').focus();
  await page.keyboard.press('F2');
  await expect(page.getByRole('tabpanel', { name: 'Layers' })).toBeVisible();
  await page.keyboard.press('F2');
  await expect(page.getByRole('tabpanel', { name: 'Layers' })).toHaveCount(0);
  await page.getByRole('menuitem', { name: 'Light', exact: true }).click();
  await expect(page.locator('[data-command="levels"] [data-ink="madder"]')).toBeVisible();
  // Marks print.
  await open(page, '/sheets/tarnlight/sheet-retouching?contents=all');
  await expect(page.getByText('Marks of menu lines')).toBeVisible();
});

test('workspaces are kept over with a version, shared as files, put away, and each person has a room', async ({
  page,
}) => {
  await open(page, '/workspaces/quillmoor');
  await page.getByRole('button', { name: /^For / }).click();
  await page.getByRole('menuitem', { name: 'Plate retoucher' }).click();
  await expect(page.getByRole('button', { name: /^For Plate retoucher/ })).toBeVisible();
  await switchTo(page, 'Labels');
  await page.getByRole('checkbox', { name: 'Notes' }).check();
  await expect(page.getByText('Stands as Labels, 1 part changed')).toBeVisible();
  await page.getByRole('button', { name: 'Keep as a workspace…' }).click();
  await expect(page.getByRole('dialog')).toContainText('Notes shown');
  await page.getByRole('button', { name: 'Keep over it' }).click();
  await page.getByRole('button', { name: 'Labels', exact: true }).click();
  await expect(page.getByRole('dialog')).toContainText('Make version 1 what it holds');
  await page.getByRole('button', { name: /^Make version 1/ }).click();
  await expect(page.getByRole('dialog')).toContainText('Notes hidden');
  await page.getByRole('button', { name: 'Close' }).click();
  // A file goes out and comes in.
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'More for Labels' }).click();
  await page.getByRole('menuitem', { name: 'Save as a file' }).click();
  const path = await (await download).path();
  expect(JSON.parse(readFileSync(path, 'utf8'))).toMatchObject({ format: 'gray-pin-workspaces' });
  await page.getByLabel('A file with workspaces').setInputFiles(path);
  await expect(page.getByText('Labels came in.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Labels', exact: true })).toHaveCount(2);
  await page.getByRole('button', { name: 'More for Labels' }).last().click();
  await page.getByRole('menuitem', { name: 'Put away' }).click();
  await expect(page.getByRole('button', { name: 'Labels', exact: true })).toHaveCount(1);
  await page.getByRole('button', { name: 'Bring it back' }).click();
  await expect(page.getByRole('button', { name: 'Labels', exact: true })).toHaveCount(2);
  // Back to factory says first what would change.
  await page.getByRole('button', { name: 'Back to factory…' }).click();
  await expect(page.getByRole('dialog')).toContainText('Objects');
  await page.getByRole('button', { name: 'Set them back' }).click();
  await expect(steps(page)).toContainText('Back to factory');
  // Somebody else finds a room of their own.
  await page.getByRole('button', { name: /^For Plate retoucher/ }).click();
  await page.getByRole('menuitem', { name: 'Packet painter' }).click();
  await expect(steps(page)).toContainText('0 steps');
});
