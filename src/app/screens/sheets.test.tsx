// @vitest-environment jsdom
import { act, cleanup, fireEvent, screen, within } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { loadSheets } from '@/server/useCases/sheets';
import { onScreens, openPage } from '../testing/openPage';
import {
  button,
  choose,
  click,
  dialog,
  field,
  press,
  region,
  said,
  submit,
  take,
  tick,
  until,
  untilIs,
  WAIT,
} from '../testing/touch';
import { bringInWalk, giveKeys } from '../testing/walkPrograms';

vi.mock('next/navigation', () => import('../testing/navigation'));
vi.mock('next/server', () => import('../testing/navigation'));
vi.mock('comlink', () => import('../testing/workersHere'));
onScreens(1200);

const query = () => new URLSearchParams(window.location.search);
const page = () => screen.getByRole('region', { name: 'The page as it will print' });
/** What stands on the pages, as it does before they are printed: on screen the words come after a calm moment. */
const words = () => {
  act(() => void window.dispatchEvent(new Event('beforeprint')));
  return page().textContent ?? '';
};
const count = () =>
  Number(
    /^(\d+) (?:command|line|step)s? on/.exec(
      screen
        .getAllByRole('status')
        .map((one) => one.textContent)
        .find((one) => one?.includes('on ')) ?? '',
    )?.[1],
  );
const viewBox = () => page().querySelector('svg')?.getAttribute('viewBox');

