// @vitest-environment jsdom
import { cleanup, fireEvent, screen, within } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { hideLines } from '@/core/workspace/dressing';
import { loadKeymapView } from '@/server/useCases/screens';
import { editRoom, loadRoom } from '@/server/useCases/workspaces';
import { onScreens, openPage } from '../testing/openPage';
import {
  button,
  choose,
  click,
  clickIn,
  dialog,
  press,
  region,
  said,
  submit,
  tick,
  type,
  until,
  untilIs,
  WAIT,
} from '../testing/touch';

vi.mock('next/navigation', () => import('../testing/navigation'));
vi.mock('next/server', () => import('../testing/navigation'));
vi.mock('comlink', () => import('../testing/workersHere'));
onScreens(900);

const PROGRAM = 'tarnlight';
const room = async () => (await loadRoom(PROGRAM)).state.room;
const cursor = async () => (await loadRoom(PROGRAM)).state.cursor;
const kept = async (name: string) => (await loadRoom(PROGRAM)).workspaces.find((one) => one.name === name);
const steps = () => screen.getByRole('region', { name: 'Steps' }).textContent ?? '';
/** By the button of the bar; a menu may have a line of that name. */
const undo = async (): Promise<void> => {
  fireEvent.click((await screen.findAllByRole('button', { name: 'Undo' }, WAIT))[0] as HTMLElement);
};
const standsAs = (words: string) => until(() => document.body.textContent?.includes(`Stands as ${words}`));
const part = (name: string) => click(new RegExp(`^${name}$`));
const switchTo = async (name: string): Promise<void> => {
  await click(new RegExp(`^(?:Switch|Back) to it \\(${name}`));
  await standsAs(name);
};

