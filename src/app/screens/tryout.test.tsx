// @vitest-environment jsdom
import { createEvent, fireEvent, screen, within } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
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
});
