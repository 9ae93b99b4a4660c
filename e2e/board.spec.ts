import { open, reload, stored } from './support/browser';
import { expect, type Page, test } from './support/test';

const tape = (page: Page) => page.getByRole('region', { name: 'Change tape' });
const bench = (page: Page) => page.getByRole('region', { name: 'Bench' });
const finderRow = (page: Page, name: string) => page.getByRole('option', { name: new RegExp(`^${name}`) });

test('find, press, read who holds the keys, take them, give the loser others, undo and redo both, keep, reload', async ({
  page,
  request,
}) => {
  const before = await (await request.get('/api/programs/tarnlight/file')).json();
  await open(page, '/board/tarnlight/factory-keys');
  // Two letters of the name, at the real keyboard.
  await page.keyboard.type('li');
  await expect(page.getByRole('option').first()).toContainText('Lift stain');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Alt+KeyW');
  await expect(bench(page)).toContainText('Stain mask (Mask › From color) holds');
  await expect(bench(page)).toContainText('Taking it leaves Stain mask with no key.');
  await page.keyboard.press('Enter');
  await expect(bench(page).getByRole('heading')).toHaveText('Stain mask');
  await expect(bench(page)).toContainText('Lift stain took the keys of Stain mask');
  await page.keyboard.press('Alt+KeyQ');
  await expect(bench(page)).toContainText('is free.');
  await page.keyboard.press('Enter');
  await expect(bench(page).getByRole('heading')).toHaveText('Lift stain');
  await expect(tape(page)).toContainText('2 tickets');

  const undo = page.getByRole('button', { name: 'Undo' });
  const redo = page.getByRole('button', { name: 'Redo', exact: true });
  await undo.click();
  await undo.click();
  await expect(tape(page)).toContainText('0 tickets');
  await expect(bench(page)).toContainText('F9');
  await page.getByRole('combobox').fill('');
  await page.getByRole('combobox').press('Control+Shift+Z');
  await expect(tape(page)).toContainText('1 ticket');
  await redo.click();
  await expect(tape(page)).toContainText('2 tickets');

  await page.getByRole('button', { name: 'Keep as new…' }).click();
  await page.getByLabel('Name', { exact: true }).fill('Morning desk');
  await page.getByLabel('Whose it is').fill('Plate retoucher');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('banner')).toContainText('Morning desk');
  await expect(page).toHaveURL(/tarnlight\/morning-desk/);

  await reload(page);
  await expect(page.getByRole('banner')).toContainText('kept');
  await expect(tape(page)).toContainText('2 tickets');
  await page.getByRole('combobox').fill('stain');
  await expect(finderRow(page, 'Lift stain')).toHaveAccessibleName(/, Alt\+W,/);
  await expect(finderRow(page, 'Stain mask')).toHaveAccessibleName(/, Alt\+Q,/);
  const after = await (await request.get('/api/programs/tarnlight/file')).json();
  expect(after.program).toEqual(before.program);
  const made = after.keymaps.find((one: { name: string }) => one.name === 'Morning desk');
  expect(made.bindings).toEqual({ 'lift-stain': ['Alt+W'], 'stain-mask': ['Alt+Q'] });
});

