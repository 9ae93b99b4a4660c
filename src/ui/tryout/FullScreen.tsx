'use client';

import Button from '@mui/material/Button';
import { useEffect, useState } from 'react';

type LockingKeyboard = { readonly keyboard?: { lock(): Promise<void>; unlock(): void } };

/** Full screen, where a browser can hand over the keys it otherwise takes for itself. */
export function FullScreen() {
  const [on, setOn] = useState(false);
  useEffect(() => {
    const follow = (): void => {
      const full = document.fullscreenElement !== null;
      setOn(full);
      if (!full) (navigator as LockingKeyboard).keyboard?.unlock();
    };
    document.addEventListener('fullscreenchange', follow);
    return () => document.removeEventListener('fullscreenchange', follow);
  }, []);
  const toggle = async (): Promise<void> => {
    if (document.fullscreenElement) return document.exitFullscreen();
    await document.documentElement.requestFullscreen();
    await (navigator as LockingKeyboard).keyboard?.lock().catch(() => undefined);
  };
  return (
    <Button variant="outlined" onClick={() => void toggle().catch(() => undefined)}>
      {on ? 'Leave full screen' : 'Full screen, to catch all keys'}
    </Button>
  );
}
