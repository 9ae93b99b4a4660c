import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import TextField from '@mui/material/TextField';
import { memo, useMemo, useState } from 'react';
import { pathText } from '@/core/program/program';
import type { ReadRow } from '@/core/reading/readTable';
import { FilterChip } from '../kit/FilterChip';
import { Row } from '../kit/Row';
import { VirtualRows } from '../kit/VirtualRows';
import { KeyCaps } from '../parts/KeyCaps';
import styles from './bringIn.module.css';

type Props = {
  readonly lines: readonly string[];
  /** The line that is marked. */
  readonly chosen: string | null;
  /** What lines are read as, by their numbers. */
  readonly read: ReadonlyMap<number, ReadRow>;
  readonly onChoose: (text: string) => void;
};
const LINE = 30;
const SHOWN = ['keys', 'all'] as const;
const SHOWN_WORDS = { keys: 'Lines with keys', all: 'All lines' } as const;
/** What keys are written with, in one way or another. */
const KEYS =
  /\b(?:ctrl|control|alt|shift|cmd|command|strg|maj|super|meta|mod\d?)(?: ?[+_-] ?|>)\S|[⌘⌥⇧⌃]|\bF\d{1,2}\b|\b[CMSA]-\S|\^[A-Z]/iu;

/** The lines of a file, each beside what it is read as; first those in which keys may stand. */
export function LinesOfFile({ lines, chosen, read, onChoose }: Props) {
  const [show, setShow] = useState<(typeof SHOWN)[number] | null>(null);
  const [sought, setSought] = useState('');
  const kinds = useMemo(() => {
    const all = lines.flatMap((text, i) => (text.trim() === '' ? [] : [{ number: i + 1, text }]));
    return { keys: all.filter(({ text }) => KEYS.test(text)), all };
  }, [lines]);
  const shown = show ?? (kinds.keys.length > 0 ? 'keys' : 'all');
  const seen = useMemo(() => {
    const words = sought.trim().toLowerCase();
    return words === '' ? kinds[shown] : kinds[shown].filter(({ text }) => text.toLowerCase().includes(words));
  }, [kinds, shown, sought]);
  return (
    <>
      <Row wraps gap={3} align="center">
        <Row gap={2} role="group" aria-label="Lines shown">
          {SHOWN.map((one) => (
            <FilterChip key={one} pressed={shown === one} onClick={() => setShow(one)}>
              {`${SHOWN_WORDS[one]} ${kinds[one].length}`}
            </FilterChip>
          ))}
        </Row>
        <TextField
          aria-label="Find in the file"
          placeholder="Find in the file"
          value={sought}
          slotProps={{ htmlInput: { 'aria-label': 'Find in the file' } }}
          onChange={(event) => setSought(event.target.value)}
        />
      </Row>
      <VirtualRows
        rows={seen}
        empty={<p className="empty">No line has that.</p>}
        keyOf={(line) => `${line.number}`}
        height={LINE}
        className={`card ${styles.rows}`}
        head={
          <Box sx={HEAD}>
            <span>Line</span>
            <span>In the file</span>
            <span>Read as</span>
          </Box>
        }
        rowsRole="list"
        rowsLabel="The file, line by line"
      >
        {({ number, text }) => (
          <LineOfFile
            number={number}
            text={text}
            chosen={chosen === text}
            row={read.get(number)}
            onChoose={() => onChoose(text)}
          />
        )}
      </VirtualRows>
    </>
  );
}

type LineProps = {
  readonly number: number;
  readonly text: string;
  readonly chosen: boolean;
  /** What it is read as; nothing where no line was shown yet, or it is empty. */
  readonly row: ReadRow | undefined;
  readonly onChoose: () => void;
};

const COLUMNS = {
  display: 'grid',
  gridTemplateColumns: '3rem minmax(0, 3fr) minmax(0, 2fr)',
  // On a small window what it is read as stands below the line.
  '@media (max-width: 45rem)': {
    gridTemplateColumns: '2rem minmax(0, 1fr)',
    '& > :last-child': { gridColumn: '1 / -1' },
  },
} as const;
const HEAD = {
  ...COLUMNS,
  position: 'sticky',
  top: 0,
  zIndex: 1,
  gap: 'var(--space-3)',
  padding: 'var(--space-1) var(--space-4)',
  background: 'var(--card-2)',
  fontWeight: 700,
} as const;
const LAYOUT = {
  ...COLUMNS,
  gap: 'var(--space-3)',
  width: '100%',
  padding: 'var(--space-1) var(--space-4)',
  textAlign: 'left',
  alignItems: 'baseline',
  borderBottom: '1px solid var(--line-soft)',
  font: 'inherit',
  color: 'inherit',
  '&:hover': { background: 'var(--card-2)' },
  '&[aria-pressed="true"]': { boxShadow: 'inset 4px 0 0 var(--yours)', background: 'var(--yours-wash)' },
} as const;

/** A line of a file beside what it is read as. */
const LineOfFile = memo(function LineOfFile({ number, text, chosen, row, onChoose }: LineProps) {
  const command = row?.command;
  return (
    <ButtonBase sx={LAYOUT} aria-pressed={chosen} disabled={text.trim() === ''} onClick={onChoose}>
      <span className="soft">{number}</span>
      <span className="keys" style={{ whiteSpace: 'pre-wrap', overflowWrap: 'anywhere', tabSize: 4 }}>
        {text}
      </span>
      <span>
        {command ? (
          <>
            {command.path.length > 0 && <span className="soft">{pathText(command.path)} › </span>}
            <strong>{command.name}</strong>{' '}
            {command.keys.map((chord) => (
              <span key={chord}>
                <KeyCaps chord={chord} />{' '}
              </span>
            ))}
            {row?.why}
          </>
        ) : (
          row && (
            <span className="soft">
              {row.result === 'heading' ? 'A heading' : row.result === 'again' ? row.why : 'Not read'}
            </span>
          )
        )}
      </span>
    </ButtonBase>
  );
}, same);

function same(a: LineProps, b: LineProps): boolean {
  return a.text === b.text && a.number === b.number && a.chosen === b.chosen && a.row === b.row;
}
