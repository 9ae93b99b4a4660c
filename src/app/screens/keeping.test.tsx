// @vitest-environment jsdom
import { cleanup, fireEvent, screen, within } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { loadKeymapView } from '@/server/useCases/screens';
import { onScreens, openPage } from '../testing/openPage';
import {
  button,
  choose,
  click,
  clickIn,
  dialog,
  field,
  press,
  region,
  said,
  until,
  untilIs,
  WAIT,
} from '../testing/touch';
import { bringInWalk, giveKeys, heldIn } from '../testing/walkPrograms';

vi.mock('next/navigation', () => import('../testing/navigation'));
vi.mock('next/server', () => import('../testing/navigation'));
vi.mock('comlink', () => import('../testing/workersHere'));
onScreens(900);

const bench = () => screen.getByRole('region', { name: 'Bench' });
const tape = () => screen.getByRole('region', { name: 'Change tape' }).textContent ?? '';
const bar = () => screen.getByRole('banner').textContent ?? '';
const nothingToKeep = () => until(() => (screen.getByText('Keep changes') as HTMLButtonElement).disabled);
const tickets = (number: number) => until(() => tape().includes(number === 1 ? '1 ticket' : `${number} tickets`));
const viewOf = (slug: string) => loadKeymapView(slug, 'walk-keys');
async function use(address: string, key: string, code: string, held: object = {}): Promise<void> {
  cleanup();
  await openPage(address);
  const on = (await field(/^Press the keys/)) as HTMLInputElement;
  press(on, key, code, held);
  await until(() => bench().querySelector('[data-choice]'));
  fireEvent.click(bench().querySelector('[data-choice]') as Element);
  await until(
    () => (screen.queryByRole('textbox', { name: /^Press the keys/ }) as HTMLInputElement | null)?.value === '',
  );
}
const show = async (address: string): Promise<void> => {
  cleanup();
  await openPage(address);
  await button('Undo');
};

