'use client';

import Button from '@mui/material/Button';

/** Shown when a screen fails; what was stored is untouched. */
export default function ScreenError({ error, reset }: { error: Error & { digest?: string }; reset: () => void }) {
  const said = /^said: (.+)$/s.exec(error.digest ?? '')?.[1];
  return (
    <main className="screen">
      <div className="bar">
        <h1>This screen could not be shown</h1>
      </div>
      <div className="empty">
        <p>{said ?? 'What you have stored is untouched. Try once more; if it happens again, restart Gray Pin.'}</p>
        <Button variant="contained" onClick={reset}>
          Try again
        </Button>
      </div>
    </main>
  );
}
