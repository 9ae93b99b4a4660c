'use client';

import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import type { ReactNode } from 'react';

type Props = {
  readonly title: ReactNode;
  readonly wide?: boolean;
  readonly actions?: ReactNode;
  readonly onClose: () => void;
  readonly children: ReactNode;
};

/** The frame of what is shown over the Board. */
export function ScreenDialog({ title, wide = false, actions, onClose, children }: Props) {
  return (
    <Dialog open onClose={onClose} aria-labelledby="screen-dialog" fullWidth maxWidth={wide ? 'md' : 'sm'}>
      <DialogTitle id="screen-dialog">{title}</DialogTitle>
      {/* What is longer than the window is scrolled by keyboard as well. */}
      <DialogContent tabIndex={0}>{children}</DialogContent>
      <DialogActions>
        {actions}
        <Button variant="text" onClick={onClose}>
          Close
        </Button>
      </DialogActions>
    </Dialog>
  );
}