describe('the editors of a workspace', () => {
  it('show and hide panels, open and fold them, and take each step back', async () => {
    await openPage(`/workspaces/${PROGRAM}`);
    const before = await room();
    await tick('Notes');
    await until(() => steps().includes('Notes'));
    await until(async () => JSON.stringify((await room()).panels).includes('notes'));
    await tick('Finds');
    await until(
      async () => JSON.stringify((await room()).panels) !== JSON.stringify(before.panels) && (await cursor()) === 2,
    );
    await undo();
    await undo();
    await untilIs(async () => (await room()).panels, before.panels);
    await click('Redo');
    await untilIs(cursor, 1);
    await undo();
    await untilIs(cursor, 0);
  });

  it('hide lines of menus after asking for those without a key, mark others, bring all back', async () => {
    await openPage(`/workspaces/${PROGRAM}?show=menus`);
    await click(/^Edit/);
    await tick('Undo');
    expect((await dialog()).textContent).toContain('1 keeper: Undo');
    await clickIn(await dialog(), 'Leave it');
    await until(() => screen.queryByRole('dialog') === null);
    expect((await room()).menus.hidden).toEqual([]);
    await click('Hide all of Edit');
    const asked = await dialog();
    expect(asked.textContent).toContain('without a key');
    await clickIn(asked, /^Hide \d+ lines/);
    await until(async () => (await room()).menus.hidden.length > 10);
    const hidden = await region('Hidden lines');
    await until(async () => hidden.textContent?.includes(`${(await room()).menus.hidden.length} lines`));
    await undo();
    await untilIs(async () => (await room()).menus.hidden, []);
    // That was asked once for all: the next lines without keys go at once; a keeper is asked for still.
    const { program, bindings } = await loadKeymapView(PROGRAM, 'factory-keys');
    const held = new Set(bindings.map(([id]) => id));
    await tick(program.commands.find(({ id, path }) => path[0] === 'Edit' && !held.has(id))?.name ?? '');
    await until(async () => (await room()).menus.hidden.length === 1);
    expect(screen.queryByRole('dialog')).toBeNull();
    await undo();
    await tick('Undo');
    expect((await dialog()).textContent).toContain('1 keeper: Undo');
    await clickIn(await dialog(), 'Leave it');
    await until(() => screen.queryByRole('dialog') === null);
    await click(/^Light/);
    await click('Madder red');
    await click('Mark Levels in Madder');
    await untilIs(async () => (await room()).menus.marks, [['levels', 'madder']]);
    await undo();
    await untilIs(async () => (await room()).menus.marks, []);
  });

  it('leave hidden lines their keys, say in the menu that they are there, and bring all back in one step', async () => {
    const { state } = await loadRoom(PROGRAM);
    const { program } = await loadKeymapView(PROGRAM, 'factory-keys');
    const some = program.commands.filter((one) => ['Edit', 'Light', 'Layer', 'Mask'].includes(one.path[0] ?? ''));
    const menus = hideLines(
      state.room.menus,
      some.map((one) => one.id),
    );
    expect(menus.hidden.length).toBeGreaterThan(100);
    await editRoom(PROGRAM, { person: '', revision: state.revision }, 'Hidden', { menus });
    await openPage(`/tryout/${PROGRAM}/factory-keys`);
    const stage = await screen.findByRole('application', {}, WAIT);
    press(stage, 'z', 'KeyZ', { ctrlKey: true });
    fireEvent.keyUp(stage, { key: 'z', code: 'KeyZ', ctrlKey: true });
    await until(() => screen.queryByRole('log')?.textContent?.includes('Undo'));
    fireEvent.click(await screen.findByRole('menuitem', { name: 'Light' }, WAIT));
    const menu = await screen.findByRole('menu', { name: 'Light' }, WAIT);
    expect(menu.querySelectorAll('[data-command]')).toHaveLength(0);
    fireEvent.click(within(menu).getByRole('menuitem', { name: /^Show \d+ hidden lines/ }));
    await until(() => menu.querySelector('[data-command="levels"]'));
    cleanup();
    await openPage(`/workspaces/${PROGRAM}?show=menus`);
    const hidden = await region('Hidden lines');
    expect(hidden.textContent).toContain(`${menus.hidden.length} lines`);
    await clickIn(hidden, 'Bring all back');
    await untilIs(async () => (await room()).menus.hidden, []);
    await undo();
    await untilIs(async () => (await room()).menus.hidden.length, menus.hidden.length);
    await click('Redo');
    await untilIs(async () => (await room()).menus.hidden, []);
  });

  it('move and take away buttons of a strip by keyboard, and leave what was begun', async () => {
    await openPage(`/workspaces/${PROGRAM}?show=tools`);
    const before = await room();
    const one = (await screen.findAllByRole('button', { name: /^Stain finder/ }, WAIT))[0] as HTMLElement;
    one.focus();
    press(one, ' ', 'Space');
    press(document.activeElement as Element, 'ArrowRight');
    press(document.activeElement as Element, 'Escape');
    expect((await room()).tools).toEqual(before.tools);
    press(document.activeElement as Element, 'Delete');
    await until(() => /Take .* off the tool rail/.test(steps()));
    await until(async () => JSON.stringify((await room()).tools) !== JSON.stringify(before.tools));
    await undo();
    await untilIs(async () => (await room()).tools, before.tools);
  });

  it('have buttons added, given another icon, moved and taken off, larger, with words, in other columns', async () => {
    await openPage(`/workspaces/${PROGRAM}?show=tools`);
    const before = await room();
    const tools = async () => (await room()).tools;
    await click('Button bar');
    const add = await region('To add');
    fireEvent.change(within(add).getByLabelText('Find a command to add'), { target: { value: 'zzzz' } });
    await until(() => add.textContent?.includes('Nothing is called so.'));
    fireEvent.change(within(add).getByLabelText('Find a command to add'), { target: { value: 'proof paper' } });
    await clickIn(add, 'Add Proof paper');
    await until(async () => (await tools()).bar.groups.flat().includes('proof-paper'));
    fireEvent.change(within(add).getByLabelText('Find a command to add'), { target: { value: 'gray proof' } });
    await clickIn(add, 'Add Gray proof');
    await until(async () => (await tools()).bar.groups.flat().includes('gray-proof'));
    expect(steps()).toContain('Gray proof to the button bar');
    // What was added is in hand: its icon is searched by a word.
    const icon = await region('Icon of Gray proof');
    const found = () => within(icon).getByRole('status').textContent ?? '';
    await until(() => found() !== 'Searching…');
    fireEvent.change(within(icon).getByRole('searchbox'), { target: { value: 'zzzzqq' } });
    await until(() => found() === 'No icon for that; try another word.');
    fireEvent.change(within(icon).getByRole('searchbox'), { target: { value: 'leaf' } });
    await until(() => /^\d+ icons?$/.test(found()));
    const leaf = within(icon).getByRole('button', { name: 'leaf' });
    fireEvent.click(leaf);
    await until(async () => (await tools()).icons.some(([id, one]) => id === 'gray-proof' && one === 'leaf'));
    await until(() => leaf.getAttribute('aria-pressed') === 'true');
    await clickIn(icon, 'Usual icon');
    await until(async () => !(await tools()).icons.some(([id]) => id === 'gray-proof'));
    const chosen = await region('Gray proof');
    const order = (await tools()).bar.groups.flat().join();
    await clickIn(chosen, 'Earlier');
    await until(async () => (await tools()).bar.groups.flat().join() !== order);
    await clickIn(chosen, 'Take it off');
    await until(async () => !(await tools()).bar.groups.flat().includes('gray-proof'));
    await click('Large');
    await until(async () => (await tools()).bar.size === 'large');
    await click('Tool rail');
    await click('Small');
    await until(async () => (await tools()).rail.size === 'small');
    const columns = await screen.findByRole('group', { name: 'Columns' }, WAIT);
    const other = before.tools.rail.columns === 1 ? '2' : '1';
    await clickIn(columns, other);
    await until(async () => (await tools()).rail.columns === Number(other));
    for (let left = await cursor(); left > 0; left--) {
      await undo();
      await untilIs(cursor, left - 1);
    }
    await untilIs(tools, before.tools);
  });

  it('set the appearance, and the keymap that goes with it', async () => {
    await openPage(`/workspaces/${PROGRAM}?show=appearance`);
    const bright = (await screen.findByLabelText(/^Brightness/, {}, WAIT)) as HTMLInputElement;
    const before = (await room()).appearance.brightness;
    fireEvent.change(bright, { target: { value: String(before === 25 ? 30 : 25) } });
    await until(async () => (await room()).appearance.brightness !== before);
    expect(steps()).toContain('Brightness');
    await undo();
    await untilIs(async () => (await room()).appearance.brightness, before);
    await part('Keymap');
    const mine = (await loadRoom(PROGRAM)).keymaps.find((one) => one.slug === 'packet-pictures');
    fireEvent.click(
      (await screen.findAllByRole('radio', { name: new RegExp(mine?.name ?? '') }, WAIT))[0] as HTMLElement,
    );
    await untilIs(async () => (await room()).keymap, mine?.id ?? null);
    await undo();
    await until(async () => (await room()).keymap !== mine?.id);
  });
});

