'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import type { RoomState, RoomView } from '@/core/view/views';
import { applyWorkspace, type Part, stepTo, type Workspace } from '@/core/workspace/room';
import type { Trouble } from '../draft/useDraft';
import { ask, messageOf, Refused } from '../shell/api';

/** How long a slider or an arrow key rests, in ms, before what it set is stored as one step. */
const SETTLES = 300;

/** The ways to change a room. Each shows at once and is stored one after the other. */
export type RoomActions = {
  /** Changes some parts, as one step. */
  readonly edit: (title: string, parts: Workspace) => void;
  /** The same for what is set little by little: one step when it rests. */
  readonly settle: (title: string, parts: Workspace) => void;
  /** Goes back or forth to where so many steps are applied. */
  readonly goTo: (cursor: number) => void;
  readonly undo: () => void;
  readonly redo: () => void;
  /** @returns how the room stands then; null where it could not be done. */
  readonly switchTo: (workspace: number) => Promise<RoomState | null>;
  readonly keep: (name: string, owner: string, parts: readonly Part[]) => Promise<void>;
  readonly keepOver: (workspace: number, parts: readonly Part[]) => Promise<void>;
  /** Reads everything again, as after workspaces were renamed, put away or brought in. */
  readonly reload: () => Promise<void>;
};

/**
 * A person's room in a program, and what is kept. Edits are shown at once and stored in their order: what is shown is the
 * room as last stored with all that is still on its way, or not yet sent, on top of it.
 */
export function useRoom(program: string, given: RoomView) {
  const [roomView, setRoomView] = useState(given);
  const [trouble, setTrouble] = useState<Trouble | null>(null);
  const stored = useRef(given);
  const shown = useRef(given.state.room);
  const queue = useRef<Promise<unknown>>(Promise.resolve());
  const onTheWay = useRef<readonly Workspace[]>([]);
  const waiting = useRef<{ readonly title: string; readonly parts: Workspace; readonly timer: number } | null>(null);

  const show = useCallback(() => {
    const { state } = stored.current;
    const above = [...onTheWay.current, ...(waiting.current ? [waiting.current.parts] : [])];
    shown.current = above.reduce(applyWorkspace, state.room);
    setRoomView({ ...stored.current, state: { ...state, room: shown.current } });
  }, []);
  /** Does some work after all that was asked for before. @param parts what it changes, shown until it is done. */
  const run = useCallback(
    <T>(work: () => Promise<T>, parts: Workspace = {}): Promise<T> => {
      onTheWay.current = [...onTheWay.current, parts];
      const mine = queue.current.then(work).finally(() => {
        onTheWay.current = onTheWay.current.filter((one) => one !== parts);
        show();
      });
      queue.current = mine.catch(() => undefined);
      return mine;
    },
    [show],
  );
  const fail = useCallback((error: unknown) => {
    setTrouble({ stale: error instanceof Refused && error.code === 'changed elsewhere', message: messageOf(error) });
  }, []);
  const post = useCallback(async (address: string, body: object): Promise<void> => {
    const { person, revision } = stored.current.state;
    const state = await ask<RoomState>('POST', address, { person, revision, ...body }, true);
    stored.current = { ...stored.current, state };
  }, []);
  const store = useCallback(
    (title: string, parts: Workspace): void => {
      run(() => post(`/api/programs/${program}/room`, { title, parts }), { ...parts }).catch(fail);
      show();
    },
    [run, post, program, fail, show],
  );
  const flush = useCallback((): void => {
    const one = waiting.current;
    waiting.current = null;
    if (!one) return;
    window.clearTimeout(one.timer);
    store(one.title, one.parts);
  }, [store]);
  useEffect(() => {
    window.addEventListener('pagehide', flush);
    return () => {
      window.removeEventListener('pagehide', flush);
      flush();
    };
  }, [flush]);
  const move = (to: (state: RoomState) => number): void => {
    flush();
    run(async () => {
      const { state } = stored.current;
      const cursor = to(state);
      if (cursor >= 0 && cursor <= state.steps.length && cursor !== state.cursor)
        await post(`/api/programs/${program}/room/steps`, { cursor });
    }).catch(fail);
  };
  const reload = async (): Promise<void> => {
    flush();
    await run(async () => {
      stored.current = await ask<RoomView>('GET', `/api/programs/${program}/room`);
    });
    setTrouble(null);
  };

  const [actions] = useState<RoomActions>(() => ({
    edit: (title, parts) => {
      flush();
      if (stepTo(shown.current, title, parts) !== null) store(title, parts);
    },
    settle: (title, parts) => {
      if (waiting.current && waiting.current.title !== title) flush();
      if (waiting.current) window.clearTimeout(waiting.current.timer);
      const all = { ...waiting.current?.parts, ...parts };
      waiting.current = { title, parts: all, timer: window.setTimeout(flush, SETTLES) };
      show();
    },
    goTo: (cursor) => move(() => cursor),
    undo: () => move((state) => state.cursor - 1),
    redo: () => move((state) => state.cursor + 1),
    switchTo: (workspace) => {
      flush();
      return run(() => post(`/api/workspaces/${workspace}/switch`, {})).then(
        () => stored.current.state,
        (error) => {
          fail(error);
          return null;
        },
      );
    },
    keep: async (name, owner, parts) => {
      flush();
      await run(() => post(`/api/programs/${program}/workspaces`, { name, owner, parts }));
      await reload();
    },
    keepOver: async (workspace, parts) => {
      flush();
      await run(() => post(`/api/workspaces/${workspace}/keep`, { parts }));
      await reload();
    },
    reload,
  }));
  return { roomView, trouble, dismiss: () => setTrouble(null), actions };
}

export type RoomHook = ReturnType<typeof useRoom>;
