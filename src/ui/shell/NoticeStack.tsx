'use client';

import Button from '@mui/material/Button';
import SnackbarContent from '@mui/material/SnackbarContent';
import { type CustomContentProps, SnackbarProvider, useSnackbar } from 'notistack';
import { forwardRef, useEffect, useRef } from 'react';
import type { Notice } from './notice';

const Said = forwardRef<HTMLDivElement, CustomContentProps>(function Said({ id, message, action, style }, ref) {
  return (
    <SnackbarContent
      ref={ref}
      style={style}
      message={message}
      action={typeof action === 'function' ? action(id) : action}
    />
  );
});

/** What was said lately, in the corner, one above the other. */
export function NoticeStack({ notices }: { notices: readonly Notice[] }) {
  return (
    <SnackbarProvider
      maxSnack={3}
      autoHideDuration={7000}
      anchorOrigin={{ vertical: 'bottom', horizontal: 'right' }}
      transitionDuration={150}
      disableWindowBlurListener
      Components={{ default: Said }}
    >
      <Sayer notices={notices} />
    </SnackbarProvider>
  );
}

function Sayer({ notices }: { notices: readonly Notice[] }) {
  const { enqueueSnackbar, closeSnackbar } = useSnackbar();
  const said = useRef(0);
  useEffect(() => {
    for (const { words, action } of notices.slice(said.current))
      enqueueSnackbar(words, {
        action:
          action &&
          ((id) => (
            <Button
              variant="text"
              onClick={() => {
                closeSnackbar(id);
                action.run();
              }}
            >
              {action.words}
            </Button>
          )),
      });
    said.current = notices.length;
  }, [notices, enqueueSnackbar, closeSnackbar]);
  return null;
}