test('keys the browser keeps can be typed or clicked; turns, fixed keys and a second key are told apart', async ({
  page,
}) => {
  await open(page, '/board/nibshore/factory-keys/glaze');
  await page.getByRole('button', { name: 'Type them' }).click();
  await page.keyboard.type('Ctrl+W');
  await expect(bench(page)).toContainText('is free.');
  await page.keyboard.type('xyz');
  await expect(bench(page)).toContainText("We don't know a key called “Wxyz”.");
  await page.keyboard.press('Escape');

  const keyboard = page.getByRole('region', { name: 'Keyboard' });
  await keyboard.getByRole('button', { name: 'Shift', exact: true }).first().click();
  await keyboard.getByRole('button', { name: 'Ctrl+Shift+T: free' }).click();
  await expect(bench(page)).toContainText('is free.');
  await keyboard.getByRole('button', { name: /^Ctrl\+S:|^Ctrl\+Shift\+I: New ink layer/ }).click();
  await expect(bench(page)).toContainText('New ink layer');
  await page.getByRole('button', { name: 'Go to New ink layer' }).click();
  await expect(bench(page).getByRole('heading')).toHaveText('New ink layer');

  await open(page, '/board/nibshore/factory-keys/fan-brush');
  await page.getByLabel(/Press the keys/).press('KeyA');
  await expect(bench(page)).toContainText('Tools may share a key here');
  await page.getByRole('button', { name: 'Let them take turns' }).click();
  await expect(page).toHaveURL(/unnamed-keymap/);
  await expect(tape(page)).toContainText('Fan brush');
  await page.getByRole('button', { name: 'Type them' }).click();
  await page.keyboard.type('Esc');
  await expect(bench(page)).toContainText('The program itself keeps');
  await expect(page.getByRole('button', { name: 'Take it' })).toHaveCount(0);
  await page.keyboard.press('Control+A');
  await page.keyboard.type('Ctrl+Alt+F9');
  await page.getByRole('checkbox', { name: /as well/ }).check();
  await page.getByRole('button', { name: 'Use it for Fan brush' }).click();
  await expect(bench(page).getByRole('button', { name: /^Remove/ })).toHaveCount(2);
  await page.getByRole('button', { name: 'Remove A' }).click();
  await expect(bench(page).getByRole('button', { name: /^Remove/ })).toHaveCount(1);
  await page.getByRole('button', { name: /^More for Unnamed/ }).click();
  await page.getByRole('menuitem', { name: 'Discard the draft' }).click();
  await expect(page.getByText('3 undone')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Redo', exact: true })).toHaveAttribute('aria-disabled', 'false');
});

test('the finder filters and finds by menu; the keyboard follows the modifiers held and tapped', async ({ page }) => {
  await open(page, '/board/tarnlight/sheet-retouching');
  await page.getByRole('button', { name: /^Yours/ }).click();
  const yours = (await page.getByRole('button', { name: /^Yours/ }).textContent()) ?? '';
  await expect(page.getByRole('status').filter({ hasText: /^\d+ commands?$/ })).toHaveText(
    `${yours.replace(/\D/g, '')} commands`,
  );
  await page.getByRole('button', { name: /^All \d/ }).click();
  await page.getByRole('combobox').fill('from color green');
  await expect(page.getByRole('option').first()).toContainText('Green mask');
  await page.getByRole('combobox').fill('zzzz qqqq');
  await expect(page.getByText('Nothing here is called')).toBeVisible();
  await page.getByRole('button', { name: 'Show all commands' }).click();
  const layer = (name: string) => page.getByRole('group', { name: 'Layer shown:' }).getByRole('button', { name });
  await open(page, '/board/tarnlight/sheet-retouching');
  await page.keyboard.down('Alt');
  await expect(layer('Alt')).toHaveAttribute('aria-pressed', 'true');
  // Nobody holds these, or their holder would come onto the bench with its layer.
  await page.keyboard.press('Digit9');
  await page.keyboard.up('Alt');
  await expect(layer('Alt')).toHaveAttribute('aria-pressed', 'false');
  await page.keyboard.press('Shift');
  await expect(layer('Shift')).toHaveAttribute('aria-pressed', 'true');
  await page.keyboard.press('Shift');
  await expect(layer('Shift')).toHaveAttribute('aria-pressed', 'false');
});

test('two windows: what touches nothing changed elsewhere goes on, the rest is told, and both show what is stored', async ({
  page,
  context,
}) => {
  const give = async (window: Page, keys: string, name: string): Promise<void> => {
    await window.getByLabel(/Press the keys/).press(keys);
    const choice = window.getByRole('button', { name: new RegExp(`Use it for ${name}|^Take it$`) }).first();
    // By keyboard: what comes after the choices on a slow machine may move them from under a pointer.
    await stored(window, /edits$/, () => choice.press('Enter'));
  };
  await open(page, '/board/quillmoor/label-drawing/hatch');
  const [other, third] = [await context.newPage(), await context.newPage()];
  await open(other, '/board/quillmoor/label-drawing/dots');
  await open(third, '/board/quillmoor/label-drawing/hatch');
  await give(other, 'Alt+Shift+F11', 'Dots');
  await expect(tape(other)).toContainText('1 ticket');

  await give(page, 'Alt+Shift+F10', 'Hatch');
  await expect(tape(page)).toContainText('2 tickets');
  await expect(tape(page)).toContainText('Dots');
  await reload(page);
  await expect(tape(page)).toContainText('2 tickets');

  // This one gives keys to a command that has others by now.
  await give(third, 'Alt+Shift+F9', 'Hatch');
  await expect(third.getByText(/changed in another window/)).toBeVisible();
  await expect(tape(third)).toContainText('2 tickets');
  // The step is still on the bench, judged anew.
  await give(third, 'Alt+Shift+F9', 'Hatch');
  await expect(tape(third)).toContainText('3 tickets');
});

test('keeping changes and the tape: back to a ticket, forward again, a kept mark', async ({ page }) => {
  await open(page, '/board/tarnlight/packet-pictures/lift-foxing');
  for (const key of ['Alt+Shift+F2', 'Alt+Shift+F12']) {
    await page.getByLabel(/Press the keys/).press(key);
    await bench(page)
      .getByRole('button', { name: /Use it|^Take it$/ })
      .last()
      .click();
    await expect(page.getByLabel(/Press the keys/)).toHaveValue('');
  }
  await page.getByRole('button', { name: 'Keep changes' }).click();
  await expect(page.getByRole('banner')).toContainText('kept');
  // The ways along the tape are seen without being pointed at, and lie over nothing that is pressed for something else.
  const name = tape(page).getByRole('button', { name: 'Lift foxing', exact: true }).first();
  const back = tape(page)
    .getByRole('button', { name: /Back to here/ })
    .first();
  await page.mouse.move(5, 5);
  const [at, of] = [await back.boundingBox(), await name.boundingBox()];
  expect((of?.x ?? 999) + (of?.width ?? 0)).toBeLessThanOrEqual(at?.x ?? 0);
  await expect(back).toHaveCSS('opacity', '1');
  await back.focus();
  await page.keyboard.press('Enter');
  await expect(tape(page)).toContainText('1 undone');
  await expect(page.getByRole('banner')).toContainText('draft ·');
  await tape(page)
    .getByRole('button', { name: /Redo to here/ })
    .focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('banner')).toContainText('kept');
});
