// @vitest-environment jsdom
import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import type { ChoiceKind } from '@/core/clash/choices';
import { fromProgramFile } from '@/core/file/programFile';
import { isListedAfter, VERDICT_STEPS } from '@/core/testing/verdictSteps';
import { walkFile } from '@/core/testing/walkProgram';
import { bringIn } from '@/server/useCases/bringIn';
import { chosenIn } from '@/server/useCases/finder';
import { loadHistory, loadKeymapView, loadShelf } from '@/server/useCases/screens';
import { loadSettings, saveSettings } from '@/server/useCases/settings';
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
  submit,
  type,
  until,
  untilIs,
  WAIT,
} from '../testing/touch';

vi.mock('next/navigation', () => import('../testing/navigation'));
vi.mock('next/server', () => import('../testing/navigation'));
vi.mock('comlink', () => import('../testing/workersHere'));
onScreens();

const [PROGRAM, KEYMAP] = ['tarnlight', 'sheet-retouching'];
const bench = () => screen.getByRole('region', { name: 'Bench' });
const tape = () => screen.getByRole('region', { name: 'Change tape' });
const finder = () => screen.getByRole('combobox');
/** What stands first in the finder's list. */
const firstFound = () => screen.queryAllByRole('option')[0]?.textContent ?? '';
const capture = (name: string) => field(`Press the keys you want for ${name}`);
const named = () => within(bench()).queryByRole('heading')?.textContent ?? '';
const stored = (keymap = KEYMAP) => loadKeymapView(PROGRAM, keymap);
/** What a keymap holds, in an order of its own. */
const held = async (keymap = KEYMAP) => [...(await stored(keymap)).bindings].sort();
const keysOf = async (command: string, keymap = KEYMAP) =>
  (await stored(keymap)).bindings.filter(([id]) => id === command).map(([, chord]) => chord);
const marks = (what: 'kind' | 'choice', where = bench()) =>
  [...where.querySelectorAll<HTMLElement>(`[data-${what}]`)].map((one) => one.dataset[what] ?? '');

/** Opens a command of a keymap on the bench. */
async function onBench(command: string, name: string, keymap = KEYMAP): Promise<HTMLElement> {
  await openPage(`/board/${PROGRAM}/${keymap}/${command}`);
  return capture(name);
}
/** Types keys that are not pressed. */
async function typeKeys(keys: string): Promise<HTMLElement> {
  if (!screen.queryByRole('textbox', { name: /^Type them/ })) await click('Type them');
  return type(/^Type them/, keys);
}

