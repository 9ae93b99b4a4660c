// @vitest-environment jsdom
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { act, cleanup, renderHook, screen } from '@testing-library/react';
import fc from 'fast-check';
import { createElement, type ReactNode } from 'react';
import { afterAll, afterEach, beforeAll, describe, expect, it, vi } from 'vitest';
import { draftOf } from '@/core/keymap/draft';
import { bindingsOf, type Keymap } from '@/core/keymap/keymap';
import { sizeDock } from '@/core/workspace/changePanels';
import { hideLines, INKS, markLines } from '@/core/workspace/dressing';
import { closeDatabase } from '@/server/database';
import { seedDemo } from '@/server/demo/seedDemo';
import { editKeymap } from '@/server/testing/draftSteps';
import { duplicateKeymap } from '@/server/useCases/editKeymap';
import { loadKeymapView, loadKeymapViewById } from '@/server/useCases/screens';
import { editRoom, loadRoom } from '@/server/useCases/workspaces';
import { useDraft } from '@/ui/draft/useDraft';
import { usePainted } from '@/ui/parts/usePainted';
import { useRoom } from '@/ui/room/useRoom';
import { NoticeProvider } from '@/ui/shell/Notices';
import { allRoutes, fetchFrom } from './testing/callRoute';

const folder = mkdtempSync(join(tmpdir(), 'gray-pin-'));
const PROGRAM = 'tarnlight';
let served: ReturnType<typeof fetchFrom>;
let onTheWay = 0;
beforeAll(async () => {
  process.env.GRAY_PIN_DATA = folder;
  await seedDemo('demo');
  served = fetchFrom(await allRoutes());
}, 60_000);
afterEach(cleanup);
afterAll(async () => {
  await closeDatabase();
  rmSync(folder, { recursive: true, force: true });
});

/** Answers come after some while, longer and shorter by turns, as over a slow wire. */
function serve(delays: readonly number[] = [0]): void {
  let asked = 0;
  vi.stubGlobal('fetch', async (address: string, init?: RequestInit) => {
    onTheWay++;
    try {
      await new Promise((done) => setTimeout(done, delays[asked++ % delays.length]));
      return await served(address, init);
    } finally {
      onTheWay--;
    }
  });
}
/** Until nothing is on its way any more. */
async function quiet(): Promise<void> {
  await act(async () => {
    for (let still = 0; still < 3; ) {
      await new Promise((done) => setTimeout(done, 1));
      still = onTheWay === 0 ? still + 1 : 0;
    }
  });
}
const Page = ({ children }: { children: ReactNode }) => createElement(NoticeProvider, { nonce: '', children });
/** A hook on a page that can tell people something. */
const shown = <Result, Props>(hook: (props: Props) => Result, options: { initialProps?: Props } = {}) =>
  renderHook(hook, { wrapper: Page, ...options });
const WAIT = { timeout: 60_000 };
const delays = fc.array(fc.nat(6), { minLength: 1, maxLength: 4 });