describe('a keymap is kept', () => {
  it('version by version: what each changed is said, and the way back is a ticket', async () => {
    const slug = await bringInWalk('Versions');
    const at = `/board/${slug}/walk-keys`;
    await use(`${at}/mend`, 'e', 'KeyE', { altKey: true });
    await tickets(1);
    await click('Keep changes');
    await nothingToKeep();
    await use(`${at}/wash`, 'F9', 'F9');
    await tickets(2);
    await click('Keep changes');
    await nothingToKeep();
    await choose(/^More for Walk keys/, 'Kept versions…');
    const shown = await dialog();
    await until(() => shown.textContent?.includes('Version 3'));
    await clickIn(shown, 'Go back to version 2');
    await until(() => tape().includes('Back to version 2'));
    await until(
      async () => (await heldIn(slug)).wash?.includes('Alt+W') && (await heldIn(slug)).mend?.includes('Alt+E'),
    );
    await clickIn(shown, 'Close');
    await click('Undo');
    await until(async () => (await heldIn(slug)).wash?.includes('F9'));
  });

  it('goes back to factory a command, a menu or all at a time, naming who loses keys by it', async () => {
    const slug = await bringInWalk('Factory');
    await giveKeys(slug, { mend: ['Alt+E'], wash: ['F9'] });
    await show(`/board/${slug}/walk-keys/mend`);
    await choose(/^More for Mend/, 'Back to its factory keys');
    expect((await dialog()).textContent).toContain('Wash loses');
    await clickIn(await dialog(), 'Leave it');
    expect((await heldIn(slug)).mend).toEqual(['Alt+E']);
    await choose(/^More for Mend/, 'Back to its factory keys');
    await clickIn(await dialog(), 'Set back to factory');
    await untilIs(async () => (await heldIn(slug)).mend, ['F9']);
    await choose(/^More for Mend/, 'What happened to it…');
    const history = await dialog('What happened to Mend');
    await until(() => history.textContent?.includes('Mend back to factory'));
    await clickIn(history, /^Back to here|^Redo to here/);
    await clickIn(history, 'Close');
    await choose(/^More for Walk keys/, 'Everything back to factory keys');
    await until(async () => JSON.stringify((await heldIn(slug)).wash) === '["Alt+W"]');
    await choose(/^More for Mend/, 'Back to its factory keys');
    await said('These commands are on their factory keys already.');
  });

  it('offers back what a command took that goes back to its factory keys', async () => {
    const slug = await bringInWalk('Owing');
    await giveKeys(slug, { mend: ['Alt+W'], wash: [] });
    await show(`/board/${slug}/walk-keys/mend`);
    await choose(/^More for Mend/, 'Back to its factory keys');
    await untilIs(async () => (await heldIn(slug)).mend, ['F9']);
    await said('Mend back to factory. Alt+W is free again.');
    await click('Give it back to Wash');
    await untilIs(async () => (await heldIn(slug)).wash, ['Alt+W']);
  });

  it('is locked and unlocked, and says so to whoever would change it', async () => {
    const slug = await bringInWalk('Locked');
    await show(`/board/${slug}/walk-keys/mend`);
    await choose(/^More for Walk keys/, /^Lock/);
    await until(() => bar().includes('locked'));
    const before = await heldIn(slug);
    press(await field(/^Press the keys/), 'F4', 'F4');
    await until(() => bench().querySelector('[data-choice]'));
    fireEvent.click(bench().querySelector('[data-choice]') as Element);
    await said(/is locked\. Unlock it first/);
    expect(await heldIn(slug)).toEqual(before);
    await choose(/^More for Walk keys/, 'Unlock');
    await until(async () => !(await viewOf(slug)).draft.locked);
    press(await field(/^Press the keys/), 'F4', 'F4');
    await until(() => bench().querySelector('[data-choice]'));
    fireEvent.click(bench().querySelector('[data-choice]') as Element);
    await until(async () => (await heldIn(slug)).mend?.includes('F4'));
    await choose(/^More for Walk keys/, 'Discard the draft');
    await untilIs(() => heldIn(slug), before);
  });

  it('was changed in another window: what meets it is told, what does not goes on', async () => {
    const slug = await bringInWalk('Two windows');
    await show(`/board/${slug}/walk-keys/mend`);
    // Somebody gives another command keys meanwhile.
    await giveKeys(slug, { dot: ['W'] });
    press(await field(/^Press the keys/), 'F4', 'F4');
    await until(() => bench().querySelector('[data-choice]'));
    fireEvent.click(bench().querySelector('[data-choice]') as Element);
    await until(async () => (await heldIn(slug)).mend?.includes('F4'));
    expect((await heldIn(slug)).dot).toEqual(['W']);
    // And now this one.
    await giveKeys(slug, { mend: ['Shift+F2'] });
    press(await field(/^Press the keys/), 'F6', 'F6');
    await until(() => bench().querySelector('[data-choice]'));
    fireEvent.click(bench().querySelector('[data-choice]') as Element);
    await said(/changed in another window/);
    expect((await heldIn(slug)).mend).toEqual(['Shift+F2']);
  });
});

