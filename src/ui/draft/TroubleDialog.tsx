'use client';

import Button from '@mui/material/Button';
import { DialogFrame } from '../kit/DialogFrame';
import type { Trouble } from './useDraft';

type Props = {
  readonly trouble: Trouble | null;
  readonly onClose: () => void;
  readonly onReload: () => Promise<void>;
};

/** Says why a step was not stored, and offers the newer state where another window has gone on. */
export function TroubleDialog({ trouble, onClose, onReload }: Props) {
  if (trouble === null) return null;
  return (
    <DialogFrame
      title={trouble.stale ? 'Changed in another window' : 'Not stored'}
      onClose={onClose}
      actions={
        <>
          <Button variant="text" onClick={onClose}>
            Leave it
          </Button>
          {trouble.stale && (
            <Button variant="contained" autoFocus onClick={() => void onReload()}>
              Show the newer state
            </Button>
          )}
        </>
      }
    >
      <p>{trouble.message}</p>
    </DialogFrame>
  );
}
