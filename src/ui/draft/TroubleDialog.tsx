'use client';

import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogContentText from '@mui/material/DialogContentText';
import DialogTitle from '@mui/material/DialogTitle';
import type { Trouble } from './useDraft';

/** Says why a step was not stored, and offers the newer state where another window has gone on. */
export function TroubleDialog({
  trouble,
  onClose,
  onReload,
}: {
  trouble: Trouble | null;
  onClose: () => void;
  onReload: () => Promise<void>;
}) {
  return (
    <Dialog open={trouble !== null} onClose={onClose} aria-labelledby="trouble-title">
      <DialogTitle id="trouble-title">{trouble?.stale ? 'Changed in another window' : 'Not stored'}</DialogTitle>
      <DialogContent>
        <DialogContentText>{trouble?.message}</DialogContentText>
      </DialogContent>
      <DialogActions>
        <Button variant="text" onClick={onClose}>
          Leave it
        </Button>
        {trouble?.stale && (
          <Button variant="contained" autoFocus onClick={() => void onReload()}>
            Show the newer state
          </Button>
        )}
      </DialogActions>
    </Dialog>
  );
}
