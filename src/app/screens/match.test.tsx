// @vitest-environment jsdom
import { cleanup, fireEvent, screen, within } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { loadMatch } from '@/server/useCases/match';
import { loadKeymapView } from '@/server/useCases/screens';
import { onScreens, openPage } from '../testing/openPage';
import {
  button,
  click,
  clickIn,
  dialog,
  field,
  press,
  region,
  said,
  submit,
  tick,
  until,
  untilIs,
  WAIT,
} from '../testing/touch';
import { bringInWalk, giveKeys, heldIn } from '../testing/walkPrograms';

vi.mock('next/navigation', () => import('../testing/navigation'));
vi.mock('next/server', () => import('../testing/navigation'));
vi.mock('comlink', () => import('../testing/workersHere'));
onScreens(1300);

const settled = () => until(() => document.querySelector('[data-ms]:not([data-stale])'));
const line = (name: string) =>
  [...document.querySelectorAll<HTMLElement>('[data-theirs]')].find(
    (one) => within(one).queryAllByText(name).length > 0,
  );
const textOf = (name: string) => line(name)?.textContent ?? '';
const show = async (name: string): Promise<void> => click(new RegExp(`^${name} \\d+$`));
const figures = () => {
  const big = document.querySelector('[data-before]') as HTMLElement;
  return [big.dataset.before, big.dataset.after, big.dataset.all].map(Number);
};
const put = () => button(/^(Put \d+ changes? on the tape|Nothing to put on the tape)$/);

describe('keys that are asked for', () => {
  it('are typed where they can’t be pressed, said to be what they are, and taken by a button', async () => {
    await openPage('/match/tarnlight/factory-keys?like=nibshore%2Fmy-painting-hand');
    await settled();
    await show('Carries over');
    fireEvent.click(within(line('Preferences') as HTMLElement).getByRole('button', { name: 'Other key' }));
    const frame = await dialog();
    const typed = within(frame).getByLabelText(/^Or type them/);
    const take = within(frame).getByRole('button', { name: 'Take these keys' }) as HTMLButtonElement;
    expect(take.disabled).toBe(true);
    fireEvent.change(typed, { target: { value: 'Ctrl+Frobnicate' } });
    await until(() => within(frame).getByRole('alert').textContent?.includes('Frobnicate'));
    expect([typed.getAttribute('aria-invalid'), take.disabled]).toEqual(['true', true]);
    // Blanks are not keys yet, and no fault either.
    fireEvent.change(typed, { target: { value: '  ' } });
    expect(within(frame).getByRole('alert').textContent).toContain('Frobnicate');
    fireEvent.change(typed, { target: { value: 'Ctrl+Alt+Shift+F11' } });
    await until(() => !within(frame).getByRole('alert').textContent?.includes('Frobnicate'));
    await until(() => /These keys are free|has these keys/.test(within(frame).getByRole('status').textContent ?? ''));
    // Keys pressed go before those typed; Tab and Escape stay what they are in a dialog.
    const pressed = within(frame).getByLabelText(/^Press the keys you want for/) as HTMLInputElement;
    press(pressed, 'Tab');
    expect(pressed.value).toContain('F11');
    press(pressed, 'F12', 'F12', { altKey: true, shiftKey: true });
    await until(() => pressed.value.includes('F12'));
    fireEvent.click(take);
    await until(() => screen.queryByRole('dialog') === null);
    await settled();
    const { plan } = await loadMatch('tarnlight', 'factory-keys', {
      program: 'nibshore',
      keymap: 'my-painting-hand',
    }).then((one) => ({ plan: JSON.stringify(one) }));
    expect(plan).toContain('Alt+Shift+F12');
  });
});

