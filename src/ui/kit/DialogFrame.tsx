'use client';

import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { type FormEventHandler, type ReactNode, useDeferredValue, useId } from 'react';
import { useBackCloses } from './useBackCloses';

type Props = {
  readonly title: ReactNode;
  readonly width?: 'xs' | 'sm' | 'md' | 'lg';
  readonly actions: ReactNode;
  readonly onClose: () => void;
  /** Makes the whole of it a form. */
  readonly onSubmit?: FormEventHandler;
  /** Has its own place in the browser's history, so that back closes it; not where the address says it is open. */
  readonly ownPlace?: boolean;
  /** Drawn bit by bit once the frame stands there, where it is much. */
  readonly soon?: boolean;
  readonly children: ReactNode;
};

/** The frame of every dialog. What is longer than the window is scrolled by keyboard as well. */
export function DialogFrame({
  title,
  width = 'sm',
  actions,
  onClose,
  onSubmit,
  ownPlace = true,
  soon = false,
  children,
}: Props) {
  const id = useId();
  // A portal draws all it has at once, whatever else waits.
  const there = useDeferredValue(true, !soon);
  useBackCloses(ownPlace, onClose);
  const inside = (
    <>
      <DialogTitle id={id}>{title}</DialogTitle>
      <DialogContent tabIndex={0}>{there && children}</DialogContent>
      <DialogActions>{actions}</DialogActions>
    </>
  );
  return (
    <Dialog open onClose={onClose} aria-labelledby={id} fullWidth maxWidth={width}>
      {onSubmit ? (
        <form noValidate onSubmit={onSubmit} style={{ display: 'contents' }}>
          {inside}
        </form>
      ) : (
        inside
      )}
    </Dialog>
  );
}
