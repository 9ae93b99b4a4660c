import Paper from '@mui/material/Paper';
import type { ReactNode } from 'react';
import { Column } from './Column';

type Props = {
  /** What stands at the side, what it is called, and how wide it is; null while there is nothing to choose. */
  readonly side: { readonly label: string; readonly width: string; readonly parts: ReactNode } | null;
  /** What the rest is called. */
  readonly label: string;
  readonly children: ReactNode;
};

/** Choices at the side, and beside them what comes of them; on a small window that comes first. */
export function SidePanes({ side, label, children }: Props) {
  return (
    <main
      className="panes"
      style={{
        display: 'grid',
        gridTemplate: `minmax(0, 1fr) / ${side ? `${side.width} ` : ''}minmax(0, 1fr)`,
        minHeight: 0,
      }}
    >
      {side && (
        <Paper component="section" variant="side" aria-label={side.label}>
          {side.parts}
        </Paper>
      )}
      <Column component="section" aria-label={label} className="first" gap={3} style={MAIN}>
        {children}
      </Column>
    </main>
  );
}

const MAIN = { padding: 'var(--space-4)', minHeight: 0 } as const;
