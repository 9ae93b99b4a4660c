// @vitest-environment jsdom
import { act, cleanup, fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import type { ReactNode } from 'react';
import { afterEach, beforeAll, beforeEach, describe, expect, it, vi } from 'vitest';
import { DEFAULT_SETTINGS } from '@/core/settings/settings';
import { onDemoDatabase } from '@/server/testing/onDemoDatabase';
import { loadAdvice, loadWishes } from '@/server/useCases/advice';
import { listLinks, loadKeymapView, loadShelf } from '@/server/useCases/screens';
import { loadRoom, loadWorkspaces } from '@/server/useCases/workspaces';
import { Board } from '@/ui/board/Board';
import { Shelf } from '@/ui/shelf/Shelf';
import { NoticeProvider } from '@/ui/shell/Notices';
import { SettingsProvider } from '@/ui/shell/SettingsContext';
import { Wishes } from '@/ui/wishes/Wishes';
import { Workspaces } from '@/ui/workspaces/Workspaces';
import { allRoutes, fetchFrom } from './testing/callRoute';

const router = vi.hoisted(() => ({ refresh: () => undefined as unknown, push: () => undefined }));
vi.mock('next/navigation', () => ({
  useRouter: () => router,
  usePathname: () => '/',
  useServerInsertedHTML: () => {},
}));

onDemoDatabase();
const [PROGRAM, KEYMAP] = ['tarnlight', 'sheet-retouching'];
let served: ReturnType<typeof fetchFrom>;
beforeAll(async () => {
  served = fetchFrom(await allRoutes());
});
beforeEach(() => {
  vi.stubGlobal('fetch', served);
  vi.stubGlobal('requestIdleCallback', (work: (deadline: object) => void) =>
    window.setTimeout(() => work({ didTimeout: true, timeRemaining: () => 50 })),
  );
  vi.stubGlobal('cancelIdleCallback', window.clearTimeout);
  vi.stubGlobal(
    'ResizeObserver',
    class {
      observe = () => undefined;
      unobserve = () => undefined;
      disconnect = () => undefined;
    },
  );
  vi.stubGlobal(
    'Worker',
    class extends EventTarget {
      postMessage = () => undefined;
      terminate = () => undefined;
    },
  );
  Element.prototype.scrollIntoView = () => undefined;
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const settings = { revision: 0, value: DEFAULT_SETTINGS };
const Page = ({ children }: { children: ReactNode }) => (
  <NoticeProvider nonce="">
    <SettingsProvider initial={settings}>{children}</SettingsProvider>
  </NoticeProvider>
);
const WAIT = { timeout: 20_000 };
const button = (name: string | RegExp) => screen.findByRole('button', { name }, WAIT);
const click = async (name: string | RegExp): Promise<void> => {
  fireEvent.click(await button(name));
};
const choose = async (menu: string, line: string): Promise<void> => {
  await click(menu);
  fireEvent.click(await screen.findByRole('menuitem', { name: line }, WAIT));
};

describe('the Shelf', () => {
  async function show(): Promise<void> {
    const { rerender } = render(<Shelf programs={await loadShelf()} at={null} />, { wrapper: Page });
    router.refresh = async () => {
      const programs = await loadShelf();
      act(() => rerender(<Shelf programs={programs} at={null} />));
    };
  }

  it('duplicates, says what is wrong with a name at its field, puts away and brings back', async () => {
    await show();
    await choose('More for Sheet retouching of Tarnlight', 'Duplicate…');
    const field = await screen.findByRole('textbox', { name: /^Name/ }, WAIT);
    fireEvent.change(field, { target: { value: '  ' } });
    await click('Make the copy');
    expect(await screen.findByText('Give it a name.', {}, WAIT)).toBeTruthy();
    fireEvent.change(field, { target: { value: 'For the plate room' } });
    await click('Make the copy');
    const open = () => screen.queryByRole('heading', { name: 'For the plate room' });
    await waitFor(() => expect(open()).not.toBeNull(), WAIT);
    await choose('More for For the plate room of Tarnlight', 'Put away');
    await waitFor(() => expect(open()).toBeNull(), WAIT);
    const stands = async () =>
      (await loadShelf())[0]?.keymaps.find((one) => one.name === 'For the plate room')?.putAway;
    expect(await stands()).toBe(true);
    // The notice has the way back, and so has the list.
    await click('Bring it back');
    await waitFor(() => expect(open()).not.toBeNull(), WAIT);
    expect(await stands()).toBe(false);
  });
});

describe('the Board', () => {
  async function show(keymap = KEYMAP) {
    const view = await loadKeymapView(PROGRAM, keymap);
    const given = { view, advice: await loadAdvice(view), links: await listLinks() };
    render(<Board {...given} initialCommand={null} initialShown={null} />, { wrapper: Page });
    return view;
  }
  const bench = () => screen.getByRole('region', { name: 'Bench' });
  const finder = () => screen.getByRole('combobox');
  const capture = (name: string) => screen.findByRole('textbox', { name: `Press the keys you want for ${name}` }, WAIT);
  const find = async (words: string, name: string): Promise<HTMLElement> => {
    fireEvent.change(finder(), { target: { value: words } });
    fireEvent.keyDown(finder(), { key: 'Enter', code: 'Enter' });
    return capture(name);
  };
  const press = (on: HTMLElement, key: string, code: string, held: object = {}) =>
    fireEvent.keyDown(on, { key, code, ...held });
  const keysOf = async (command: string) =>
    (await loadKeymapView(PROGRAM, KEYMAP)).bindings.filter(([id]) => id === command).map(([, chord]) => chord);
  const idOf = (view: Awaited<ReturnType<typeof show>>, name: string) =>
    view.program.commands.find((one) => one.name === name)?.id ?? '';

  it('finds, takes keys pressed, tells of them, takes them back, and stores each step', async () => {
    const view = await show();
    const id = idOf(view, 'Leaf length');
    const field = await find('leaf length', 'Leaf length');
    press(field, 'a', 'KeyA', { altKey: true });
    await waitFor(() => expect(bench().textContent).toMatch(/free/i), WAIT);
    press(field, 'Enter', 'Enter');
    await waitFor(async () => expect(await keysOf(id)).toContain('Alt+A'), WAIT);
    expect(screen.getByRole('region', { name: 'Change tape' }).textContent).toContain('Leaf length');
    await click('Undo');
    await waitFor(async () => expect(await keysOf(id)).not.toContain('Alt+A'), WAIT);
    await click('Redo');
    await waitFor(async () => expect(await keysOf(id)).toContain('Alt+A'), WAIT);
  });

  it('looks for the holder of keys that are pressed into the finder, and leaves by Escape', async () => {
    await show();
    press(finder(), 's', 'KeyS', { altKey: true });
    press(finder(), 'Enter', 'Enter');
    const field = await screen.findByRole('textbox', { name: 'Press the keys you want for Sheet edge' }, WAIT);
    field.focus();
    press(field, 'a', 'KeyA', { altKey: true });
    press(field, 'Escape', 'Escape');
    await waitFor(() => expect((field as HTMLInputElement).value).toBe(''));
    expect(document.activeElement).toBe(field);
    press(field, 'Escape', 'Escape');
    expect(document.activeElement).toBe(finder());
  });

  it('says who has the keys, gives them, and asks before a keeper loses its own', async () => {
    const view = await show();
    const [keeper] = view.bindings.filter(([, chord, kept]) => kept && chord === 'Mod+S');
    const holder = view.program.commands.find((one) => one.id === keeper?.[0])?.name ?? '';
    const field = await find('count spots', 'Count spots');
    press(field, 's', 'KeyS', { ctrlKey: true });
    expect(await within(bench()).findByText(holder, {}, WAIT)).toBeTruthy();
    press(field, 'Enter', 'Enter');
    const dialog = await screen.findByRole('dialog', {}, WAIT);
    expect(dialog.textContent).toContain(holder);
    expect(await keysOf(idOf(view, 'Count spots'))).toEqual([]);
  });
});

describe('the wish list', () => {
  it('ticks many at once and takes them back, and so does clearing', async () => {
    render(<Wishes wishes={await loadWishes(PROGRAM, KEYMAP)} links={await listLinks()} initialShown="plan" />, {
      wrapper: Page,
    });
    const wished = async () => (await loadWishes(PROGRAM, KEYMAP)).list.value?.wishes ?? [];
    const before = await wished();
    expect(before.length).toBeGreaterThan(1);
    await click('Clear the list');
    await waitFor(async () => expect(await wished()).toEqual([]), WAIT);
    await click('Take it back');
    await waitFor(async () => expect([...(await wished())].sort()).toEqual([...before].sort()), WAIT);
  });
});

describe('the workspaces', () => {
  it('are put away, brought back and renamed, and say so', async () => {
    const given = await loadWorkspaces(PROGRAM);
    render(<Workspaces given={given} links={await listLinks()} initialShow="keymap" initialOpen={null} />, {
      wrapper: Page,
    });
    const stored = async (name: string) => (await loadRoom(PROGRAM)).workspaces.find((one) => one.name === name);
    const [first] = given.roomView.workspaces.filter((one) => !one.putAway);
    const name = first?.name ?? '';
    await choose(`More for ${name}`, 'Put away');
    await screen.findByText(`${name} is put away.`, {}, WAIT);
    expect((await stored(name))?.putAway).toBe(true);
    expect(screen.queryByRole('button', { name: `More for ${name}` })).toBeNull();
    await click('Bring it back');
    await button(`More for ${name}`);
    expect((await stored(name))?.putAway).toBe(false);
    await choose(`More for ${name}`, 'Rename…');
    fireEvent.change(await screen.findByRole('textbox', { name: /^Name/ }, WAIT), {
      target: { value: 'By lamplight' },
    });
    await click('Rename it');
    await button('More for By lamplight');
    expect(await stored('By lamplight')).toBeDefined();
  });

  it('is each person’s own', async () => {
    render(
      <Workspaces given={await loadWorkspaces(PROGRAM)} links={[]} initialShow="appearance" initialOpen={null} />,
      {
        wrapper: Page,
      },
    );
    let asked = 0;
    router.refresh = () => {
      asked++;
    };
    await choose('For anybody: who sits here', 'Plate retoucher');
    await waitFor(() => expect(asked).toBe(1), WAIT);
    expect((await loadRoom(PROGRAM)).state.person).toBe('Plate retoucher');
  });
});
