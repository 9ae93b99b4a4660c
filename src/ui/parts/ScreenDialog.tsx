'use client';

import Button from '@mui/material/Button';
import type { ReactNode } from 'react';
import { DialogFrame } from '../kit/DialogFrame';

type Props = {
  readonly title: ReactNode;
  readonly wide?: boolean;
  readonly actions?: ReactNode;
  readonly onClose: () => void;
  readonly children: ReactNode;
};

/** What is shown over a screen, until it is closed. */
export function ScreenDialog({ title, wide = false, actions, onClose, children }: Props) {
  return (
    <DialogFrame
      title={title}
      width={wide ? 'md' : 'sm'}
      onClose={onClose}
      actions={
        <>
          {actions}
          <Button variant="text" onClick={onClose}>
            Close
          </Button>
        </>
      }
    >
      {children}
    </DialogFrame>
  );
}