describe('a match', () => {
  it('is settled line by line: said, kept, taken, given other keys; then goes on the tape as one ticket and comes off', async () => {
    await openPage('/match/tarnlight/factory-keys?like=nibshore%2Fmy-painting-hand');
    await settled();
    const [before = 0, first = 0, all = 0] = figures();
    expect(first).toBeGreaterThan(before);
    await show('Check');
    await click('Yes, Packet details is Sheet details');
    // What was said may teach more than that.
    await until(() => (figures()[2] ?? 0) > all);
    await click('Choose the counterpart of Open as reference');
    await clickIn(await dialog(), 'No counterpart');
    await until(() => line('Open as reference') === undefined);
    await click('Choose the counterpart of Fill with color');
    const search = within(await dialog()).getByRole('searchbox');
    fireEvent.change(search, { target: { value: 'fill with gr' } });
    await clickIn(await dialog(), /^Fill with ground/);
    await until(() => screen.queryByRole('dialog') === null);
    await settled();
    await show('Carries over');
    expect(textOf('Fill with color')).toContain('Fill with ground');
    fireEvent.click(within(line('Save step') as HTMLElement).getByRole('button', { name: 'Keep mine' }));
    await until(() => line('Save step') === undefined);
    fireEvent.click(within(line('Preferences') as HTMLElement).getByRole('button', { name: 'Other key' }));
    const keys = await field(/^Press the keys you want for/);
    press(keys, 'O', 'KeyO', { altKey: true, shiftKey: true });
    await until(() => /These keys are free|has these keys/.test(screen.getByRole('dialog').textContent ?? ''));
    press(keys, 'Enter');
    await until(() => screen.queryByRole('dialog') === null);
    await settled();
    await show('Stays as it is');
    expect(textOf('Save step')).toContain('settled by you');
    await clickIn(line('Save step') as HTMLElement, /^Let the rules decide/);
    await until(() => line('Save step') === undefined);
    const { plan } = await loadMatch('tarnlight', 'factory-keys', {
      program: 'nibshore',
      keymap: 'my-painting-hand',
    }).then((one) => ({ plan: JSON.stringify(one) }));
    expect(plan).toContain('Alt+Shift+O');

    const knockOns = await region('Knock-on changes');
    const one = within(knockOns).getAllByRole('listitem')[0] as HTMLElement;
    const id = one.dataset.command;
    fireEvent.click(within(one).getByRole('button', { name: /^No key for/ }));
    await until(() => knockOns.querySelector(`[data-command="${id}"]`)?.textContent?.includes('no key'));
    await settled();
    const [, after = 0] = figures();
    const changes = Number(/\d+/.exec((await put()).textContent ?? '')?.[0]);
    fireEvent.click(await put());
    await until(() => screen.getByRole('region', { name: 'Change tape' }).textContent?.includes('1 ticket'));
    // The factory's keymap stays; what is changed is one of one's own.
    await until(() => window.location.pathname.includes('unnamed-keymap'));
    const view = await loadKeymapView('tarnlight', 'unnamed-keymap');
    expect([view.tape.length, view.tape[0]?.changes.length]).toEqual([1, changes]);
    await untilIs(() => figures()[0], after);
    expect((await put()).hasAttribute('disabled')).toBe(true);
    await click('Undo');
    await untilIs(() => figures()[0], before);
    await untilIs(async () => (await loadKeymapView('tarnlight', 'unnamed-keymap')).draft.cursor, 0);
  });

  it('asks what teaches most, takes an answer in one click, and goes on to the next', async () => {
    await openPage('/match/tarnlight/factory-keys?like=nibshore%2Fmy-painting-hand');
    await settled();
    const card = () => screen.getByRole('region', { name: 'A question' });
    const about = () => card().querySelector('strong')?.textContent ?? '';
    const asked = about();
    fireEvent.click(within(card()).getByRole('button', { name: 'Skip' }));
    const second = about();
    expect(second).not.toBe(asked);
    const [candidate] = within(card()).getAllByRole('button');
    const name = candidate?.textContent ?? '';
    fireEvent.click(candidate as HTMLElement);
    await until(() => about() !== second);
    await settled();
    expect(document.activeElement?.closest('section')).toBe(card());
    const here = await loadKeymapView('tarnlight', 'factory-keys');
    const there = await loadKeymapView('nibshore', 'my-painting-hand');
    const nameIn = ({ program }: typeof here, id: string | null | undefined) =>
      program.commands.find((one) => one.id === id)?.name;
    const like = { program: 'nibshore', keymap: 'my-painting-hand' };
    const told = async () => (await loadMatch('tarnlight', 'factory-keys', like)).said.value.at(-1);
    await untilIs(async () => nameIn(here, (await told())?.command), second);
    expect(nameIn(there, (await told())?.counterpart)).toBe(name);
    // What has no counterpart is an answer, too, and each can be taken back.
    const third = about();
    fireEvent.click(within(card()).getByRole('button', { name: 'Nothing there does' }));
    await until(() => about() !== third);
    fireEvent.click((await screen.findAllByRole('button', { name: 'Take it back' }, WAIT))[0] as HTMLElement);
    await settled();
  });

  it('holds its rules for all lines, and translates what was made on another desktop', async () => {
    const [there, here] = [await bringInWalk('Rules from'), await bringInWalk('Rules to')];
    await giveKeys(there, { wash: ['Shift+F5'], press: ['Ctrl+P'], bare: ['Z'] });
    await openPage(`/match/${here}/walk-keys?like=${there}%2Fwalk-keys`);
    await until(() => textOf('Wash').includes('F5'));
    await tick('Only where mine has no key');
    await until(() => line('Wash') === undefined);
    await until(() => textOf('Bare').includes('Z'));
    await tick('Only tools');
    await until(() => line('Bare') === undefined);
    fireEvent.change(screen.getByRole('combobox', { name: /was made on$/ }), { target: { value: 'mac' } });
    await until(() => screen.queryByLabelText('What stays the same'));
    await show('Stays as it is');
    await until(() => textOf('Wash').includes('left out by your rules'));
    cleanup();
    // It is so tomorrow, too.
    await openPage(`/match/${here}/walk-keys?like=${there}%2Fwalk-keys`);
    expect(((await screen.findByRole('checkbox', { name: 'Only tools' }, WAIT)) as HTMLInputElement).checked).toBe(
      true,
    );
    expect((screen.getByRole('combobox', { name: /was made on$/ }) as HTMLSelectElement).value).toBe('mac');
  });

  it('derives a keymap, says what is new there, and leaves corrections alone when it is derived again', async () => {
    const [there, here] = [await bringInWalk('Derived from'), await bringInWalk('Derived to')];
    await giveKeys(there, { wash: ['F6'] });
    await openPage(`/match/${here}/walk-keys?like=${there}%2Fwalk-keys`);
    await settled();
    await click('Derive a new keymap…');
    await submit(/^Name/, ' ');
    await said('Give it a name.');
    await submit(/^Name/, 'Derived');
    await until(() => window.location.pathname === `/match/${here}/derived`);
    await said(/nothing has changed there since/);
    expect((await heldIn(here, 'derived')).wash).toEqual(['F6']);
    await giveKeys(here, { mend: ['Shift+F9'] }, 'derived');
    await giveKeys(there, { mend: ['Alt+M'], dot: ['W'] });
    cleanup();
    await openPage(`/match/${here}/derived?like=${there}%2Fwalk-keys`);
    await said(/2 things are new/);
    await click('See what is new');
    const shown = await dialog();
    await within(shown).findAllByRole('listitem');
    expect(
      within(shown)
        .getAllByRole('listitem')
        .map((one) => one.textContent),
    ).toEqual([expect.stringContaining('Dot')]);
    expect(shown.textContent).toContain('Your corrections stay: Mend.');
    await clickIn(shown, 'Put 1 change on the tape');
    await said(/nothing has changed there since/);
    expect(await heldIn(here, 'derived')).toMatchObject({ mend: ['Shift+F9'], dot: ['W'], wash: ['F6'] });
  });
});