describe('a room on a screen', () => {
  const lines = async () =>
    (await loadKeymapView(PROGRAM, 'factory-keys')).program.commands.slice(0, 40).map((one) => one.id);
  const leave = () => window.dispatchEvent(new Event('pagehide'));

  it('stands as it is stored, whatever is done and however late the answers come', async () => {
    const ids = await lines();
    type Room = ReturnType<typeof useRoom>;
    const menus = ({ roomView }: Room) => roomView.state.room.menus;
    const panels = ({ roomView }: Room) => roomView.state.room.panels;
    const step: fc.Arbitrary<(room: Room) => unknown> = fc.oneof(
      fc.tuple(fc.constantFrom(...ids), fc.constantFrom(...INKS)).map(
        ([id, ink]) =>
          (room: Room) =>
            room.actions.edit('Mark', { menus: markLines(menus(room), [id], ink) }),
      ),
      fc
        .constantFrom(...ids)
        .map((id) => (room: Room) => room.actions.edit('Hide', { menus: hideLines(menus(room), [id]) })),
      fc
        .double({ min: 0.1, max: 0.5, noNaN: true })
        .map((size) => (room: Room) => room.actions.settle('Size', { panels: sizeDock(panels(room), 'left', size) })),
      fc.constantFrom('undo' as const, 'redo' as const).map((what) => (room: Room) => room.actions[what]()),
      fc.nat(6).map((cursor) => (room: Room) => room.actions.goTo(cursor)),
      fc.constant(quiet),
    );
    await fc.assert(
      fc.asyncProperty(fc.array(step, { minLength: 1, maxLength: 10 }), delays, async (steps, waits) => {
        serve(waits);
        const { result, unmount } = shown(
          ({ given }: { given: Awaited<ReturnType<typeof loadRoom>> }) => useRoom(PROGRAM, given),
          {
            initialProps: { given: await loadRoom(PROGRAM) },
          },
        );
        for (const one of steps) await act(async () => void (await one(result.current)));
        act(() => void leave());
        await quiet();
        const { state } = await loadRoom(PROGRAM);
        expect(screen.queryByRole('alert')).toBeNull();
        expect(result.current.roomView.state).toEqual(state);
        unmount();
        await quiet();
        expect((await loadRoom(PROGRAM)).state).toEqual(state);
      }),
      { numRuns: 25 },
    );
  }, 120_000);

  it('stores what was being set when it is left, as one step', async () => {
    serve();
    const before = await loadRoom(PROGRAM);
    const { result, unmount } = shown(() => useRoom(PROGRAM, before));
    for (const size of [0.2, 0.25, 0.31])
      act(() =>
        result.current.actions.settle('Left dock', {
          panels: sizeDock(result.current.roomView.state.room.panels, 'left', size),
        }),
      );
    unmount();
    await quiet();
    const { state } = await loadRoom(PROGRAM);
    expect(state.revision).toBe(before.state.revision + 1);
    expect(state.room.panels).toEqual(sizeDock(before.state.room.panels, 'left', 0.31));
  });

  it('says that another window changed it, overwrites nothing, and shows what stands', async () => {
    serve();
    // One that nothing above has marked or hidden.
    const id = (await loadKeymapView(PROGRAM, 'factory-keys')).program.commands.at(-1)?.id ?? '';
    const given = await loadRoom(PROGRAM);
    const { result } = shown(() => useRoom(PROGRAM, given));
    const { person, revision, room } = given.state;
    await editRoom(PROGRAM, { person, revision }, 'Elsewhere', { menus: markLines(room.menus, [id], 'woad') });
    const stored = (await loadRoom(PROGRAM)).state;
    act(() => result.current.actions.edit('Hide', { menus: hideLines(room.menus, [id]) }));
    await quiet();
    await vi.waitFor(() => expect(screen.getByText(/was changed in another window/)).toBeTruthy(), WAIT);
    expect((await loadRoom(PROGRAM)).state).toEqual(stored);
    expect(result.current.roomView.state).toEqual(stored);
  });
});

