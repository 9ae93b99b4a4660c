import { expect, type Page, test } from '@playwright/test';
import { open } from './browser';
import { DESKTOP_PRESSES, playwrightKeys } from './pressing';
import { bringInWalk } from './walkProgram';

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
  await open(page, '/tryout/tarnlight/factory-keys');
  await page.getByRole('menuitem', { name: 'File', exact: true }).focus();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('ArrowDown');
  const menu = page.getByRole('menu', { name: 'Select' });
  await expect(menu.getByRole('menuitem', { name: 'All', exact: true })).toBeFocused();
  await page.keyboard.type('inv');
  await expect(menu.getByRole('menuitem', { name: 'Invert selection', exact: true })).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(menu).toHaveCount(0);
  await expect(latest(page)).toContainText('Invert selection');
  const tools = page.getByRole('toolbar', { name: 'Tools' });
  const first = await tools.locator('[aria-pressed=true]').getAttribute('data-tool');
  const other = tools.getByRole('button', { name: /^Zoom tool, / });
  const key = /, (\w)/.exec((await other.getAttribute('aria-label')) ?? '')?.[1] ?? '';
  await page.keyboard.down(`Key${key}`);
  await expect(other).toHaveAttribute('aria-pressed', 'true');
  await page.waitForTimeout(350);
  await page.keyboard.up(`Key${key}`);
  await expect(tools.locator(`[data-tool="${first}"]`)).toHaveAttribute('aria-pressed', 'true');
});

test('every binding of each demo keymap, pressed, fires the command it is bound to', async ({ page, request }) => {
  test.setTimeout(600_000);
  let pressed = 0;
  for (let id = 1; ; id++) {
    const answer = await request.get(`/api/keymaps/${id}/view`);
    if (!answer.ok()) break;
    const { programSlug, program, draft, bindings } = await answer.json();
    if (!/^(?:tarnlight|nibshore|quillmoor)$/.test(programSlug)) continue;
    await open(page, `/tryout/${programSlug}/${draft.slug}`);
    const of = new Map<string, { kind: string; context: string; path: string[] }>(
      program.commands.map((one: { id: string }) => [one.id, one]),
    );
    // What the ticker says is gathered on the page, so that pressing is not held up by reading.
    await page.evaluate(() => {
      const shared = window as unknown as { ticked: (string | null)[][] };
      shared.ticked = [];
      let last = 0;
      new MutationObserver(() => {
        const items = [...document.querySelectorAll<HTMLElement>('[role=log] li')];
        const fresh = items.filter((one) => Number(one.dataset.number) > last).reverse();
        for (const one of fresh) {
          last = Number(one.dataset.number);
          shared.ticked.push([one.dataset.fired ?? null, one.dataset.kind ?? null]);
        }
      }).observe(document.querySelector('[aria-label="What fired"]') as Element, { childList: true, subtree: true });
    });
    for (const { id: context, name } of program.contexts as { id: string; name: string }[]) {
      const own = (bindings as [string, string][]).filter(([command]) => of.get(command)?.context === context);
      if (own.length === 0) continue;
      await page.getByRole('radio', { name, exact: true }).check();
      await stage(page).focus();
      for (const [command, chord] of own) {
        const keys = playwrightKeys(chord);
        if (keys === null) continue;
        // Those who share a key answer in turn: as many presses as there are of them reach each once.
        const sharing = own.filter(([other, one]) => one === chord && of.get(other)?.kind === 'tool').length;
        const before = await page.evaluate(() => (window as unknown as { ticked: unknown[] }).ticked.length);
        for (let turn = 0; turn < Math.max(1, sharing); turn++) await page.keyboard.press(keys);
        const said = await page.evaluate(
          (from) => (window as unknown as { ticked: (string | null)[][] }).ticked.slice(from),
          before,
        );
        const taken = said.some(([, kind]) => kind === 'taken by the desktop');
        expect([command, chord, taken]).toEqual([command, chord, DESKTOP_PRESSES.has(chord)]);
        if (!taken)
          expect([command, chord, said.map(([fired]) => fired)]).toEqual([
            command,
            chord,
            expect.arrayContaining([command]),
          ]);
        // A short press of keys that also act while held does both, the press last.
        if (!taken && sharing < 2 && !chord.startsWith('hold:')) expect(said.at(-1)?.[0]).toBe(command);
        pressed++;
        if (/^(?:menu item|script)$/.test(of.get(command)?.kind ?? '') && (await page.getByRole('dialog').isVisible()))
          await page.keyboard.press('Escape');
      }
    }
  }
  test.info().annotations.push({ type: 'bindings pressed', description: `${pressed}` });
  console.log(`${pressed} bindings pressed`);
  expect(pressed).toBeGreaterThan(1000);
});
