// @vitest-environment jsdom
import { createEvent, fireEvent, screen, within } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { loadKeymapView } from '@/server/useCases/screens';
import { onScreens, openPage } from '../testing/openPage';
import { button, click, press, take, until, untilIs, WAIT } from '../testing/touch';
import { bringInWalk } from '../testing/walkPrograms';

vi.mock('next/navigation', () => import('../testing/navigation'));
vi.mock('next/server', () => import('../testing/navigation'));
vi.mock('comlink', () => import('../testing/workersHere'));
onScreens(900);

const stage = () => screen.getByRole('application');
const latest = () => screen.queryByRole('log')?.querySelector<HTMLElement>('li');
const fired = () => latest()?.dataset.fired ?? null;
const said = () => latest()?.textContent ?? '';
/** Keys pressed and let go of at once, however long a busy machine takes over it. */
const strike = (key: string, code: string, held: object = {}): void => {
  const down = createEvent.keyDown(stage(), { key, code, ...held });
  const up = createEvent.keyUp(stage(), { key, code, ...held });
  Object.defineProperty(up, 'timeStamp', { value: down.timeStamp + 40 });
  fireEvent(stage(), down);
  fireEvent(stage(), up);
};

describe('the stand-in', () => {
  it('does what keys would do, waits for second ones, acts while some are held, and says why nothing is done', async () => {
    const slug = await bringInWalk('Tried');
    await openPage(`/tryout/${slug}/walk-keys`);
    await screen.findByRole('application', {}, WAIT);
    strike('F9', 'F9');
    await untilIs(fired, 'mend');
    expect(said()).toContain('heard everywhere');
    strike('F9', 'F9', { shiftKey: true });
    await until(() => said().includes('nobody has these keys. Nearest:'));
    strike('Escape', 'Escape');
    await until(() => said().includes('The program keeps these keys: it leaves a tool.'));
    strike('k', 'KeyK', { ctrlKey: true });
    await until(() =>
      screen.getAllByRole('status').some((one) => one.textContent?.includes('waits for the second keys')),
    );
    strike('s', 'KeyS', { ctrlKey: true });
    await untilIs(fired, 'two-steps');
    press(stage(), ' ', 'Space');
    await until(() => screen.queryByText('While held: Slide'));
    fireEvent.keyUp(stage(), { key: ' ', code: 'Space' });
    await until(() => screen.queryByText('While held: Slide') === null);
    strike('q', 'KeyQ');
    await untilIs(fired, 'dot');
    // What is heard over the canvas alone is not heard elsewhere.
    await take('everywhere');
    strike('q', 'KeyQ');
    await until(() => said().includes('Dot is heard only over the canvas.'));
  });

  it('opens what the program would open beside the presses, which go on and put it away', async () => {
    await openPage('/tryout/tarnlight/factory-keys');
    await screen.findByRole('application', {}, WAIT);
    const opened = (name: string) => screen.queryByRole('region', { name });
    strike('o', 'KeyO', { ctrlKey: true });
    await until(() => opened('Open'));
    expect(screen.queryByRole('dialog')).toBeNull();
    strike('p', 'KeyP', { ctrlKey: true });
    await until(() => opened('Print') && !opened('Open'));
    strike('z', 'KeyZ', { ctrlKey: true });
    await untilIs(fired, 'undo');
    expect(opened('Print')).toBeNull();
    strike('o', 'KeyO', { ctrlKey: true });
    await click('Close Open');
    await until(() => !opened('Open'));
  });

  it('does what a menu line says, shows panels, tells of what was done, and starts afresh', async () => {
    await openPage('/tryout/tarnlight/factory-keys');
    const call = async (menu: string, line: string): Promise<void> => {
      fireEvent.click(await screen.findByRole('menuitem', { name: menu }, WAIT));
      const open = await screen.findByRole('menu', { name: menu }, WAIT);
      fireEvent.click(within(open).getByRole('menuitem', { name: line }));
    };
    await call('Find', 'Find foxing');
    await until(() => said().includes('Find foxing'));
    const panel = (name: string) => screen.queryByRole('tabpanel', { name })?.textContent ?? '';
    await until(() => panel('Finds').includes('Foxing1 ×'));
    await call('Layer', 'Hide layer');
    await until(() => panel('Layers').includes('hidden'));
    await click('Readout');
    await until(() => screen.queryByRole('tabpanel', { name: 'Readout' }));
    await click('Start afresh');
    await until(() => !latest() && !panel('Finds').includes('Foxing1 ×'));
  });

  it('follows a tool that is taken, by its key and by a click', async () => {
    await openPage('/tryout/tarnlight/factory-keys');
    const pressed = () =>
      screen.getByRole('toolbar', { name: 'Tools' }).querySelector('[aria-pressed=true]')?.getAttribute('data-tool');
    await button(/^Pick color/);
    strike('w', 'KeyW');
    await untilIs(pressed, 'pick-color');
    await click(/^Paint brush/);
    await untilIs(pressed, 'paint-brush');
    await click('As kept');
    await until(async () => (await button('As kept')).getAttribute('aria-pressed') === 'true');
  });

  it('has its menus walked by arrows, letters and ends, and left by Escape, Tab and a press elsewhere', async () => {
    await openPage('/tryout/tarnlight/factory-keys');
    const bar = await screen.findByRole('menubar', {}, WAIT);
    const names = [...bar.querySelectorAll(':scope > [role=none] > [role=menuitem]')].map((one) => one.textContent);
    const here = () => document.activeElement as HTMLElement;
    const at = () => here().textContent ?? '';
    const key = (name: string, held: object = {}) => press(here(), name, name, held);
    const open = () => screen.queryByRole('menu')?.getAttribute('aria-label') ?? null;
    (bar.querySelector('[tabindex="0"]') as HTMLElement).focus();
    key('ArrowLeft');
    expect(at()).toBe(names.at(-1));
    key('Home');
    key('ArrowRight');
    expect(at()).toBe(names[1]);
    key('ArrowDown');
    await untilIs(open, names[1] ?? '');
    const lines = () =>
      [...screen.getByRole('menu').querySelectorAll('[data-line]')].map((one) => one.textContent ?? '');
    await until(() => at() === lines()[0]);
    key('ArrowDown');
    expect(at()).toBe(lines()[1]);
    key('ArrowUp');
    key('ArrowUp');
    expect(at()).toBe(lines().at(-1));
    key('Home');
    // Letters go to the next line that begins so; several at once to one that begins with all of them.
    const third = lines()[2] ?? '';
    for (const letter of third.slice(0, 3)) key(letter);
    expect(at().startsWith(third.slice(0, 3))).toBe(true);
    key('ArrowRight');
    await untilIs(open, names[2] ?? '');
    key('ArrowLeft');
    await untilIs(open, names[1] ?? '');
    key('Escape');
    await untilIs(open, null);
    expect(at()).toBe(names[1]);
    // With another open the pointer opens what it comes to.
    fireEvent.click(here());
    await untilIs(open, names[1] ?? '');
    fireEvent.mouseEnter(bar.querySelectorAll(':scope > [role=none] > [role=menuitem]')[3] as Element);
    await untilIs(open, names[3] ?? '');
    fireEvent.mouseDown(document.body);
    await untilIs(open, null);
    fireEvent.click(screen.getByRole('menuitem', { name: names[1] ?? '' }));
    await until(() => at() === lines()[0]);
    key('Tab');
    await untilIs(open, null);
    // Shift and Enter lead to the bench of the line.
    fireEvent.click(screen.getByRole('menuitem', { name: 'Find' }));
    await until(() => /^Find/.test(at()) || lines().length > 0);
    key('End');
    const link = here().parentElement?.querySelector('a') as HTMLAnchorElement;
    const clicked = vi.fn((event: Event) => event.preventDefault());
    link.addEventListener('click', clicked);
    key('Enter', { shiftKey: true });
    expect(clicked).toHaveBeenCalledOnce();
    expect(link.getAttribute('href')).toContain('/board/tarnlight/factory-keys/');
  });

  it('lends a tool while its key is held, acts on modifiers held alone, and lets all go when it is left', async () => {
    await openPage('/tryout/tarnlight/factory-keys');
    await screen.findByRole('application', {}, WAIT);
    const tools = screen.getByRole('toolbar', { name: 'Tools' });
    const pressed = () => tools.querySelector('[aria-pressed=true]')?.getAttribute('data-tool');
    strike('w', 'KeyW');
    await untilIs(pressed, 'pick-color');
    const { bindings } = await loadKeymapView('tarnlight', 'factory-keys');
    const [other = '', letter = ''] =
      bindings.find(
        ([id, chord]) => /^[A-Z]$/.test(chord) && id !== 'pick-color' && tools.querySelector(`[data-tool=${id}]`),
      ) ?? [];
    const [key, code] = [letter.toLowerCase(), `Key${letter}`];
    const down = createEvent.keyDown(stage(), { key, code });
    fireEvent(stage(), down);
    await untilIs(pressed, other);
    const up = createEvent.keyUp(stage(), { key, code });
    Object.defineProperty(up, 'timeStamp', { value: down.timeStamp + 600 });
    fireEvent(stage(), up);
    await untilIs(pressed, 'pick-color');
    // Modifiers alone act while they are held, once they can be no beginning of other keys.
    const held = () => screen.queryByText(/^While held:/)?.textContent ?? '';
    press(stage(), 'Alt', 'AltLeft', { altKey: true });
    await until(() => held() !== '');
    fireEvent.keyUp(stage(), { key: 'Alt', code: 'AltLeft' });
    await untilIs(held, '');
    press(stage(), 'Alt', 'AltLeft', { altKey: true });
    await until(() => held() !== '');
    // Nobody sees keys come up where the focus is elsewhere.
    fireEvent.blur(stage());
    await untilIs(held, '');
    // A key that repeats is still the same press.
    const before = screen.getByRole('log').querySelectorAll('li').length;
    fireEvent.keyDown(stage(), { key: 'F9', code: 'F9', repeat: true });
    expect(screen.getByRole('log').querySelectorAll('li')).toHaveLength(before);
  });
});