describe('the tape', () => {
  it('gives up a ticket from the middle, with what rests on it after asking, and undo brings it back', async () => {
    const slug = await bringInWalk('Pulling');
    await giveKeys(slug, { wash: ['F2'] });
    await giveKeys(slug, { mend: ['Shift+F3'] });
    await giveKeys(slug, { gild: ['Alt+W'] });
    await show(`/board/${slug}/walk-keys`);
    await tickets(3);
    const pull = (place: number) =>
      fireEvent.click(screen.getAllByRole('button', { name: /^Pull out/ })[place] as HTMLElement);
    pull(1);
    await said('“Elsewhere” is pulled out. Undo puts it back.');
    // The way out is gone with what it pulled; the focus is where one goes on.
    expect(document.activeElement?.closest('li')).not.toBeNull();
    await tickets(4);
    await untilIs(async () => (await heldIn(slug)).mend, ['F9']);
    // Gild took the keys that Wash had left.
    pull(0);
    const asked = await dialog();
    expect(asked.textContent).toContain('1 later ticket rests on it');
    await clickIn(asked, 'Pull out all 2');
    await tickets(5);
    await untilIs(async () => (await heldIn(slug)).wash, ['Alt+W']);
    await click('Undo');
    await click('Undo');
    await tickets(3);
    await untilIs(async () => (await heldIn(slug)).gild, ['Alt+W']);
  });

  it('says what each ticket did: added, removed, moved, on turns with another', async () => {
    const slug = await bringInWalk('Truth');
    await giveKeys(slug, { mend: ['F9', 'F4'] });
    await giveKeys(slug, { mend: ['F4'] });
    await giveKeys(slug, { press: ['S'] });
    await giveKeys(slug, { gild: ['Alt+W'], wash: ['F2'] });
    await show(`/board/${slug}/walk-keys/mend`);
    const deeds = [...document.querySelectorAll('[aria-label="Change tape"] li p')].map((one) =>
      // Without the caps, which say the same again.
      [...one.childNodes].map((part) => (part as Element).querySelector?.('.hidden')?.textContent ?? part.textContent),
    );
    expect(deeds.map((words) => words.join(''))).toEqual([
      'added F4',
      'removed F9',
      'given S, on turns with Stamp',
      'moved Alt+G to Alt+W; taken from Wash, which gets F2',
    ]);
  });

  it('keeps what was undone and passed over beside it, to be put back until the keymap is kept', async () => {
    const slug = await bringInWalk('Aside');
    await giveKeys(slug, { wash: ['F2'] });
    await giveKeys(slug, { mend: ['Shift+F3'] });
    await show(`/board/${slug}/walk-keys/dot`);
    await click('Undo');
    await click('Undo');
    await until(() => tape().includes('2 undone'));
    press(await field(/^Press the keys/), 'W', 'KeyW', { altKey: true });
    await until(() => bench().querySelector('[data-choice=take]'));
    fireEvent.click(bench().querySelector('[data-choice=take]') as Element);
    await click('2 left aside');
    const history = await dialog(/^Kept versions/);
    await within(history).findByRole('region', { name: 'Left aside' }, WAIT);
    await clickIn(history, 'Put back All 2 together');
    await untilIs(async () => [(await heldIn(slug)).wash, (await heldIn(slug)).mend], [['F2'], ['Shift+F3']]);
    await until(() => within(history).getAllByText('as it is now').length >= 3);
    await clickIn(history, 'Close');
    await click('Keep changes');
    await until(() => !tape().includes('left aside'));
  });

  it('opens what a ticket touched, and all lines of one that touched many', async () => {
    const slug = await bringInWalk('Lines');
    await giveKeys(slug, { wash: ['F2'] });
    await giveKeys(slug, { mend: ['Shift+F3'], gild: ['Shift+F4'], dot: ['W'], bare: ['Z'] });
    await show(`/board/${slug}/walk-keys`);
    await tickets(2);
    const named = within(screen.getByRole('region', { name: 'Change tape' })).getAllByRole('button', {
      name: 'Elsewhere',
    });
    fireEvent.click(named[0] as HTMLElement);
    await untilIs(() => within(bench()).queryByRole('heading')?.textContent, 'Wash');
    fireEvent.click(named[1] as HTMLElement);
    expect(within(await dialog('Elsewhere')).getAllByRole('listitem')).toHaveLength(4);
  });
});

describe('what is spare', () => {
  it('a whole menu at once: its keys are a pool to spend, and it is needed again at once, too', async () => {
    const slug = await bringInWalk('Spares');
    await show(`/board/${slug}/walk-keys/mend`);
    await choose(/^More for Mend/, /^Mark all of Repair as spare/);
    await untilIs(
      async () => [...(await viewOf(slug)).spares].sort(),
      ['gild', 'mend', 'press-flat', 'two-steps', 'wash'],
    );
    await said(/4 commands marked as spare/);
    await until(() => screen.getByRole('region', { name: 'Keyboard' }).textContent?.includes('Yours to spend:'));
    await choose(/^More for Mend/, 'Nothing of Repair is spare');
    await untilIs(async () => (await viewOf(slug)).spares, []);
    await click('Undo');
    await until(async () => (await viewOf(slug)).spares.length === 5);
    cleanup();
    await openPage(`/board/${slug}/walk-keys/bare`);
    const on = await field(/^Press the keys/);
    press(on, 'F7', 'F7');
    await until(() => bench().textContent?.includes('is spare, so these keys are yours to spend'));
  });
});

describe('what acts only while keys are held', () => {
  it('takes every press as held, and says so; a rule that stands in the way is a click away', async () => {
    const slug = await bringInWalk('Held');
    await show(`/board/${slug}/walk-keys/slide`);
    expect(bench().textContent).toContain('Acts while these keys are held.');
    const on = (await field(/^Press the keys/)) as HTMLInputElement;
    press(on, 'z', 'KeyZ');
    await until(() => bench().querySelector('[data-kind="free"]'));
    expect(screen.queryByRole('button', { name: 'Held' })).toBeNull();
    press(on, 'Enter');
    await until(async () => (await heldIn(slug)).slide?.includes('hold:Z'));
    cleanup();
    await openPage(`/board/${slug}/walk-keys/mend`);
    press(await field(/^Press the keys/), 'x', 'KeyX');
    await until(() => bench().querySelector('[data-kind="not allowed"]'));
    const rule = within(bench()).getByRole('link', { name: 'See the rule' });
    expect(rule.getAttribute('href')).toBe(`/shelf/allows/${slug}#forms`);
    press(await field(/^Press the keys/), 'Escape', 'Escape', { ctrlKey: true });
    await until(() => within(bench()).queryByRole('link', { name: 'See the rule' }) === null);
  });
});