describe('the finder', () => {
  it('opens what Enter is pressed on, moves by arrows, and comes back by Escape', async () => {
    await openPage(`/board/${PROGRAM}/${KEYMAP}`);
    await button('Undo');
    fireEvent.change(finder(), { target: { value: 'mask' } });
    await until(() => /mask/i.test(firstFound()));
    press(finder(), 'ArrowDown');
    press(finder(), 'ArrowDown');
    const second = finder().getAttribute('aria-activedescendant');
    press(finder(), 'ArrowUp');
    expect(finder().getAttribute('aria-activedescendant')).not.toBe(second);
    press(finder(), 'End');
    press(finder(), 'Home');
    press(finder(), 'Enter');
    await until(() => named() !== '');
    const on = await capture(named());
    await waitFor(() => expect(document.activeElement).toBe(on));
    press(on, 'a', 'KeyA', { altKey: true });
    await until(() => (on as HTMLInputElement).value !== '');
    // Once to empty the field, once to go back.
    press(on, 'Escape');
    await untilIs(() => (on as HTMLInputElement).value, '');
    press(on, 'Escape');
    expect(document.activeElement).toBe(finder());
  });

  it('finds the holder of keys that are pressed into it, and says what nothing is called', async () => {
    await openPage(`/board/${PROGRAM}/${KEYMAP}`);
    await button('Undo');
    await click('Find by pressing keys');
    const keys = await screen.findByRole('combobox', { name: 'Press the keys whose holder you look for' }, WAIT);
    press(keys, 's', 'KeyS', { altKey: true });
    press(keys, 'Enter');
    await capture('Sheet edge');
    await click('Find by pressing keys');
    fireEvent.change(finder(), { target: { value: 'zzzz qqqq' } });
    await said(/Nothing here is called/);
    await click('Show all commands');
    await untilIs(() => (finder() as HTMLInputElement).value, '');
    // Keys can be spelled out as well.
    fireEvent.change(finder(), { target: { value: 'Alt+S' } });
    await said('Who holds Alt+S');
    expect(firstFound()).toContain('Sheet edge');
  });

  it('says what is only half found and what is only near, and remembers what was chosen for the words', async () => {
    await openPage(`/board/${PROGRAM}/${KEYMAP}`);
    await button('Undo');
    fireEvent.change(finder(), { target: { value: 'remove specks from the budget' } });
    await said('Without “budget”');
    expect(firstFound()).toContain('Dust sweep');
    fireEvent.change(finder(), { target: { value: 'spell check the budget' } });
    await said('Nothing is quite that. Near it:');
    expect(screen.getAllByRole('option')).toHaveLength(3);
    await said(/^Such things live in /);
    const chosen = screen.getAllByRole('option')[2] as HTMLElement;
    const name = (chosen.getAttribute('aria-label') ?? '').split(',')[0] ?? '';
    fireEvent.click(chosen);
    await until(async () => (await chosenIn((await stored()).draft.id)).value['spell check the budget']);
    fireEvent.change(finder(), { target: { value: 'soften' } });
    await until(() => firstFound().includes('Soften'));
    fireEvent.change(finder(), { target: { value: 'Spell check, the budget' } });
    await until(() => firstFound().includes(name));
    expect(screen.getAllByRole('option')).toHaveLength(1);
  });

  it('shows what its filters leave, and as many as they say', async () => {
    const view = await (async () => {
      await openPage(`/board/${PROGRAM}/${KEYMAP}`);
      return stored();
    })();
    const status = () =>
      screen
        .getAllByRole('status')
        .map((one) => one.textContent ?? '')
        .join(' ');
    const spare = await button(/^Spare \d/);
    fireEvent.click(spare);
    await until(() => spare.getAttribute('aria-pressed') === 'true');
    await until(() => status().includes(`${view.spares.length} commands`));
    fireEvent.click(await button(/^No key \d/));
    await until(() => !status().includes(`${view.spares.length} commands`) || status().includes('0 commands'));
    fireEvent.click(await button(/^All \d/));
    await until(() => status().includes(`${view.program.commands.length} commands`));
    fireEvent.click(await button(/^More filters/));
    const lists = await dialog();
    // It comes where it stays: nothing moves away from under a press.
    expect([lists.style.opacity, lists.style.transform]).toEqual(['1', '']);
    const tool = await within(lists).findByRole('checkbox', { name: 'tool' }, WAIT);
    fireEvent.click(tool);
    const tools = view.program.commands.filter((one) => one.kind === 'tool').length;
    await until(() => status().includes(`${tools} commands`));
  });
});

