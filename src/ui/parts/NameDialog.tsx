'use client';

import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import { type FormEvent, useState } from 'react';
import { messageOf } from '../shell/api';

type Props = {
  readonly title: string;
  readonly action: string;
  readonly name: string;
  /** Left out where nobody owns the thing named. */
  readonly owner?: string;
  readonly hint?: string;
  readonly onClose: () => void;
  readonly onDone: (name: string, owner: string) => Promise<void>;
};

/** Asks for a name, and whose it is; stays open with the reason when it can't be done. */
export function NameDialog({ title, action, name, owner, hint, onClose, onDone }: Props) {
  const [newName, setName] = useState(name);
  const [newOwner, setOwner] = useState(owner ?? '');
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState('');
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    if (newName.trim() === '') return setProblem('Give it a name.');
    setBusy(true);
    try {
      await onDone(newName.trim(), newOwner.trim());
    } catch (error) {
      setProblem(messageOf(error));
      setBusy(false);
    }
  };
  return (
    <Dialog open onClose={onClose} aria-labelledby="name-dialog">
      <form onSubmit={submit}>
        <DialogTitle id="name-dialog">{title}</DialogTitle>
        <DialogContent>
          <div className="fields">
            {hint && <p className="soft">{hint}</p>}
            <TextField
              label="Name"
              size="small"
              autoFocus
              value={newName}
              onChange={(event) => setName(event.target.value)}
              onFocus={(event) => event.target.select()}
              error={problem !== ''}
              helperText={problem || ' '}
              slotProps={{ htmlInput: { maxLength: 120 } }}
            />
            {owner !== undefined && (
              <TextField
                label="Whose it is"
                size="small"
                value={newOwner}
                onChange={(event) => setOwner(event.target.value)}
                helperText="For example Plate retoucher. May stay empty."
                slotProps={{ htmlInput: { maxLength: 80 } }}
              />
            )}
          </div>
        </DialogContent>
        <DialogActions>
          <Button variant="text" onClick={onClose}>
            Leave it
          </Button>
          <Button variant="contained" type="submit" disabled={busy}>
            {action}
          </Button>
        </DialogActions>
      </form>
    </Dialog>
  );
}