describe('the check list', () => {
  it('mends what is wrong one by one, each fix a ticket, and says when nothing is left', async () => {
    const slug = await bringInWalk('Checked');
    await giveKeys(slug, { mend: ['Alt+F4'], undo: [] });
    await show(`/board/${slug}/walk-keys`);
    await click(/^Check/);
    const list = await dialog();
    await until(() => list.textContent?.includes('to look at'));
    await clickIn(list, /^Give it back/);
    await until(() => list.textContent?.includes('Undo: done, and on the tape.'));
    // The focus stands on the next that can be mended.
    await until(() => /^Move Mend to/.test(document.activeElement?.textContent ?? ''));
    await untilIs(async () => (await heldIn(slug)).undo, ['Mod+Z']);
    await clickIn(list, /^Move Mend to/);
    await until(async () => !(await heldIn(slug)).mend?.includes('Alt+F4'));
    await until(() => list.textContent?.includes('Nothing is wrong in this keymap'));
    expect((await viewOf(slug)).tape.length).toBeGreaterThanOrEqual(3);
    await clickIn(list, 'Close');
    await until(() => screen.queryByRole('dialog') === null);
  });

  it('settles all clashes at once, keepers and whoever is used most in place, as one ticket', async () => {
    const slug = await bringInWalk('Clashing');
    await giveKeys(slug, { mend: ['Mod+Z'], wash: ['F7'], far: ['F7', 'Shift+F8'] });
    await show(`/board/${slug}/walk-keys?show=check`);
    const list = await dialog();
    await within(list).findByRole('region', { name: 'All clashes at once' }, WAIT);
    await clickIn(list, 'What becomes of whom');
    await until(() => /Mend leaves .* to Undo and gets/.test(list.textContent ?? ''));
    await clickIn(list, 'Settle them all');
    await until(async () => (await viewOf(slug)).tape.at(-1)?.title === 'Settle 2 clashes');
    const held = await heldIn(slug);
    expect(held.undo).toEqual(['Mod+Z']);
    expect(['press-flat', 'wash', 'far'].filter((id) => held[id]?.includes('F7'))).toHaveLength(1);
    await until(() => list.textContent?.includes('Nothing is wrong in this keymap'));
  });
});

describe('the keyboard', () => {
  it('shows what is free by layer, how keys are reached, and goes to whoever is on a key', async () => {
    const slug = await bringInWalk('Free');
    await show(`/board/${slug}/walk-keys`);
    const keyboard = await region('Keyboard');
    await clickIn(keyboard, 'What is free');
    const layers = await within(keyboard).findByRole('group', { name: 'Free keys by layer' }, WAIT);
    const alt = within(layers).getByRole('button', { name: /^Alt \d/ });
    fireEvent.click(alt);
    const number = Number(/\d+/.exec(alt.textContent ?? '')?.[0]);
    expect(number).toBeGreaterThan(10);
    await until(() => keyboard.querySelectorAll('[data-free="true"]').length === number);
    await clickIn(keyboard, 'Whole keyboard');
    await until(
      () =>
        keyboard.querySelectorAll('[data-free="true"]').length ===
        Number(/\d+/.exec(within(layers).getByRole('button', { name: /^Alt \d/ }).textContent ?? '')?.[0]),
    );
    expect(keyboard.querySelector('[data-code="Tab"]')?.getAttribute('aria-label')).not.toContain('free');
    await clickIn(keyboard, 'Reach');
    await until(() => within(keyboard).queryAllByRole('button', { name: /reach \d\.\d\d$/ }).length > 20);
    cleanup();
    await show(`/board/${slug}/walk-keys`);
    fireEvent.click((await screen.findAllByRole('button', { name: /^S: Stamp/ }, WAIT))[0] as HTMLElement);
    const named = () => within(bench()).queryByRole('heading')?.textContent;
    await untilIs(named, 'Stamp');
    await clickIn(bench(), /^After it/);
    await untilIs(named, 'Press');
    await clickIn(bench(), /^Before it/);
    await untilIs(named, 'Stamp');
  });
});
