import Box from '@mui/material/Box';
import { TriangleAlert } from 'lucide-react';
import { memo, useMemo } from 'react';
import { counted } from '@/core/text/sentence';
import { type BesideLine, type InContext, inContext } from '@/core/writeBack/besideLines';
import { VirtualRows } from '../kit/VirtualRows';
import type { Shown } from './Proof';

type Props = {
  readonly lines: readonly BesideLine[];
  readonly shown: Exclude<Shown, 'cannot'>;
  /** Words that stand nowhere in the file. */
  readonly guessed: readonly string[];
};
const LINE = 26;
const AROUND = 2;

/** The lines of a file as they are and as they will be, side by side. */
export function Beside({ lines, shown, guessed }: Props) {
  const rows = useMemo(
    () =>
      shown === 'whole'
        ? lines
        : inContext(lines, (line) => (shown === 'add' ? line.before === null : line.changed), AROUND),
    [lines, shown],
  );
  return (
    <VirtualRows
      rows={rows}
      keyOf={(row, i) => ('skipped' in row ? `skipped ${i}` : `${row.before?.number ?? ''} ${row.after?.number ?? ''}`)}
      height={LINE}
      className="card"
      style={{ flex: 1, minHeight: '12rem' }}
      empty={<p className="empty">No line changes: the file holds these keys already.</p>}
      head={
        <Box sx={HEAD}>
          <span>Now</span>
          <span>As it will be</span>
        </Box>
      }
      rowsRole="list"
      rowsLabel="Lines as they are and as they will be"
    >
      {(row) => <BesideRow row={row} guessed={guessed} />}
    </VirtualRows>
  );
}

const SIDES = {
  display: 'grid',
  gridTemplateColumns: 'minmax(0, 1fr) minmax(0, 1fr)',
} as const;
const HEAD = {
  ...SIDES,
  position: 'sticky',
  top: 0,
  zIndex: 1,
  background: 'var(--card-2)',
  fontWeight: 700,
  '& > *': { padding: 'var(--space-1) var(--space-3)' },
} as const;
const ROW = {
  ...SIDES,
  font: 'var(--type-2) / 1.6 var(--face-keys)',
  '& > *': {
    display: 'flex',
    gap: 'var(--space-3)',
    padding: '0 var(--space-3)',
    whiteSpace: 'break-spaces',
    overflowWrap: 'anywhere',
    tabSize: 4,
  },
  // On a small window what becomes of a line stands below it, and what stays stands once.
  '@media (max-width: 45rem)': {
    gridTemplateColumns: 'minmax(0, 1fr)',
    '&:not([data-changed]) > :last-of-type': { display: 'none' },
    '& [data-number]': { minWidth: '1.6rem' },
  },
  '& > :first-of-type': { borderRight: '1px solid var(--line-soft)' },
  '& > * > *': { minWidth: 0 },
  '& [data-number]': { flex: 'none', minWidth: '2.6rem', textAlign: 'right', color: 'var(--soft)' },
  '&[data-changed] > :first-of-type': { background: 'var(--card-2)' },
  '&[data-changed] > :first-of-type del': { textDecoration: 'line-through' },
  '&[data-changed] > :last-of-type': { background: 'var(--yours-wash)', color: 'var(--yours-deep)' },
  '& mark': {
    background: 'none',
    color: 'inherit',
    fontWeight: 700,
    textDecoration: 'underline',
    textUnderlineOffset: '3px',
  },
} as const;

const BesideRow = memo(function BesideRow({
  row,
  guessed,
}: {
  readonly row: InContext;
  readonly guessed: readonly string[];
}) {
  if ('skipped' in row)
    return (
      <Box sx={ROW} className="soft">
        {[0, 1].map((side) => (
          <div key={side} aria-hidden={side === 1}>
            <span aria-hidden data-number>
              ⋯
            </span>
            <span>{counted(row.skipped, 'line')} the same</span>
          </div>
        ))}
      </Box>
    );
  const { before, after, changed } = row;
  return (
    <Box sx={ROW} data-changed={changed || undefined}>
      <div>
        <span data-number>{before?.number}</span>
        {before && (changed ? <del>{before.text}</del> : <span>{before.text}</span>)}
      </div>
      <div>
        <span data-number>{after?.number}</span>
        <span>
          {after?.parts.map((part, i) =>
            part.anew && part.text !== '' ? (
              <mark key={i}>
                {part.text}
                {guessed.some((word) => part.text.includes(word)) && (
                  <TriangleAlert
                    size={14}
                    aria-label="guessed"
                    style={{ marginLeft: 'var(--space-1)', verticalAlign: '-2px' }}
                  />
                )}
              </mark>
            ) : (
              <span key={i}>{part.text}</span>
            ),
          )}
        </span>
      </div>
    </Box>
  );
});
