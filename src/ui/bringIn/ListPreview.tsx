'use client';

import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import { Pencil } from 'lucide-react';
import { memo, startTransition, useCallback, useDeferredValue, useMemo, useState } from 'react';
import { pathText } from '@/core/program/program';
import type { Choices } from '@/core/reading/choices';
import { correctRows } from '@/core/reading/correctRows';
import { clashesIn } from '@/core/reading/doubtOf';
import type { Preview } from '@/core/reading/preview';
import type { ReadRow } from '@/core/reading/readTable';
import type { FormRead } from '@/core/reading/tables';
import { counted } from '@/core/text/sentence';
import { FilterChip } from '../kit/FilterChip';
import { IconAction } from '../kit/IconAction';
import { Row } from '../kit/Row';
import { VirtualRows } from '../kit/VirtualRows';
import { KeyCaps } from '../parts/KeyCaps';
import styles from './bringIn.module.css';
import { ColumnRoles } from './ColumnRoles';
import { CorrectRow } from './CorrectRow';
import type { useCorrections } from './useCorrections';

type ListPreviewProps = {
  readonly preview: Extract<Preview, { kind: 'list' }>;
  readonly rows: readonly ReadRow[];
  readonly corrections: ReturnType<typeof useCorrections>;
  readonly busy: boolean;
  readonly onSay: (said: Partial<Choices>) => void;
  /** Goes on to showing a line of the file. */
  readonly onShow: () => void;
};

const FORM_WORDS: Readonly<Record<FormRead, string>> = {
  'web page': 'A web page',
  table: 'A table',
  Markdown: 'A Markdown text',
  settings: 'A file of settings',
  bindings: 'Lines that bind keys',
  'text in columns': 'A text in columns',
  lines: 'A list of lines',
  'program text': 'A list in a program',
  'manual source': 'The source of a manual',
  'accelerator map': 'An accelerator map',
  JSON: 'A JSON file',
  XML: 'An XML file',
  YAML: 'A YAML file',
  TOML: 'A TOML file',
  'property list': 'A property list',
  workbook: 'A workbook',
  shown: 'Lines as you showed them',
};
const SHOWN = ['all', 'used', 'partly', 'unused', 'corrected'] as const;
const HEADS = ['Row', 'Command', 'Where', 'Keys', 'Remark', ''];
type Kinds = { readonly [Shown in (typeof SHOWN)[number]]: readonly ReadRow[] };

/** The rows by what became of them, in one pass over thousands, and how many commands have keys. */
function sorted(rows: readonly ReadRow[]): { readonly kinds: Kinds; readonly withKeys: number } {
  const [used, partly, unused, corrected]: [ReadRow[], ReadRow[], ReadRow[], ReadRow[]] = [[], [], [], []];
  let withKeys = 0;
  for (const row of rows) {
    if (row.command !== null) used.push(row);
    if (row.command !== null && row.command.keys.length > 0) withKeys++;
    if (row.result === 'partly') partly.push(row);
    else if (row.result === 'unused') unused.push(row);
    if (row.corrected) corrected.push(row);
  }
  return { kinds: { all: rows, used, partly, unused, corrected }, withKeys };
}

const numbers = new WeakMap<ReadRow, number>();
let last = 0;
/** A number for each row, the same as long as it is: a text for each of thousands takes its time at each filter. */
function numberOf(row: ReadRow): number {
  const known = numbers.get(row);
  if (known !== undefined) return known;
  numbers.set(row, ++last);
  return last;
}

/** As high as a row of one line is, so that few have to be measured otherwise. */
const ROW = 37;

