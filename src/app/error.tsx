'use client';

import dynamic from 'next/dynamic';
import { Refused } from '@/ui/shell/api';

/** Every page ships this one, so its button comes only with it; without, the page can still be read. */
const Button = dynamic(() => import('@mui/material/Button').catch(() => ({ default: () => null })));

/** Shown when a screen fails; what was stored is untouched. */
export default function ScreenError({ error }: { error: Error & { digest?: string } }) {
  const said = error instanceof Refused ? error.message : /^said: (.+)$/s.exec(error.digest ?? '')?.[1];
  return (
    <main className="screen">
      <div className="bar">
        <h1>This screen could not be shown</h1>
      </div>
      <div className="empty">
        <p>{said ?? 'What you have stored is untouched. Try once more; if it happens again, restart Gray Pin.'}</p>
        {/* What the page was given may be what it could not be shown with, so it is asked for again. */}
        <Button variant="contained" onClick={() => window.location.reload()}>
          Try again
        </Button>
      </div>
    </main>
  );
}
