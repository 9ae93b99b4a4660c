'use client';

import Button from '@mui/material/Button';
import { compareWorkspaces } from '@/core/workspace/compareWorkspaces';
import { PART_WORDS, partsOf, pickParts } from '@/core/workspace/room';
import type { RoomView, WorkspaceSummary } from '@/core/workspace/roomView';
import { ScreenDialog } from '../parts/ScreenDialog';
import type { RoomActions } from '../room/useRoom';
import { useStep } from '../shell/useStep';
import { Differences } from './Differences';

type Props = {
  readonly workspace: WorkspaceSummary;
  readonly roomView: RoomView;
  readonly nameOf: (command: string) => string;
  readonly keymapName: (keymap: number | null) => string;
  readonly actions: RoomActions;
  readonly onClose: () => void;
};

/** What belongs to a workspace, what a switch to it would change, and its versions. */
export function WorkspaceDialog({ workspace, roomView, nameOf, keymapName, actions, onClose }: Props) {
  const { room } = roomView.state;
  const [newest, ...older] = workspace.versions;
  const contents = newest?.contents ?? {};
  const parts = partsOf(contents);
  const toHere = compareWorkspaces(pickParts(room, parts), contents, nameOf, keymapName);
  const step = useStep(actions.reload);
  const goBack = (number: number) =>
    step({
      method: 'POST',
      address: `/api/workspaces/${workspace.id}/version`,
      body: { number },
      said: `${workspace.name} is as version ${number} was. Switch to it to have it so here.`,
    });
  return (
    <ScreenDialog
      title={workspace.name}
      onClose={onClose}
      actions={
        <Button
          variant="contained"
          disabled={toHere.length === 0}
          onClick={() => void actions.switchTo(workspace.id).then((next) => next && onClose())}
        >
          Switch to it
        </Button>
      }
    >
      <p>
        {workspace.owner && <>{workspace.owner}. </>}
        {parts.map((one) => PART_WORDS[one]).join(', ')} {parts.length === 1 ? 'belongs' : 'belong'} to it.
      </p>
      <h3>A switch would change</h3>
      {toHere.length === 0 ? (
        <p className="soft">Nothing: all its parts stand so.</p>
      ) : (
        <Differences differences={toHere} />
      )}
      <h3>Versions</h3>
      <ol className="ruled">
        {workspace.versions.map((one, i) => {
          const before = workspace.versions[i + 1];
          return (
            <li key={one.number}>
              <span>
                <strong>{one.number}</strong> <span className="soft">{dateWords(one.keptAt)}</span>
                {i === 0 && ' · what it holds now'}
              </span>
              {before ? (
                <Differences differences={compareWorkspaces(before.contents, one.contents, nameOf, keymapName)} />
              ) : (
                <p className="soft">The first.</p>
              )}
              {i > 0 && (
                <Button variant="text" onClick={() => void goBack(one.number)}>
                  Make version {one.number} what it holds
                </Button>
              )}
            </li>
          );
        })}
      </ol>
      {older.length === 0 && <p className="soft">Keep over it, and what it was stays here.</p>}
    </ScreenDialog>
  );
}

function dateWords(iso: string): string {
  return new Date(iso).toLocaleString('en-US', { dateStyle: 'medium', timeStyle: 'short' });
}