describe('kept workspaces', () => {
  it('are kept under a name that will do, with the parts that are chosen, switched to, kept over, and gone back in', async () => {
    await openPage(`/workspaces/${PROGRAM}`);
    await tick('Notes');
    await click('Keep as a workspace…');
    await submit('Name', '  ');
    await said('Give it a name.');
    for (const name of ['Menus', 'Appearance', 'Keymap'])
      fireEvent.click(within(await dialog()).getByRole('checkbox', { name }));
    await submit('Name', 'With notes');
    await standsAs('With notes');
    expect(Object.keys((await kept('With notes'))?.versions[0]?.contents ?? {}).sort()).toEqual(['panels', 'tools']);
    const mine = await room();
    await switchTo('Plain desk');
    expect((await room()).panels).not.toEqual(mine.panels);
    await switchTo('With notes');
    await untilIs(async () => (await room()).panels, mine.panels);
    await tick('Finds');
    await standsAs('With notes, 1 part changed');
    await click('Keep as a workspace…');
    await clickIn(await dialog(), 'Keep over it');
    await until(async () => (await kept('With notes'))?.versions.length === 2);
    await click('With notes');
    const shown = await dialog();
    await clickIn(shown, /^Make version 1/);
    await until(async () => (await kept('With notes'))?.versions.length === 3);
    expect((await kept('With notes'))?.versions[0]?.contents).toEqual(
      (await kept('With notes'))?.versions[2]?.contents,
    );
    await clickIn(shown, 'Close');
    await click('Back to factory…');
    await clickIn(await dialog(), 'Set them back');
    await until(() => steps().includes('Back to factory'));
  });

  it('are put away, brought back and renamed, and say so', async () => {
    await openPage(`/workspaces/${PROGRAM}?show=keymap`);
    await choose('More for Mending', 'Put away');
    await said('Mending is put away.');
    expect((await kept('Mending'))?.putAway).toBe(true);
    expect(screen.queryByRole('button', { name: 'More for Mending' })).toBeNull();
    await click('Bring it back');
    await button('More for Mending');
    expect((await kept('Mending'))?.putAway).toBe(false);
    await choose('More for Mending', 'Rename…');
    await type(/^Name/, 'By lamplight');
    await click('Rename it');
    await button('More for By lamplight');
    expect(await kept('By lamplight')).toBeDefined();
  });

  it('are each person’s own room', async () => {
    await openPage(`/workspaces/${PROGRAM}?show=appearance`);
    await choose('For anybody: who sits here', 'Plate retoucher');
    await until(async () => (await loadRoom(PROGRAM)).state.person === 'Plate retoucher');
    await button(/^For Plate retoucher/);
    await until(() => steps().includes('0 steps'));
    cleanup();
    await openPage(`/workspaces/${PROGRAM}`);
    await button(/^For Plate retoucher/);
  });
});