describe('a draft on a screen', () => {
  const fresh = async () => {
    const { draft } = await loadKeymapView(PROGRAM, 'sheet-retouching');
    const copy = await duplicateKeymap(draft.id, `Copy ${Math.random()}`, '');
    const view = await loadKeymapView(PROGRAM, copy.slug);
    return { view, id: view.draft.id };
  };
  const plain = (keymap: Keymap) => [[...keymap.bindings].sort(), [...keymap.spares].sort()];

  it('is what is stored, with its tape and what is kept, whatever is done to it in whatever haste', async () => {
    const CHORDS = ['Alt+Shift+F9', 'Alt+Shift+F10', 'Mod+Alt+F11'];
    type Hook = ReturnType<typeof useDraft>;
    const give = (id: string, chord: string) => (hook: Hook) => {
      const before = bindingsOf(hook.draft.keymap, id);
      const after = before.some((one) => one.chord === chord) ? [] : [{ chord }];
      return hook.actions.edit({ title: `${id} ${chord}`, changes: [{ command: id, before, after }] });
    };
    const { view } = await fresh();
    const ids = view.program.commands
      .filter((one) => one.kind === 'menu item')
      .slice(0, 6)
      .map((one) => one.id);
    const step: fc.Arbitrary<(hook: Hook) => Promise<unknown>> = fc.oneof(
      fc.tuple(fc.constantFrom(...ids), fc.constantFrom(...CHORDS)).map(([id, chord]) => give(id, chord)),
      fc.tuple(fc.constantFrom(...ids), fc.constantFrom(...CHORDS)).map(([id, chord]) => give(id, chord)),
      fc.constant((hook: Hook) => hook.actions.goTo(({ cursor }) => Math.max(0, cursor - 1))),
      fc.constant((hook: Hook) => hook.actions.goTo(() => 0)),
      fc.constant((hook: Hook) => hook.actions.keep()),
      fc.constant((hook: Hook) => hook.actions.discard()),
    );
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.tuple(step, fc.boolean()), { minLength: 1, maxLength: 8 }),
        delays,
        async (steps, waits) => {
          serve(waits);
          const { view: given } = await fresh();
          const { result, unmount } = shown(() => useDraft(given));
          for (const [one, waits] of steps)
            await act(async () => {
              const done = one(result.current);
              if (waits) await done;
            });
          await quiet();
          // A step made in haste may rest on keys that one before it changed; it is refused, and nothing else is.
          const { draft } = result.current;
          const stored = draftOf(await loadKeymapViewById(draft.state.id));
          expect(plain(draft.keymap)).toEqual(plain(stored.keymap));
          expect(plain(draft.kept)).toEqual(plain(stored.kept));
          expect(plain(draft.factory)).toEqual(plain(stored.factory));
          expect(draft.tape.map((one) => one.title)).toEqual(stored.tape.map((one) => one.title));
          expect(draft.state).toMatchObject({ revision: stored.state.revision, cursor: stored.state.cursor });
          unmount();
        },
      ),
      { numRuns: 25 },
    );
  }, 120_000);

  it('shows what is not stored yet, stores it once something answers, and gives way to another window, and says so', async () => {
    const { view, id } = await fresh();
    const [command, other] = view.program.commands.filter((one) => one.kind === 'menu item');
    const { result } = shown(() => useDraft(view));
    const ticketOf = (of: typeof command, chord: string) => ({
      title: chord,
      changes: [
        { command: of?.id ?? '', before: bindingsOf(result.current.draft.keymap, of?.id ?? ''), after: [{ chord }] },
      ],
    });
    const has = (of: typeof command) => bindingsOf(result.current.draft.keymap, of?.id ?? '').map((one) => one.chord);
    vi.stubGlobal('fetch', () => Promise.reject(new TypeError('no wire')));
    let stored: Promise<boolean> = Promise.resolve(false);
    act(() => {
      stored = result.current.actions.edit(ticketOf(command, 'Alt+Shift+F9'));
    });
    expect(has(command)).toEqual(['Alt+Shift+F9']);
    await vi.waitFor(() => expect(screen.getByText(/not stored yet/)).toBeTruthy(), WAIT);
    serve();
    window.dispatchEvent(new Event('online'));
    await act(async () => expect(await stored).toBe(true));

    const now = await loadKeymapViewById(id);
    const elsewhere = ticketOf(command, 'Alt+Shift+F10');
    const [mine, touchesNothing] = [ticketOf(command, 'Alt+Shift+F11'), ticketOf(other, 'Alt+Shift+F12')];
    await editKeymap(id, now.draft.revision, elsewhere);
    await act(async () => expect(await result.current.actions.edit(mine)).toBe(false));
    expect(has(command)).toEqual(['Alt+Shift+F10']);
    await vi.waitFor(() => expect(screen.getByText(/was changed in another window/)).toBeTruthy(), WAIT);
    // What touches nothing that was changed elsewhere goes on from there.
    await editKeymap(id, now.draft.revision + 1, ticketOf(command, 'Alt+Shift+F11'));
    await act(async () => expect(await result.current.actions.edit(touchesNothing)).toBe(true));
    expect([has(command), has(other)]).toEqual([['Alt+Shift+F11'], ['Alt+Shift+F12']]);
  });

  it('has the newest 200 tickets at first, goes back beyond them, and has all of them when asked', async () => {
    serve();
    const { view, id } = await fresh();
    const [command] = view.program.commands.filter((one) => one.kind === 'menu item');
    let [revision, before] = [view.draft.revision, bindingsOf(draftOf(view).keymap, command?.id ?? '')];
    for (let i = 0; i < 203; i++) {
      const after = [{ chord: `Alt+Shift+F${(i % 12) + 1}` }];
      const ticket = { title: `${i + 1}`, changes: [{ command: command?.id ?? '', before, after }] };
      ({ revision } = await editKeymap(id, revision, ticket));
      before = after;
    }
    const given = await loadKeymapViewById(id);
    expect([given.tape.length, given.earlier]).toEqual([200, view.tape.length + 3]);
    const { result } = shown(() => useDraft(given));
    const start = view.tape.length;
    await act(async () => expect(await result.current.actions.goTo(() => start + 2)).toBe(true));
    const stored = draftOf(await loadKeymapViewById(id));
    expect(plain(result.current.draft.keymap)).toEqual(plain(stored.keymap));
    await act(async () => void (await result.current.actions.whole()));
    const titles = result.current.draft.tape.map((one) => one.title).slice(start);
    expect(titles).toEqual(Array.from({ length: 203 }, (_, i) => `${i + 1}`));
    expect(result.current.draft.earlier).toBe(0);
    await act(async () => expect(await result.current.actions.goTo(() => start + 1)).toBe(true));
    expect(bindingsOf(result.current.draft.keymap, command?.id ?? '')).toEqual([{ chord: 'Alt+Shift+F1' }]);
  });

  it('of the factory keymap becomes a keymap of one’s own with the first edit, and goes on with that', async () => {
    serve();
    const view = await loadKeymapView(PROGRAM, 'factory-keys');
    const [command] = view.program.commands.filter((one) => one.kind === 'menu item');
    const { result } = shown(() => useDraft(view));
    const give = (chord: string) => {
      const before = bindingsOf(result.current.draft.keymap, command?.id ?? '');
      return { title: chord, changes: [{ command: command?.id ?? '', before, after: [{ chord }] }] };
    };
    await act(async () => expect(await result.current.actions.edit(give('Alt+Shift+F9'))).toBe(true));
    expect(result.current.draft.state).toMatchObject({ factory: false });
    expect(result.current.draft.state.id).not.toBe(view.draft.id);
    await act(async () => expect(await result.current.actions.edit(give('Alt+Shift+F10'))).toBe(true));
    expect(result.current.draft.tape.map((one) => one.title)).toEqual(['Alt+Shift+F9', 'Alt+Shift+F10']);
    const factory = draftOf(await loadKeymapView(PROGRAM, 'factory-keys'));
    expect(plain(factory.keymap)).toEqual(plain(draftOf(view).keymap));
  });
});

describe('a value as last painted', () => {
  it('follows after the next frame, and only the last of several in one', async () => {
    const seen: string[] = [];
    const { rerender } = renderHook(({ value }) => seen.push(usePainted(value)), { initialProps: { value: 'a' } });
    rerender({ value: 'b' });
    rerender({ value: 'c' });
    expect(new Set(seen)).toEqual(new Set(['a']));
    await vi.waitFor(() => expect(seen.at(-1)).toBe('c'), WAIT);
    expect(seen).not.toContain('b');
  });
});
