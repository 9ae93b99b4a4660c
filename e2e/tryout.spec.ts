import { open } from './support/browser';
import { expect, type Page, test } from './support/test';
import { bringInWalk } from './support/walkProgram';

const stage = (page: Page) => page.getByRole('application');
const latest = (page: Page) => page.getByRole('log').getByRole('listitem').first();
/** Which command fired last; null where nothing did. */
const firedNow = (page: Page) => latest(page).getAttribute('data-fired');

test('keys do in the stand-in what they would do, or it says why not', async ({ page, request }) => {
  const slug = await bringInWalk(request, 'Tried');
  await open(page, `/tryout/${slug}/walk-keys`);
  await expect(stage(page)).toBeFocused();
  await page.keyboard.press('F9');
  await expect(latest(page)).toContainText('Mend');
  await expect(latest(page)).toContainText('heard everywhere');
  await page.keyboard.press('Shift+F9');
  await expect(latest(page)).toContainText('nobody has these keys. Nearest:');
  await page.keyboard.press('Escape');
  await expect(latest(page)).toContainText('The program keeps these keys: it leaves a tool.');
  // A sequence waits for its second keys.
  await page.keyboard.press('Control+KeyK');
  await expect(page.getByRole('status').last()).toContainText('waits for the second keys');
  await page.keyboard.press('Control+KeyS');
  await expect(latest(page)).toContainText('Two steps');
  // Held keys act while they are held.
  await page.keyboard.down('Space');
  await expect(page.getByText('While held: Slide')).toBeVisible();
  await page.keyboard.up('Space');
  await expect(page.getByText('While held: Slide')).toHaveCount(0);
  // What is heard over the canvas alone is not heard elsewhere.
  await page.keyboard.press('KeyQ');
  await expect(latest(page)).toContainText('Dot');
  await page.getByRole('radio', { name: 'everywhere' }).check();
  await stage(page).focus();
  await page.keyboard.press('KeyQ');
  await expect(latest(page)).toContainText('Dot is heard only over the canvas.');
});

test('a new key from the Board stands in the menu and works without a reload; a line leads to the bench and back', async ({
  page,
  request,
}) => {
  const slug = await bringInWalk(request, 'There and back');
  await open(page, `/board/${slug}/walk-keys/bare`);
  await page.evaluate(() => {
    (window as unknown as { stays: boolean }).stays = true;
  });
  await page.getByLabel(/Press the keys/).press('Alt+KeyB');
  await page.getByLabel(/Press the keys/).press('Enter');
  await expect(page.getByRole('region', { name: 'Change tape' })).toContainText('1 ticket');
  await page.getByRole('button', { name: 'More for Walk keys' }).click();
  await page.getByRole('menuitem', { name: 'Try it out' }).click();
  await expect(stage(page)).toBeFocused();
  await page.getByRole('menuitem', { name: 'Look', exact: true }).click();
  await expect(page.locator('[data-command="bare"] kbd')).toHaveText(['Alt', 'B']);
  await page.keyboard.press('Escape');
  await stage(page).focus();
  await page.keyboard.press('Alt+KeyB');
  await expect.poll(() => firedNow(page)).toBe('bare');
  await latest(page).getByRole('link', { name: 'Change the keys of Bare' }).click();
  await expect(page).toHaveURL(/\/board\/.*\/bare$/);
  expect(await page.evaluate(() => (window as unknown as { stays?: boolean }).stays)).toBe(true);
});

test('menus are walked by keyboard alone, and a tool that was only held gives way again', async ({ page }) => {
  await page.clock.install();
  await open(page, '/tryout/tarnlight/factory-keys');
  await page.getByRole('menuitem', { name: 'Sheet', exact: true }).focus();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('ArrowDown');
  const menu = page.getByRole('menu', { name: 'Find' });
  await expect(menu.getByRole('menuitem', { name: 'Find stains', exact: true })).toBeFocused();
  await page.keyboard.type('dro');
  await expect(menu.getByRole('menuitem', { name: 'Drop find', exact: true })).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(menu).toHaveCount(0);
  await expect(latest(page)).toContainText('Drop find');
  const tools = page.getByRole('toolbar', { name: 'Tools' });
  const first = await tools.locator('[aria-pressed=true]').getAttribute('data-tool');
  // Its drawer is shut, and opens with it.
  const other = tools.getByRole('button', { name: /^Zoom tool, U/ });
  await expect(other).toHaveCount(0);
  await page.keyboard.down('KeyU');
  await expect(other).toHaveAttribute('aria-pressed', 'true');
  // Held for longer than a press is.
  await page.clock.fastForward(350);
  await page.keyboard.up('KeyU');
  await expect(tools.locator(`[data-tool="${first}"]`)).toHaveAttribute('aria-pressed', 'true');
});

test('panels tell of the picture and of what is done: layers, finds, colors picked, readings under the pointer', async ({
  page,
}) => {
  await open(page, '/tryout/tarnlight/factory-keys');
  const call = async (menu: string, line: string): Promise<void> => {
    await page.getByRole('menuitem', { name: menu, exact: true }).click();
    await page.getByRole('menu', { name: menu }).getByRole('menuitem', { name: line, exact: true }).click();
  };
  const panel = (name: string) => page.getByRole('tabpanel', { name });
  const picture = page.getByRole('img', { name: /^Sample picture/ });
  const shapes = await picture.locator('path').count();
  await call('Layer', 'Hide layer');
  await expect(panel('Layers')).toContainText('Leaves hidden');
  // Eighteen leaves are gone from the picture.
  await expect(picture.locator('path')).toHaveCount(shapes - 18);
  await call('Find', 'Find foxing');
  await expect(panel('Finds')).toContainText('Foxing1 ×');
  await page.getByRole('button', { name: 'Readout', exact: true }).click();
  const box = await picture.boundingBox();
  if (!box) throw new Error('No picture.');
  const [x, y] = [box.x + (246 / 420) * box.width, box.y + (32 / 300) * box.height];
  await page.mouse.move(x, y);
  await expect(panel('Readout')).toContainText('Across246 mmDown32 mm');
  // What is picked from the picture is in hand.
  const jar = page.getByRole('img', { name: /^Color in hand/ });
  const before = await jar.getAttribute('aria-label');
  await page.keyboard.press('KeyW');
  await expect(page.getByRole('button', { name: 'Pick color, W' })).toHaveAttribute('aria-pressed', 'true');
  await page.mouse.click(x, y);
  await expect(jar).not.toHaveAttribute('aria-label', before ?? '');
});
