'use client';

import Button from '@mui/material/Button';
import Paper from '@mui/material/Paper';
import Stack from '@mui/material/Stack';
import { useState } from 'react';
import { stepTo } from '@/core/workspace/room';
import type { RoomView, WorkspaceSummary } from '@/core/workspace/roomView';
import { FileButton } from '../kit/FileButton';
import { NameDialog } from '../parts/NameDialog';
import { PutAway } from '../parts/PutAway';
import type { RoomActions } from '../room/useRoom';
import { ask, messageOf } from '../shell/api';
import { useNotice } from '../shell/Notices';
import { useStep } from '../shell/useStep';
import { KeptCard } from './KeptCard';
import { PersonMenu } from './PersonMenu';

type Props = {
  readonly roomView: RoomView;
  readonly programSlug: string;
  readonly persons: readonly string[];
  readonly actions: RoomActions;
  readonly onOpen: (workspace: WorkspaceSummary) => void;
  readonly onKeep: () => void;
  readonly onFactory: () => void;
};

/** The workspaces of a program: whose they are, what belongs to them, and switching to one in one step. */
export function KeptList({ roomView, programSlug, persons, actions, onOpen, onKeep, onFactory }: Props) {
  const { state, workspaces, factory } = roomView;
  const tell = useNotice();
  const [naming, setNaming] = useState<{ readonly one: WorkspaceSummary; readonly copy: boolean } | null>(null);
  const kept = workspaces.filter((one) => !one.putAway);
  const away = workspaces.filter((one) => one.putAway);
  const now = workspaces.find((one) => one.id === state.workspace);
  const changed = Object.keys(stepTo(state.room, '', now?.versions[0]?.contents ?? factory)?.after ?? {}).length;

  const step = useStep(actions.reload);
  const putAway = (one: WorkspaceSummary, away: boolean): void =>
    void step({
      address: `/api/workspaces/${one.id}`,
      body: { putAway: away },
      said: away ? `${one.name} is put away.` : `${one.name} is back.`,
      ...(away ? { undo: { words: 'Bring it back', body: { putAway: false }, said: `${one.name} is back.` } } : {}),
    });
  const bringIn = async (chosen: File): Promise<void> => {
    try {
      const { names } = await ask<{ names: string[] }>('POST', `/api/programs/${programSlug}/workspaces/file`, {
        text: await chosen.text(),
      });
      await actions.reload();
      tell(`${names.join(', ')} came in.`);
    } catch (error) {
      tell(messageOf(error));
    }
  };
  const switchTo = (one: WorkspaceSummary): void =>
    void actions.switchTo(one.id).then((next) => {
      if (!next) return;
      tell(`Switched to ${one.name}.`, { words: 'Undo', run: () => actions.undo() });
    });
  return (
    <Paper component="aside" variant="side" aria-label="Workspaces">
      <PersonMenu person={state.person} persons={persons} />
      <Stack spacing={2}>
        <p>
          {now ? (
            <>
              Stands as <strong>{now.name}</strong>
              {changed > 0 && <>, {changed === 1 ? '1 part' : `${changed} parts`} changed</>}
            </>
          ) : changed > 0 ? (
            <>Arranged by you, not kept yet</>
          ) : (
            <>As the program comes</>
          )}
        </p>
        <Button variant="contained" onClick={onKeep}>
          Keep as a workspace…
        </Button>
      </Stack>
      <Stack component="ul" spacing={2}>
        {kept.map((one) => (
          <KeptCard
            key={one.id}
            {...{ one, state, onOpen }}
            onSwitch={() => switchTo(one)}
            onName={(copy) => setNaming({ one, copy })}
            onPutAway={() => putAway(one, true)}
          />
        ))}
      </Stack>
      {kept.length === 0 && (
        <p className="soft">Arrange the panels, menus and tools until the room fits, then keep it here under a name.</p>
      )}
      <Stack sx={{ alignItems: 'flex-start' }}>
        <Button variant="text" onClick={onFactory}>
          Back to factory…
        </Button>
        <FileButton
          label="A file with workspaces"
          accept=".json,application/json"
          onFile={(chosen) => void bringIn(chosen)}
        >
          Bring one in…
        </FileButton>
      </Stack>
      <PutAway away={away} onBack={(one) => putAway(one, false)} />
      {naming && (
        <NameDialog
          title={naming.copy ? `Duplicate ${naming.one.name}` : `Rename ${naming.one.name}`}
          action={naming.copy ? 'Make the copy' : 'Rename it'}
          name={naming.copy ? `Copy of ${naming.one.name}` : naming.one.name}
          owner={naming.copy ? state.person || naming.one.owner : naming.one.owner}
          onClose={() => setNaming(null)}
          onDone={async (name, owner) => {
            const address = `/api/workspaces/${naming.one.id}`;
            if (naming.copy) await ask('POST', `${address}/duplicate`, { name, owner });
            else await ask('PATCH', address, { name, owner });
            setNaming(null);
            await actions.reload();
          }}
        />
      )}
    </Paper>
  );
}