describe('the bench', () => {
  it('takes keys pressed, stores them, takes them back and gives them again', async () => {
    const on = await onBench('leaf-length', 'Leaf length');
    press(on, 'a', 'KeyA', { altKey: true });
    await until(() => /is free/.test(bench().textContent ?? ''));
    press(on, 'Enter');
    await untilIs(() => keysOf('leaf-length'), ['Alt+A']);
    expect(tape().textContent).toContain('Leaf length');
    await click('Undo');
    await untilIs(() => keysOf('leaf-length'), []);
    press(document.body, 'y', 'KeyY', { ctrlKey: true });
    await untilIs(() => keysOf('leaf-length'), ['Alt+A']);
    press(document.body, 'z', 'KeyZ', { ctrlKey: true });
    await untilIs(() => keysOf('leaf-length'), []);
    press(document.body, 'Z', 'KeyZ', { ctrlKey: true, shiftKey: true });
    await untilIs(() => keysOf('leaf-length'), ['Alt+A']);
    await click('Undo');
    await untilIs(() => keysOf('leaf-length'), []);
  });

  it('says what can’t be read, offers the nearest, and takes keys held', async () => {
    await onBench('raise-layer', 'Raise layer');
    await typeKeys('Ctrl+Wxyz');
    await said(/We don't know a key called “Wxyz”/);
    expect(marks('choice')).toEqual([]);
    await typeKeys('Crtl+Alt+F8');
    await click(/^Did you mean Ctrl\+Alt\+F8\?/);
    await until(() => marks('kind').includes('free'));
    await click('Held');
    await until(() => (screen.getByRole('button', { name: 'Held' }).getAttribute('aria-pressed') ?? '') === 'true');
    const typed = await field(/^Type them/);
    press(typed, 'Escape');
    await waitFor(() => expect(document.activeElement).toBe(screen.getByRole('textbox', { name: /^Press the keys/ })));
  });

  it('asks before a keeper loses its keys, and leaves them where it is told to', async () => {
    const view = await stored();
    const [keeper] = view.bindings.filter(([, chord, kept]) => kept && chord === 'Mod+S');
    const holder = view.program.commands.find((one) => one.id === keeper?.[0])?.name ?? '';
    const before = await held();
    const on = await onBench('count-spots', 'Count spots');
    press(on, 's', 'KeyS', { ctrlKey: true });
    await within(bench()).findByText(holder, {}, WAIT);
    press(on, 'Enter');
    expect((await dialog()).textContent).toContain(`${holder} is marked so as not to lose`);
    await clickIn(await dialog(), 'Leave it');
    await until(() => screen.queryByRole('dialog') === null);
    expect(await held()).toEqual(before);
    press(await capture('Count spots'), 'Enter');
    await click(/^Take them for Count spots all the same/);
    await untilIs(() => keysOf('count-spots'), ['Mod+S']);
    await click('Undo');
    await untilIs(held, before);
  });

  it('takes what is clicked while a change is being shown', async () => {
    const before = await held();
    const on = await onBench('crop-tool', 'Crop tool');
    press(on, 'F9', 'F9', { altKey: true, shiftKey: true });
    const taking = await button('Take it');
    const remove = await button(/^Remove/);
    // As in a browser, where what follows from a change is shown a picture later: nothing is flushed in between.
    const acting = globalThis as { IS_REACT_ACT_ENVIRONMENT?: boolean };
    acting.IS_REACT_ACT_ENVIRONMENT = false;
    remove.click();
    await Promise.resolve();
    taking.click();
    acting.IS_REACT_ACT_ENVIRONMENT = true;
    await untilIs(() => keysOf('crop-tool'), ['Alt+Shift+F9']);
    for (let i = 0; i < 2; i++) await click('Undo');
    await untilIs(held, before);
  });

  it('marks keepers, notes why, makes spares, takes keys away: each a ticket', async () => {
    const { cursor } = (await stored()).draft;
    const before = await held();
    await onBench('crop-tool', 'Crop tool');
    const [chord = ''] = await keysOf('crop-tool');
    const row = async () => (await stored()).bindings.find(([id, keys]) => id === 'crop-tool' && keys === chord);
    await click(/^Keeper: /);
    await until(async () => (await row())?.[2] === true);
    await click(/^Memory hook for /);
    const note = await screen.findByRole('textbox', { name: /^Memory hook for / }, WAIT);
    fireEvent.change(note, { target: { value: 'D as in drawer' } });
    fireEvent.blur(note);
    await until(async () => (await row())?.[3] === 'D as in drawer');
    // Escape leaves the note as it was.
    await click(/^Memory hook for /);
    const again = await screen.findByRole('textbox', { name: /^Memory hook for / }, WAIT);
    fireEvent.change(again, { target: { value: 'Never mind' } });
    press(again, 'Escape');
    await until(() => screen.queryByRole('textbox', { name: /^Memory hook for / }) === null);
    await choose(/^More for Crop tool/, /^Mark as spare/);
    await until(async () => (await stored()).spares.includes('crop-tool'));
    await click(/^Remove/);
    expect((await dialog()).textContent).toContain('These keys are a keeper');
    await click('Remove them all the same');
    await untilIs(() => keysOf('crop-tool'), []);
    expect((await stored()).draft.cursor).toBe(cursor + 4);
    for (let i = 0; i < 4; i++) await click('Undo');
    await untilIs(held, before);
  });
});

/** Every verdict; every kind of choice is taken where it is first offered, since verdictTable.test.ts takes all. */
const taken = new Set<ChoiceKind>();
const WALKS = VERDICT_STEPS.map((step) => {
  const fresh = step.offers.filter((one) => !taken.has(one));
  for (const one of fresh) taken.add(one);
  return [step.keys, step.command, step, fresh.length > 0 ? fresh : step.offers.slice(0, 1)] as const;
});
const walks = new Map<boolean, Promise<string>>();
/** The address of the program in which every verdict can be met, with sequences allowed or not. */
function walkWith(sequences: boolean): Promise<string> {
  const file = { ...walkFile, program: { ...walkFile.program, rules: { ...walkFile.program.rules, sequences } } };
  const slug = walks.get(sequences) ?? bringIn(fromProgramFile(file));
  walks.set(sequences, slug);
  return slug;
}
describe('every verdict', () => {
  it.each(WALKS)(
    '%s for %s is told as it is; what is offered does what it says and can be taken back',
    async (_keys, command, step, choices) => {
      const before = await loadSettings();
      await saveSettings({ layout: 'us', shape: 'ansi', size: 'full', desktop: 'windows', ...step.where });
      const slug = await walkWith(step.rules !== 'strict');
      const now = async () => [...(await loadKeymapView(slug, 'walk-keys')).bindings].sort();
      const begun = await now();
      for (const choice of choices.length > 0 ? choices : [null]) {
        cleanup();
        await openPage(`/board/${slug}/walk-keys/${command}`);
        await typeKeys(step.keys);
        await untilIs(() => marks('kind'), [...step.says]);
        await untilIs(() => marks('choice').sort(), [...step.offers].sort());
        if (choice === null) continue;
        fireEvent.click(bench().querySelector(`[data-choice="${choice}"]`) as Element);
        if (step.checks?.includes('keeper lost')) await click(/all the same/);
        await until(() => tape().textContent?.includes('1 ticket'));
        await until(async () => JSON.stringify(await now()) !== JSON.stringify(begun));
        if (choice === 'take and give') {
          await until(() => named() !== 'Mend');
          await click(/leave it and go back/);
          await untilIs(named, 'Mend');
        }
        fireEvent.click(await button(/^Check/));
        const list = await dialog();
        await until(
          () => list.querySelector('[data-gravity]') !== null || /Nothing is wrong/.test(list.textContent ?? ''),
        );
        for (const folded of list.querySelectorAll('[data-gravity] button[aria-expanded="false"]'))
          fireEvent.click(folded);
        const listed = marks('kind', list);
        expect(listed).not.toContain('held by');
        for (const kind of step.checks ?? [])
          expect([kind, listed.includes(kind)]).toEqual([kind, isListedAfter(kind, choice)]);
        await clickIn(list, 'Close');
        await click('Undo');
        await untilIs(now, begun);
      }
      await saveSettings(before);
    },
  );
});

describe('the bar', () => {
  it('keeps a version, shows what was kept, goes back to it, and keeps as new under a name that will do', async () => {
    const on = await onBench('lift-foxing', 'Lift foxing', 'packet-pictures');
    const { draft } = await stored('packet-pictures');
    const before = await held('packet-pictures');
    press(on, 'F2', 'F2', { altKey: true, shiftKey: true });
    await until(() => marks('choice').length > 0);
    press(on, 'Enter');
    await until(async () => (await stored('packet-pictures')).draft.cursor === draft.cursor + 1);
    const versions = (await loadHistory(draft.id)).versions.length;
    await click('Keep changes');
    await until(async () => (await loadHistory(draft.id)).versions.length === versions + 1);
    await choose(/^More for Packet pictures/, 'Kept versions…');
    const shown = await dialog('Kept versions of Packet pictures');
    await clickIn(shown, `Go back to version ${versions}`);
    await untilIs(() => held('packet-pictures'), before);
    await clickIn(shown, 'Close');
    await click('Keep as new…');
    await type('Name', ' ');
    await click('Keep it');
    await said('Give it a name.');
    await submit('Name', 'Evening packets');
    await until(async () =>
      (await loadShelf()).some((one) => one.keymaps.some((keymap) => keymap.name === 'Evening packets')),
    );
    await until(() => window.location.pathname.includes('/evening-packets'));
  });

  it('says what keeps a locked keymap and the factory’s from being changed', async () => {
    await openPage(`/board/${PROGRAM}/factory-keys/crop-tool`);
    const on = await capture('Crop tool');
    press(on, 'F2', 'F2', { altKey: true, shiftKey: true });
    await until(() => marks('choice').length > 0);
    press(on, 'Enter');
    // What is changed is a new keymap; the factory's stays as it is.
    await until(() => /unnamed-keymap/.test(window.location.pathname));
    expect(await keysOf('crop-tool', 'factory-keys')).not.toContain('Alt+Shift+F2');
  });
});

describe('the keyboard', () => {
  it('puts keys clicked on the bench, follows its layers, and tells all of a key', async () => {
    await onBench('leaf-length', 'Leaf length');
    const board = await region('Keyboard');
    fireEvent.click(within(board).getAllByRole('button', { name: 'Alt' })[0] as HTMLElement);
    fireEvent.click(await within(board).findByRole('button', { name: 'Alt+A: free' }, WAIT));
    await until(() => /is free/.test(bench().textContent ?? ''));
    cleanup();
    await openPage(`/board/${PROGRAM}/${KEYMAP}/leaf-length?show=key%20KeyN`);
    const card = await dialog(/^All of the key N/);
    await clickIn(card, 'Clone');
    await untilIs(named, 'Clone');
    expect(screen.queryByRole('dialog')).toBeNull();
  });

  it('is walked by arrows, along its rows and across them, and no further than its edges', async () => {
    await openPage(`/board/${PROGRAM}/${KEYMAP}`);
    const board = await region('Keyboard');
    const key = (code: string) => board.querySelector<HTMLElement>(`[data-code="${code}"]`) as HTMLElement;
    const walk = (...steps: string[]) =>
      steps.map((step) => {
        press(document.activeElement as Element, `Arrow${step}`);
        return document.activeElement?.getAttribute('data-code');
      });
    // One of them takes part in the order of Tab.
    await until(() => key('KeyQ')?.tabIndex === 0);
    expect(board.querySelectorAll('[data-code][tabindex="0"]')).toHaveLength(1);
    const goTo = (code: string): void => {
      key(code).focus();
      fireEvent.focus(key(code));
    };
    goTo('KeyQ');
    expect(walk('Right', 'Down', 'Right', 'Down', 'Up', 'Up')).toEqual([
      ...['KeyW', 'KeyS', 'KeyD', 'KeyX', 'KeyS', 'KeyW'],
    ]);
    goTo('KeyQ');
    expect(walk('Left', 'Left', 'Left')).toEqual(['Tab', 'Tab', 'Tab']);
    expect(walk('Up', 'Up', 'Up', 'Up').slice(-1)).toEqual(['Backquote']);
    // With Ctrl they are keys as others are.
    press(document.activeElement as Element, 'ArrowRight', 'ArrowRight', { ctrlKey: true });
    expect(document.activeElement?.getAttribute('data-code')).toBe('Backquote');
  });

  it('shows the layer of modifiers held, keeps that of one tapped, and none of one that was part of keys', async () => {
    await openPage(`/board/${PROGRAM}/${KEYMAP}`);
    const shown = await screen.findByRole('group', { name: 'Layer shown:' }, WAIT);
    const pressed = () =>
      within(shown)
        .getAllByRole('button')
        .flatMap((one) => (one.getAttribute('aria-pressed') === 'true' ? (one.textContent ?? '') : []));
    const down = (key: string, held: object = {}) =>
      fireEvent.keyDown(document.body, { key, code: `${key}Left`, ...held });
    const up = (key: string, held: object = {}) => fireEvent.keyUp(document.body, { key, code: `${key}Left`, ...held });
    const none = pressed();
    down('Alt', { altKey: true });
    await untilIs(pressed, ['Alt']);
    down('Shift', { altKey: true, shiftKey: true });
    await untilIs(pressed, ['Alt', 'Shift']);
    up('Shift', { altKey: true });
    up('Alt');
    // Shift came up last of those that went down, so it was tapped.
    await untilIs(pressed, ['Shift']);
    down('Shift', { shiftKey: true });
    up('Shift');
    await untilIs(pressed, none);
    down('Control', { ctrlKey: true });
    fireEvent.keyDown(document.body, { key: 'F8', code: 'F8', ctrlKey: true });
    up('Control');
    await untilIs(pressed, none);
    // A window that is left sees no key come up.
    down('Alt', { altKey: true });
    await untilIs(pressed, ['Alt']);
    fireEvent.blur(window);
    await untilIs(pressed, none);
  });

  it('is chosen in its dialog, which says what becomes of the keymap, and moves it where it is told to', async () => {
    await openPage(`/board/${PROGRAM}/${KEYMAP}?show=keyboard`);
    const shown = await dialog();
    const layout = within(shown).getByRole('combobox', { name: 'Language layout' });
    layout.focus();
    fireEvent.mouseDown(layout);
    fireEvent.change(layout, { target: { value: 'German' } });
    fireEvent.click(await screen.findByRole('option', { name: 'German' }, WAIT));
    fireEvent.click(within(shown).getByText('Keep where the fingers go'));
    await until(() => /\d+ changes?/.test(within(shown).getByRole('status').textContent ?? ''));
    const before = await stored();
    await clickIn(shown, /^Use it and move \d+ keys?/);
    await until(async () => (await loadSettings()).layout === 'de');
    expect((await stored()).draft.cursor).toBe(before.draft.cursor + 1);
    await click('Undo');
    await untilIs(async () => (await stored()).draft.cursor, before.draft.cursor);
    await saveSettings({ layout: 'us', shape: 'ansi' });
  });
});

describe('the tape', () => {
  it('goes back to a ticket and forward, opens what it touched, and pulls one out with what rests on it', async () => {
    const view = await stored();
    const before = await held();
    await openPage(`/board/${PROGRAM}/${KEYMAP}`);
    await button('Undo');
    const back = await screen.findAllByRole('button', { name: /^Back to here/ }, WAIT);
    fireEvent.click(back[0] as HTMLElement);
    await until(async () => (await stored()).draft.cursor < view.draft.cursor);
    const gone = (await stored()).draft.cursor;
    // What was undone before stands beyond where it was.
    const forward = screen.getAllByRole('button', { name: /^Redo to here/ });
    fireEvent.click(forward[view.draft.cursor - gone - 1] as HTMLElement);
    await untilIs(async () => (await stored()).draft.cursor, view.draft.cursor);
    const pull = screen.getAllByRole('button', { name: /^Pull out/ });
    fireEvent.click(pull.at(-1) as HTMLElement);
    await until(async () => (await stored()).draft.revision > view.draft.revision);
    await click('Undo');
    await untilIs(held, before);
  });
});
