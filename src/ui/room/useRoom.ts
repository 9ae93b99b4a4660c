'use client';

import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { applyWorkspace, type Part, stepTo, type Workspace } from '@/core/workspace/room';
import type { RoomState, RoomView } from '@/core/workspace/roomView';
import { useKept } from '../sync/useKept';
import { roomNow, roomWay } from '../sync/ways';

/** How long a slider or an arrow key rests, in ms, before what it set is stored as one step. */
const SETTLES = 300;

/** The ways to change a room. Each shows at once; a promise says whether it was stored. */
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
  readonly keep: (name: string, owner: string, parts: readonly Part[]) => Promise<boolean>;
  readonly keepOver: (workspace: number, parts: readonly Part[]) => Promise<boolean>;
  /** Reads everything again, as after workspaces were renamed, put away or brought in. */
  readonly reload: () => Promise<void>;
};

/** What is being set little by little, and not a step yet. */
type Setting = { readonly title: string; readonly parts: Workspace };

/** A person's room in a program as this window has it, what is kept, and the ways to change them. */
export function useRoom(program: string, given: RoomView) {
  const way = useMemo(() => roomWay(program), [program]);
  const initial = useMemo(() => ({ revision: given.state.revision, value: given }), [given]);
  const [view, send, kept] = useKept(`room ${program} ${given.state.person}`, initial, way);
  const { setting, settle, flush } = useSetting(
    useCallback(({ title, parts }) => void send({ kind: 'step', title, parts }), [send]),
  );
  const roomView = useMemo(
    () =>
      setting ? { ...view, state: { ...view.state, room: applyWorkspace(view.state.room, setting.parts) } } : view,
    [view, setting],
  );
  const actions = useMemo((): RoomActions => {
    const now = (): RoomState => kept.store.getState().shown.state;
    const move = (to: (state: RoomState) => number): void => {
      flush();
      const cursor = to(now());
      if (cursor >= 0 && cursor <= now().steps.length && cursor !== now().cursor) void send({ kind: 'move', cursor });
    };
    return {
      edit: (title, parts) => {
        flush();
        if (stepTo(now().room, title, parts) !== null) void send({ kind: 'step', title, parts });
      },
      settle: (title, parts) => settle({ title, parts }),
      goTo: (cursor) => move(() => cursor),
      undo: () => move((state) => state.cursor - 1),
      redo: () => move((state) => state.cursor + 1),
      switchTo: async (workspace) => {
        flush();
        return (await send({ kind: 'switch', workspace })) ? now() : null;
      },
      keep: (name, owner, parts) => {
        flush();
        return send({ kind: 'keep', name, owner, parts });
      },
      keepOver: (workspace, parts) => {
        flush();
        return send({ kind: 'keep over', workspace, parts });
      },
      reload: async () => {
        flush();
        await kept.settled();
        kept.heard(await roomNow(program));
      },
    };
  }, [program, kept, send, settle, flush]);
  return { roomView, actions };
}

export type RoomHook = ReturnType<typeof useRoom>;

/** What is set little by little becomes a step when it rests, when something else is set, or when the page is left. */
function useSetting(step: (setting: Setting) => void) {
  const [setting, setSetting] = useState<Setting | null>(null);
  const waiting = useRef<(Setting & { readonly timer: number }) | null>(null);
  const flush = useCallback((): void => {
    const one = waiting.current;
    if (!one) return;
    waiting.current = null;
    window.clearTimeout(one.timer);
    step({ title: one.title, parts: one.parts });
    setSetting(null);
  }, [step]);
  const settle = useCallback(
    ({ title, parts }: Setting): void => {
      if (waiting.current && waiting.current.title !== title) flush();
      if (waiting.current) window.clearTimeout(waiting.current.timer);
      const next = { title, parts: { ...waiting.current?.parts, ...parts } };
      waiting.current = { ...next, timer: window.setTimeout(flush, SETTLES) };
      setSetting(next);
    },
    [flush],
  );
  useEffect(() => {
    window.addEventListener('pagehide', flush);
    return () => {
      window.removeEventListener('pagehide', flush);
      flush();
    };
  }, [flush]);
  return { setting, settle, flush };
}