/** What was understood of a list, row by row, and the columns it was read from, to be corrected. */
export function ListPreview(props: ListPreviewProps) {
  const { preview, rows: read, corrections, busy, onSay, onShow } = props;
  const { format, dialect, doubt } = preview.reading;
  const [asked, setShow] = useState<(typeof SHOWN)[number] | null>(null);
  const [correcting, setCorrecting] = useState<ReadRow | null>(null);
  // The form is drawn bit by bit, with what it takes from a list of thousands.
  const correct = useCallback((row: ReadRow) => startTransition(() => setCorrecting(row)), []);
  const rows = useMemo(() => correctRows(read, corrections.now), [read, corrections.now]);
  const { kinds, withKeys } = useMemo(() => sorted(rows), [rows]);
  const { used: commands, partly, unused, corrected } = kinds;
  // What is counted over all rows comes after the picture that a person waits for.
  const later = useDeferredValue(rows);
  const clashes = useMemo(
    () => (later === read ? preview.reading.clashes : clashesIn(later)),
    [later, read, preview.reading.clashes],
  );
  // Of a file that holds other things, too, what was found in it is of interest first.
  const show = asked ?? (unused.length > 0.5 * rows.length && commands.length > 0 ? 'used' : 'all');
  const there = read.length === preview.count;
  const labels = {
    all: `All rows ${rows.length}`,
    used: `Commands ${commands.length}`,
    partly: `With a remark ${partly.length}`,
    unused: `Left out ${unused.length}`,
    corrected: `Corrected by you ${corrected.length}`,
  };
  return (
    <>
      <Row wraps gap={3} align="baseline" apart>
        <p role="status">
          {FORM_WORDS[format]} ({preview.encoding}
          {dialect === 'mac' ? ', Mac keys' : ''}) with <strong>{counted(commands.length, 'command')}</strong>,{' '}
          {withKeys} of them with keys
          {there ? '. ' : `; row ${read.length} of ${preview.count} is there. `}
          {there && doubt === null && partly.length + unused.length === 0 && 'Every row was understood. '}
          {partly.length > 0 && `${counted(partly.length, 'row')} ${partly.length === 1 ? 'has' : 'have'} a remark. `}
          {unused.length > 0 &&
            `${counted(unused.length, 'row')} ${unused.length === 1 ? 'is' : 'are'} left out, ${unused.length === 1 ? '' : 'each '}with its reason. `}
          {clashes > 0 && `On ${counted(clashes, 'chord')} several commands stand.`}
        </p>
        {format !== 'workbook' && (
          <Button variant="text" disabled={busy} onClick={onShow}>
            {format === 'shown' ? 'Change what you showed…' : 'Read wrongly? Show one line…'}
          </Button>
        )}
      </Row>
      {preview.asFor !== null && (
        <Alert
          severity="info"
          action={
            <Button variant="text" disabled={busy} onClick={() => onSay({ roles: [], shown: [], signs: null })}>
              Read it afresh
            </Button>
          }
        >
          Read as you had the list of {preview.asFor} read before.
        </Alert>
      )}
      {doubt !== null && corrected.length === 0 && (
        <Alert severity="error">
          This list was probably not understood as it is meant. {doubt} Look at what the columns hold
          {format === 'workbook' ? '' : ', or show one line of it,'} before you bring it in.
        </Alert>
      )}
      {format !== 'shown' && <ColumnRoles reading={preview.reading} busy={busy} onSay={onSay} />}
      <Row wraps role="group" aria-label="Rows shown">
        {SHOWN.filter((one) => one !== 'corrected' || corrected.length > 0).map((one) => (
          <FilterChip key={one} pressed={show === one} onClick={() => startTransition(() => setShow(one))}>
            {labels[one]}
          </FilterChip>
        ))}
        {corrections.undo && (
          <Button variant="text" onClick={corrections.undo}>
            Undo the last correction
          </Button>
        )}
      </Row>
      <VirtualRows
        rows={kinds[show]}
        keyOf={numberOf}
        height={ROW}
        className={`card ${styles.rows}`}
        role="table"
        aria-label="Rows as they were understood"
        aria-rowcount={kinds[show].length + 1}
        rowsRole="rowgroup"
        head={
          <div role="row" className={`wraps ${styles.head}`}>
            {HEADS.map((one) => (
              <span key={one} role="columnheader">
                {one || <span className="hidden">Correct</span>}
              </span>
            ))}
          </div>
        }
        empty={<p className="empty">There are none.</p>}
      >
        {(row, i) => <RowView row={row} place={i + 2} onCorrect={correct} />}
      </VirtualRows>
      {correcting && (
        <CorrectRow row={correcting} rows={rows} onSay={corrections.say} onClose={() => setCorrecting(null)} />
      )}
    </>
  );
}

const RESULT_WORDS: Readonly<Record<ReadRow['result'], string>> = {
  used: '',
  partly: '',
  heading: 'Not a command',
  again: 'Not a command',
  unused: 'Left out',
};

type RowViewProps = {
  readonly row: ReadRow;
  readonly place: number;
  readonly onCorrect: (row: ReadRow) => void;
};

/** Drawn again only where it changes: there are thousands, and they come page by page. */
const RowView = memo(function RowView({ row, place, onCorrect }: RowViewProps) {
  const { command } = row;
  return (
    <div role="row" aria-rowindex={place} className={`wraps ${styles.row}`} data-result={row.result}>
      <span role="cell" className="soft">
        {row.line}
      </span>
      <span role="cell">
        {command ? (
          <strong>{command.name}</strong>
        ) : (
          <span className="soft">{row.cells.filter(Boolean).join(' | ')}</span>
        )}
      </span>
      <span role="cell" className="soft">
        {command ? pathText(command.path) : ''}
      </span>
      <span role="cell">
        <Row wraps gap={3}>
          {command?.keys.map((chord) => (
            <KeyCaps key={chord} chord={chord} />
          ))}
        </Row>
      </span>
      <span role="cell">
        {RESULT_WORDS[row.result] !== '' && <b>{RESULT_WORDS[row.result]}. </b>}
        {row.why}
        {row.corrected && command && <span className="soft">Corrected by you.</span>}
      </span>
      <span role="cell">
        <IconAction
          icon={Pencil}
          label={`Correct row ${row.line}${command ? `, ${command.name}` : ''}`}
          tip="Correct"
          onClick={() => onCorrect(row)}
        />
      </span>
    </div>
  );
});
