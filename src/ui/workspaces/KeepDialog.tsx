'use client';

import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import { type FormEvent, useMemo, useState } from 'react';
import type { RoomView } from '@/core/view/views';
import { compareWorkspaces } from '@/core/workspace/compareWorkspaces';
import { PART_WORDS, PARTS, type Part, partsOf, pickParts } from '@/core/workspace/room';
import type { RoomActions } from '../room/useRoom';
import { messageOf } from '../shell/api';
import { Differences } from './Differences';
import styles from './workspaces.module.css';

type Props = {
  readonly roomView: RoomView;
  readonly nameOf: (command: string) => string;
  readonly keymapName: (keymap: number | null) => string;
  readonly actions: RoomActions;
  readonly onClose: () => void;
};

/**
 * Keeps the room under a name: which parts belong to it, whose it is. A name that is there already says what would
 * change, and the old one stays as a version.
 */
export function KeepDialog({ roomView, nameOf, keymapName, actions, onClose }: Props) {
  const { state, workspaces } = roomView;
  const now = workspaces.find((one) => one.id === state.workspace && !one.putAway);
  const [name, setName] = useState(now?.name ?? '');
  const [owner, setOwner] = useState(now?.owner ?? state.person);
  const [parts, setParts] = useState<readonly Part[]>(() => (now ? partsOf(now.versions[0]?.contents ?? {}) : PARTS));
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState('');
  const over = workspaces.find((one) => !one.putAway && one.name === name.trim());
  const differences = useMemo(
    () =>
      over ? compareWorkspaces(over.versions[0]?.contents ?? {}, pickParts(state.room, parts), nameOf, keymapName) : [],
    [over, state.room, parts, nameOf, keymapName],
  );
  const submit = async (event: FormEvent): Promise<void> => {
    event.preventDefault();
    if (name.trim() === '') return setProblem('Give it a name.');
    if (parts.length === 0) return setProblem('Choose at least one part.');
    setBusy(true);
    try {
      if (over) await actions.keepOver(over.id, parts);
      else await actions.keep(name.trim(), owner.trim(), parts);
      onClose();
    } catch (error) {
      setProblem(messageOf(error));
      setBusy(false);
    }
  };
  return (
    <Dialog open onClose={onClose} aria-labelledby="keep-dialog" fullWidth maxWidth="sm">
      <form onSubmit={submit}>
        <DialogTitle id="keep-dialog">Keep as a workspace</DialogTitle>
        <DialogContent>
          <div className="fields">
            <TextField
              label="Name"
              size="small"
              autoFocus
              value={name}
              onChange={(event) => setName(event.target.value)}
              onFocus={(event) => event.target.select()}
              error={problem !== ''}
              helperText={problem || ' '}
              slotProps={{ htmlInput: { maxLength: 120 } }}
            />
            <TextField
              label="Whose it is"
              size="small"
              value={over ? over.owner : owner}
              disabled={over !== undefined}
              onChange={(event) => setOwner(event.target.value)}
              slotProps={{ htmlInput: { maxLength: 80 } }}
            />
            <fieldset className={styles.parts}>
              <legend>What belongs to it</legend>
              {PARTS.map((part) => (
                <label key={part}>
                  <input
                    type="checkbox"
                    checked={parts.includes(part)}
                    onChange={(event) =>
                      setParts((list) =>
                        PARTS.filter((one) => (one === part ? event.target.checked : list.includes(one))),
                      )
                    }
                  />
                  {PART_WORDS[part]}
                </label>
              ))}
              <p className="soft">A switch applies these and leaves everything else as it is.</p>
            </fieldset>
            {over && (
              <div>
                <p>
                  <strong>{over.name}</strong> is there already.{' '}
                  {differences.length === 0 ? 'Nothing of it would change.' : 'This would change:'}
                </p>
                <Differences differences={differences} />
                {differences.length > 0 && (
                  <p className="soft">What it is now stays as version {over.versions[0]?.number}.</p>
                )}
              </div>
            )}
          </div>
        </DialogContent>
        <DialogActions>
          <Button variant="text" onClick={onClose}>
            Leave it
          </Button>
          <Button variant="contained" type="submit" disabled={busy || (over !== undefined && differences.length === 0)}>
            {over ? 'Keep over it' : 'Keep it'}
          </Button>
        </DialogActions>
      </form>
    </Dialog>
  );
}