describe('a sheet', () => {
  it('changes with every choice, and its address with it', async () => {
    const slug = await bringInWalk('Printed');
    await giveKeys(slug, { wash: ['F2'] });
    await openPage(`/sheets/${slug}/walk-keys`);
    await until(() => words().includes('Wash'));
    expect(words()).not.toContain('Press flat');
    await take(/^All with keys/);
    await until(() => words().includes('Press flat'));
    await untilIs(() => [query().get('contents'), count()], ['all', 11]);
    await tick('Commands without keys');
    await until(() => words().includes('Bare'));
    await tick('Where it lives');
    await tick('What it was before');
    await until(() => words().includes('was Alt+W'));
    await click('⌘ ⌥');
    await until(() => words().includes('⌘'));
    await click('Mac');
    await until(() => words().includes('Command'));
    await click('Both');
    await until(() => words().includes('Ctrl') && words().includes('⌘'));
    await click('Letter');
    await click('Upright');
    await untilIs(viewBox, '0 0 612 792');
    await click('Across');
    await untilIs(viewBox, '0 0 792 612');
    await click('A3');
    await until(() => viewBox()?.startsWith('0 0 1190'));
    await click('Task');
    await until(() => words().includes('Mending'));
    await click('Modifier');
    await until(() => words().includes('Without a modifier'));
    await click('Key');
    await untilIs(() => Object.fromEntries(query()), {
      ...{ contents: 'all', keyless: 'true', group: 'modifier', order: 'key', notation: 'both', paper: 'A3' },
      extras: expect.stringContaining('was'),
    });
    const asked = window.location.href;
    cleanup();
    // Whoever is sent the address sees the same.
    await openPage(asked.replace(window.location.origin, ''));
    await until(() => words().includes('Without a modifier'));
    expect((await button('A3')).getAttribute('aria-pressed')).toBe('true');
  });

  it.each<[RegExp, () => Promise<unknown>]>([
    [
      /^Pocket cards/,
      () =>
        until(() =>
          /cards? *, *|cards?,/.test(
            screen
              .getAllByRole('status')
              .map((one) => one.textContent)
              .join(' '),
          ),
        ),
    ],
    [/^Sticky notes/, () => until(() => query().get('form') === 'note')],
    [/^Key poster/, () => until(() => words().includes('Backspace'))],
    [/^What changed/, () => until(() => words().includes('against'))],
    [/^Whole reference/, () => until(() => words().includes('Index by key'))],
  ])('%s', async (form, seen) => {
    await openPage('/sheets/nibshore/my-painting-hand');
    await until(() => words() !== '');
    await take(form);
    await seen();
  });

  it('has what lives in some menus, of some kinds, in some places, and as many of the most used as are asked for', async () => {
    await openPage('/sheets/tarnlight/sheet-retouching?contents=all');
    await until(() => count() > 100);
    const all = count();
    const asked = (what: string): string => query().get(what) ?? '';
    await take(/^By menu, kind or place/);
    const ticks = (label: string) => screen.findByRole('group', { name: label }, WAIT);
    const menus = await ticks('Menus');
    fireEvent.click(within(menus).getByLabelText('Mend'));
    await until(() => asked('menus').includes('Mend') && count() > 0 && count() < all);
    const mend = count();
    fireEvent.click(within(menus).getByLabelText('Lift'));
    await until(() => count() > mend);
    await until(() => asked('menus').includes('Lift'));
    const both = count();
    fireEvent.click(within(await ticks('Kinds')).getByLabelText('Menu items'));
    await until(() => asked('kinds').includes('menu item') && count() <= both);
    const of = count();
    fireEvent.click(within(await ticks('Kinds')).getByLabelText('Menu items'));
    await untilIs(count, both);
    expect(of).toBeLessThanOrEqual(both);
    const places = await ticks('Where keys are pressed');
    fireEvent.click(within(places).getAllByRole('checkbox')[0] as HTMLElement);
    await until(() => asked('contexts') !== '');
    fireEvent.click(within(menus).getByLabelText('Lift'));
    fireEvent.click(within(menus).getByLabelText('Mend'));
    await untilIs(() => asked('menus'), '');
  });

  it('is copied for a post, and says so where a browser does not let it', async () => {
    await openPage('/sheets/nibshore/my-painting-hand');
    await until(() => words() !== '');
    const written: unknown[] = [];
    const clipboard = { write: async (items: unknown[]) => void written.push(...items) };
    vi.stubGlobal(
      'ClipboardItem',
      class {
        constructor(readonly data: Record<string, unknown>) {}
      },
    );
    Object.defineProperty(navigator, 'clipboard', { value: clipboard, configurable: true });
    await choose('Save as another file', 'Copy for a post or a mail');
    await said('Copied. Paste it where it is to stand.');
    expect(written).toHaveLength(1);
    clipboard.write = () => Promise.reject(new Error('not allowed'));
    await choose('Save as another file', 'Copy for a post or a mail');
    await said('This browser did not let it be copied. Save it as a fragment instead.');
    vi.unstubAllGlobals();
  });

  it('of several programs asks for another, takes the ones ticked, and shows where they differ alone', async () => {
    await openPage('/sheets/tarnlight/sheet-retouching?form=programs');
    await said(/^Choose at least one other program/);
    const others = await screen.findByRole('group', { name: 'Beside this one' }, WAIT);
    const ticked = () =>
      within(others)
        .getAllByRole('checkbox')
        .filter((one) => (one as HTMLInputElement).checked).length;
    expect(ticked()).toBe(0);
    fireEvent.click(within(others).getByLabelText(/^Nibshore · My painting hand/));
    await until(() => ticked() > 0 && count() > 0);
    const whole = count();
    await tick(/differ/);
    await until(() => query().get('differ') === 'true');
    await until(() => count() > 0 && count() <= whole);
  });

  it('says why there is nothing on it, and puts all on it', async () => {
    await openPage('/sheets/nibshore/factory-keys?contents=yours');
    await said(/nothing of yours to print/);
    await click('Put all with keys on it');
    await until(() => count() > 40);
    await take(/^Picked by hand/);
    await said(/No command is picked yet/);
    await take(/^Most used/);
    await said(/Nothing was told of how often commands are used/);
  });

  it('is picked by hand, its groups named, kept with the keymap, shown again, renamed and put away', async () => {
    await openPage('/sheets/tarnlight/sheet-retouching?contents=picked');
    const sheets = async () => (await loadSheets('tarnlight', 'sheet-retouching')).sheets.value;
    await click('Pick commands…');
    const search = await screen.findByRole('searchbox', { name: 'Find a command' }, WAIT);
    for (const name of ['Lift stain', 'Dust sweep', 'Curves']) {
      fireEvent.change(search, { target: { value: name } });
      fireEvent.click(
        (await screen.findAllByRole('checkbox', { name: new RegExp(`^${name}`) }, WAIT))[0] as HTMLElement,
      );
      await until(() => words().includes(name));
    }
    expect(count()).toBe(3);
    press(search, 'Escape');
    await until(() => screen.queryByRole('dialog') === null);
    await click('Name the groups…');
    const groups = await dialog();
    fireEvent.change(within(groups).getByLabelText('Light'), { target: { value: 'Tone' } });
    press(groups, 'Escape');
    await until(() => screen.queryByRole('dialog') === null);
    await until(() => words().includes('Tone'));
    await click('Keep this sheet…');
    await submit(/^Name/, '');
    await said('Give it a name.');
    await submit(/^Name/, 'Pocket three');
    await until(async () => (await sheets()).some((one) => one.name === 'Pocket three'));
    expect((await sheets()).find((one) => one.name === 'Pocket three')?.spec).toMatchObject({
      contents: 'picked',
      groupNames: [['Light', 'Tone']],
    });
    await take(/^All with keys/);
    await until(() => count() > 100);
    const contents = async () => (await sheets()).find((one) => one.name === 'Pocket three')?.spec.contents;
    await choose('More for Pocket three', 'Keep what is shown over it');
    await untilIs(contents, 'all');
    await click('Bring it back');
    await untilIs(contents, 'picked');
    await click('Pocket three');
    await untilIs(count, 3);
    await choose('More for Pocket three', 'Rename…');
    fireEvent.change(await field(/^Name/), { target: { value: 'Pocket of three' } });
    fireEvent.submit((await field(/^Name/)).closest('form') as HTMLFormElement);
    await until(async () => (await sheets()).some((one) => one.name === 'Pocket of three'));
    await choose('More for Pocket of three', 'Put away');
    await until(async () => (await sheets()).find((one) => one.name === 'Pocket of three')?.putAway);
    await click('Bring it back');
    await until(async () => (await sheets()).find((one) => one.name === 'Pocket of three')?.putAway === false);
  });
});

describe('a change list', () => {
  it('is ticked off, step by step, remembered, begun anew, and leads from any keymap', async () => {
    const slug = await bringInWalk('By hand');
    await giveKeys(slug, { wash: ['F9'], mend: ['Alt+W'] });
    await openPage(`/sheets/${slug}/walk-keys/changes`);
    const steps = await region('Steps');
    await until(() => within(steps).queryAllByRole('checkbox').length === 3);
    // Two that exchange their keys: one gives its up for now.
    expect(steps.textContent).toMatch(/for now, so that .* can have it/);
    const boxes = () => within(steps).getAllByRole('checkbox') as HTMLInputElement[];
    fireEvent.click(boxes()[0] as HTMLElement);
    await until(() => boxes()[0]?.checked);
    const done = () => screen.getByRole('region', { name: 'About this list' }).textContent ?? '';
    await until(() => done().includes('1'));
    cleanup();
    await openPage(`/sheets/${slug}/walk-keys/changes`);
    const checked = () => (screen.queryAllByRole('checkbox') as HTMLInputElement[]).filter((one) => one.checked).length;
    await untilIs(checked, 1);
    await click('Start over');
    await untilIs(checked, 0);
    await click('Undo');
    await untilIs(checked, 1);
  });
});
