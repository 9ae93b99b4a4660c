// @vitest-environment jsdom
import { act, cleanup, fireEvent, render, screen, within } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { loadSettings, saveSettings } from '@/server/useCases/settings';
import { Refused } from '@/ui/shell/api';
import ScreenError from '../error';
import NotFound from '../not-found';
import { onScreens, openPage } from '../testing/openPage';
import { button, click, clickIn, dialog, field, press, said, until, untilIs } from '../testing/touch';
import { bringInWalk, heldIn } from '../testing/walkPrograms';

vi.mock('next/navigation', () => import('../testing/navigation'));
vi.mock('next/server', () => import('../testing/navigation'));
vi.mock('comlink', () => import('../testing/workersHere'));
onScreens(900);

const bench = () => screen.getByRole('region', { name: 'Bench' }).textContent ?? '';

describe('lamp, text and keys', () => {
  it('are chosen, show at once, and are kept', async () => {
    await openPage('/board/tarnlight/sheet-retouching/crop-tool');
    await until(() => bench().includes('Now on'));
    await click('Lamp');
    const shown = await dialog('Lamp, text and keys');
    await clickIn(shown, 'Dim');
    await until(() => document.documentElement.dataset.lamp === 'dim');
    await clickIn(shown, 'Largest');
    await until(() => document.documentElement.dataset.text === 'largest');
    await clickIn(shown, 'Command');
    await untilIs(async () => {
      const { lamp, textSize, notation } = await loadSettings();
      return [lamp, textSize, notation];
    }, ['dim', 'largest', 'mac']);
    expect(within(shown).getByRole('button', { name: 'Dim' }).getAttribute('aria-pressed')).toBe('true');
    cleanup();
    await openPage('/board/tarnlight/sheet-retouching/lift-stain');
    await until(() => screen.getByRole('region', { name: 'Keyboard' }).textContent?.includes('Option'));
    await saveSettings({ lamp: 'studio', textSize: 'normal', notation: 'windows' });
  });

  it('that are refused stay as they were, and it is said', async () => {
    await openPage('/shelf');
    await click('Lamp');
    const served = fetch;
    vi.stubGlobal('fetch', async (address: string, init?: RequestInit) =>
      init?.method === 'PATCH'
        ? new Response(JSON.stringify({ error: { code: 'full', message: 'The disk is full.' } }), { status: 507 })
        : served(address, init),
    );
    const before = await loadSettings();
    await clickIn(await dialog('Lamp, text and keys'), 'Dim');
    await until(() => document.body.textContent?.includes('The disk is full.'));
    await untilIs(() => document.documentElement.dataset.lamp, before.lamp);
    expect(await loadSettings()).toEqual(before);
  });
});

describe('a wire that fails', () => {
  it('keeps the step, says so, and does it once the wire is there again', async () => {
    const slug = await bringInWalk('Wire');
    await openPage(`/board/${slug}/walk-keys/mend`);
    const on = await field(/^Press the keys/);
    const served = fetch;
    let down = true;
    vi.stubGlobal('fetch', async (address: string, init?: RequestInit) => {
      if (down) throw new TypeError('Failed to fetch');
      return served(address, init);
    });
    press(on, 'F4', 'F4');
    await until(() => document.querySelector('[data-choice]'));
    fireEvent.click(document.querySelector('[data-choice]') as Element);
    // What was done shows, though nothing is stored yet.
    await until(() => screen.getByRole('region', { name: 'Change tape' }).textContent?.includes('1 ticket'));
    expect((await heldIn(slug)).mend).toEqual(['F9']);
    down = false;
    act(() => void window.dispatchEvent(new Event('online')));
    await until(async () => (await heldIn(slug)).mend?.includes('F4'));
    expect((await heldIn(slug)).mend?.filter((one) => one === 'F4')).toHaveLength(1);
  });
});

describe('a screen that could not be shown', () => {
  it.each([
    [new Refused('busy', 'Another process holds the file.'), 'Another process holds the file.'],
    [Object.assign(new Error('x'), { digest: 'said: The disk is full.' }), 'The disk is full.'],
    [Object.assign(new Error('x'), { digest: '12345' }), 'What you have stored is untouched.'],
  ])('says why where it is known, and can be asked for again: %s', async (error, words) => {
    render(<ScreenError error={error} />);
    await said(new RegExp(words));
    expect(await button('Try again')).toBeTruthy();
  });
  it('that is nowhere leads to the Shelf', () => {
    render(<NotFound />);
    expect(screen.getByRole('link', { name: 'Look on the Shelf' }).getAttribute('href')).toBe('/shelf');
  });
});
