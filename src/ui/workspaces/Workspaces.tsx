'use client';

import Button from '@mui/material/Button';
import Link from 'next/link';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { draftOf } from '@/core/keymap/draft';
import type { KeymapView } from '@/core/keymap/keymapView';
import type { CommandId } from '@/core/program/program';
import type { KeymapLink } from '@/core/view/shelf';
import { PART_WORDS, PARTS, type Part } from '@/core/workspace/room';
import type { WorkspaceSummary, WorkspacesView } from '@/core/workspace/roomView';
import { useUndoKeys } from '../draft/useUndoKeys';
import { Segments } from '../kit/Segments';
import { replaceAddress } from '../kit/useBackCloses';
import { useStable } from '../kit/useStable';
import { ActionsMenu } from '../parts/ActionsMenu';
import { useKeysOf } from '../parts/useKeysOf';
import { RoomProvider } from '../room/RoomContext';
import { useRoom } from '../room/useRoom';
import { ask, messageOf } from '../shell/api';
import { useNotice } from '../shell/Notices';
import { unpacked } from '../shell/unpacked';
import { AppearancePart } from './AppearancePart';
import { FactoryDialog } from './FactoryDialog';
import { KeepDialog } from './KeepDialog';
import { KeptList } from './KeptList';
import { KeymapPart } from './KeymapPart';
import { MenusPart } from './MenusPart';
import { PanelsPart } from './PanelsPart';
import { StepTape } from './StepTape';
import { ToolsPart } from './ToolsPart';
import { WorkspaceDialog } from './WorkspaceDialog';
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
  const [view, setView] = useState(given.view);
  const { program, programSlug } = view;
  const { roomView, actions } = useRoom(programSlug, given.roomView);
  const { state } = roomView;
  const { room } = state;
  const draft = useMemo(() => draftOf(view), [view]);
  const keysOf = useKeysOf(draft.keymap);
  const tell = useNotice();
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
  // The keys beside lines are those of the room's keymap; the first there is is the factory's.
  const wanted = room.keymap ?? keymaps[0]?.id;
  useEffect(() => {
    if (wanted === undefined || wanted === view.draft.id) return;
    let still = true;
    ask<KeymapView>('GET', `/api/keymaps/${wanted}/view`).then(
      (next) => still && setView(next),
      (error) => tell(messageOf(error)),
    );
    return () => {
      still = false;
    };
  }, [wanted, view.draft.id, tell]);
  const opened: WorkspaceSummary | undefined = roomView.workspaces.find((one) => one.slug === open);
  const bench = (command: CommandId): string =>
    `/board/${programSlug}/${view.draft.slug}/${encodeURIComponent(command)}`;
  const programs = [...new Map(links.map((one) => [one.program, one.programName]))];
  return (
    <RoomProvider program={program} icons={roomView.icons} chosen={room.tools.icons}>
      <div className="screen">
        <header className="bar">
          <h1>Workspaces</h1>
          <ActionsMenu
            label={`Program: ${program.name}`}
            words={program.name}
            actions={programs.map(([slug, name]) => [name, `/workspaces/${slug}?show=${show}`] as const)}
          />
          <Segments
            label="What is arranged"
            hidden
            value={show}
            options={PARTS.map((part) => [part, PART_WORDS[part]])}
            onChange={setShow}
          />
          <span className="push" />
          <Button
            variant="text"
            aria-disabled={state.cursor === 0}
            data-tip={state.cursor > 0 ? state.steps[state.cursor - 1] : undefined}
            onClick={undo}
          >
            Undo
          </Button>
          <Button
            variant="text"
            aria-disabled={state.cursor >= state.steps.length}
            data-tip={state.steps[state.cursor]}
            onClick={redo}
          >
            Redo
          </Button>
          <Button variant="text" component={Link} href={`/tryout/${programSlug}/${view.draft.slug}`} prefetch={false}>
            Try it
          </Button>
        </header>
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
        {asking === 'keep' && (
          <KeepDialog
            roomView={roomView}
            nameOf={nameOf}
            keymapName={keymapName}
            actions={actions}
            onClose={() => setAsking(null)}
          />
        )}
        {asking === 'factory' && (
          <FactoryDialog
            roomView={roomView}
            nameOf={nameOf}
            keymapName={keymapName}
            actions={actions}
            onClose={() => setAsking(null)}
          />
        )}
        {opened && (
          <WorkspaceDialog
            workspace={opened}
            roomView={roomView}
            nameOf={nameOf}
            keymapName={keymapName}
            actions={actions}
            onClose={() => setOpen(null)}
          />
        )}
      </div>
    </RoomProvider>
  );
}

export const PackedWorkspaces = unpacked(Workspaces);