describe('several keymaps compared', () => {
  it('each with each, the worst first, by concept, and without one of them', async () => {
    await openPage(
      '/match/compare?with=tarnlight%2Fsheet-retouching&with=nibshore%2Fmy-painting-hand&with=quillmoor%2Flabel-drawing',
    );
    const matrix = await region('How much carries over');
    await until(() => within(matrix).queryAllByRole('button').length === 6);
    // What is only likely is said, and counts for nothing.
    expect(matrix.textContent).toMatch(/\d+ only likely, not counted/);
    await clickIn(matrix, /^Quillmoor .* in Nibshore/);
    await said(/one thing in Quillmoor and another in Nibshore, the worst first/);
    const order = ['loses work', 'changes the picture', 'changes a tool', 'changes the view'];
    const harms = [...document.querySelectorAll<HTMLElement>('[data-harm]')].map((one) =>
      order.indexOf(one.dataset.harm ?? ''),
    );
    expect(harms.length).toBeGreaterThan(5);
    expect(harms).toEqual([...harms].sort());
    await click(/^Same keys, same action \d/);
    expect((await region('Same keys, same action')).textContent).toContain('Undo');
    await click('By concept');
    await until(() => window.location.search.includes('show=concepts'));
    const find = screen.getByLabelText('Search in all programs');
    fireEvent.change(find, { target: { value: 'step in' } });
    const table = screen.getByRole('table', { name: 'What the programs do' });
    await until(() => table.textContent?.includes('Step in'));
    const toBench = within(table).getAllByRole('link', { name: 'Step in' })[0]?.getAttribute('href');
    expect(toBench).toBe('/board/tarnlight/sheet-retouching/step-in');
    await click(/^Only in one \d/);
    fireEvent.change(find, { target: { value: 'no such thing anywhere' } });
    await until(() => !table.textContent?.includes('Step in'));
    await click(/^Leave out Quillmoor/);
    await until(() => !window.location.search.includes('quillmoor'));
    await until(() => screen.queryAllByRole('button', { name: /^Keymap \d/ }).length === 2);
  });
});
