'use client';

import { useCallback, useEffect, useMemo, useState } from 'react';
import { draftOf } from '@/core/keymap/draft';
import type { CommandId } from '@/core/program/program';
import type { KeymapLink } from '@/core/view/shelf';
import type { Part } from '@/core/workspace/room';
import type { WorkspaceSummary, WorkspacesView } from '@/core/workspace/roomView';
import { useUndoKeys } from '../draft/useUndoKeys';
import { replaceAddress } from '../kit/useBackCloses';
import { useStable } from '../kit/useStable';
import { useKeysOf } from '../parts/useKeysOf';
import { RoomProvider } from '../room/RoomContext';
import { useRoom } from '../room/useRoom';
import { unpacked } from '../shell/unpacked';
import { AppearancePart } from './AppearancePart';
import { AskedOver } from './AskedOver';
import { KeptList } from './KeptList';
import { KeymapPart } from './KeymapPart';
import { MenusPart } from './MenusPart';
import { PanelsPart } from './PanelsPart';
import { StepTape } from './StepTape';
import { ToolsPart } from './ToolsPart';
import { useKeysView } from './useKeysView';
import { WorkspacesBar } from './WorkspacesBar';
import styles from './workspaces.module.css';

type Props = {
  readonly given: WorkspacesView;
  readonly links: readonly KeymapLink[];
  readonly initialShow: Part;
  /** The address of the workspace that is looked at. */
  readonly initialOpen: string | null;
};

/** What surrounds the keys of a program: arranged part by part, kept under a name, switched in one step. */
export function Workspaces({ given, links, initialShow, initialOpen }: Props) {
  const { persons } = given;
  const { programSlug } = given.view;
  const { roomView, actions } = useRoom(programSlug, given.roomView);
  const { state } = roomView;
  const { room } = state;
  const view = useKeysView(given, room.keymap);
  const { program } = view;
  const draft = useMemo(() => draftOf(view), [view]);
  const keysOf = useKeysOf(draft.keymap);
  const [show, setShow] = useState(initialShow);
  const [open, setOpen] = useState<string | null>(initialOpen);
  const [asking, setAsking] = useState<'keep' | 'factory' | null>(null);
  const names = useMemo(() => new Map(program.commands.map((one) => [one.id, one.name])), [program]);
  const nameOf = useCallback((id: CommandId): string => names.get(id) ?? id, [names]);
  const { keymaps } = roomView;
  const keymapName = useCallback(
    (id: number | null): string => keymaps.find((one) => one.id === id)?.name ?? keymaps[0]?.name ?? 'Factory keys',
    [keymaps],
  );
  useEffect(() => {
    const query = new URLSearchParams({ show, ...(open === null ? {} : { open }) });
    replaceAddress(`/workspaces/${programSlug}?${query}`);
  }, [show, open, programSlug]);
  const undo = useStable(() => actions.undo());
  const redo = useStable(() => actions.redo());
  useUndoKeys(undo, redo);
  const opened: WorkspaceSummary | undefined = roomView.workspaces.find((one) => one.slug === open);
  const bench = (command: CommandId): string =>
    `/board/${programSlug}/${view.draft.slug}/${encodeURIComponent(command)}`;
  return (
    <RoomProvider program={program} icons={roomView.icons} chosen={room.tools.icons}>
      <div className="screen">
        <WorkspacesBar {...{ view, links, state, show, undo, redo }} onShow={setShow} />
        <main className={`panes ${styles.screen}`}>
          <KeptList
            roomView={roomView}
            programSlug={programSlug}
            persons={persons}
            actions={actions}
            onOpen={(one) => setOpen(one.slug)}
            onKeep={() => setAsking('keep')}
            onFactory={() => setAsking('factory')}
          />
          <div className={`panes first ${styles.part}`} data-revision={state.revision}>
            {show === 'panels' && (
              <PanelsPart program={program} room={room} keysOf={keysOf} actions={actions} bench={bench} />
            )}
            {show === 'menus' && (
              <MenusPart program={program} room={room} keymap={draft.keymap} keysOf={keysOf} actions={actions} />
            )}
            {show === 'tools' && (
              <ToolsPart program={program} room={room} keymap={draft.keymap} keysOf={keysOf} actions={actions} />
            )}
            {show === 'appearance' && (
              <AppearancePart program={program} room={room} keysOf={keysOf} actions={actions} />
            )}
            {show === 'keymap' && <KeymapPart roomView={roomView} programSlug={programSlug} actions={actions} />}
            <StepTape state={state} onGoTo={actions.goTo} />
          </div>
        </main>
        <AskedOver
          {...{ asking, opened, roomView, nameOf, keymapName, actions }}
          onClose={() => (asking === null ? setOpen(null) : setAsking(null))}
        />
      </div>
    </RoomProvider>
  );
}

export const PackedWorkspaces = unpacked(Workspaces);
