'use client';

import { useVirtualizer } from '@tanstack/react-virtual';
import { useMemo, useRef, useState } from 'react';
import { pathText } from '@/core/program/program';
import { ROLES, type Role } from '@/core/reading/columnRoles';
import type { ReadRow } from '@/core/reading/readCommandList';
import { counted } from '@/core/text/sentence';
import type { Preview } from '@/core/view/views';
import { KeyCaps } from '../parts/KeyCaps';
import styles from './bringIn.module.css';

type ListPreviewProps = {
  readonly preview: Extract<Preview, { kind: 'list' }>;
  readonly busy: boolean;
  readonly onRoles: (roles: readonly (readonly Role[] | null)[]) => void;
};

const ROLE_WORDS: Readonly<Record<Role, string>> = {
  name: 'Name',
  path: 'Menu or group',
  keys: 'Keys',
  'Mac keys': 'Keys on a Mac',
  kind: 'Kind',
  ignore: 'Leave out',
};
const SHOWN = ['all', 'used', 'not'] as const;
const ROW = 36;

/** What was understood of a list, row by row, and the columns it was read from, to be corrected. */
export function ListPreview({ preview, busy, onRoles }: ListPreviewProps) {
  const { groups, rows, format, dialect } = preview.reading;
  const [show, setShow] = useState<(typeof SHOWN)[number]>('all');
  const commands = rows.filter((row) => row.command !== null);
  const notUsed = rows.filter((row) => row.result === 'unused' || row.result === 'partly');
  const withKeys = commands.filter((row) => (row.command?.keys.length ?? 0) > 0).length;
  const shown = useMemo(
    () =>
      show === 'all'
        ? rows
        : show === 'used'
          ? rows.filter((row) => row.command !== null)
          : rows.filter((row) => row.result === 'unused' || row.result === 'partly'),
    [rows, show],
  );
  const scroller = useRef<HTMLDivElement>(null);
  const list = useVirtualizer({
    count: shown.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW,
    overscan: 8,
    initialRect: { width: 900, height: 460 },
  });
  const labels = {
    all: `All rows ${rows.length}`,
    used: `Commands ${commands.length}`,
    not: `Not or not wholly understood ${notUsed.length}`,
  };
  return (
    <>
      <p className={styles.summary} role="status">
        {format === 'web page' ? 'A web page' : 'A table'} ({preview.encoding}
        {dialect === 'mac' ? ', Mac keys' : ''}) with <strong>{counted(commands.length, 'command')}</strong>, {withKeys}{' '}
        of them with keys.{' '}
        {notUsed.length === 0
          ? 'Every row was understood.'
          : `${counted(notUsed.length, 'row')} could not be used as ${notUsed.length === 1 ? 'it stands' : 'they stand'}.`}
      </p>
      <div className={styles.groups}>
        {groups.map((group, g) => (
          <fieldset key={group.header?.join() ?? `group ${g}`} className={`card ${styles.group}`} disabled={busy}>
            <legend>
              {groups.length === 1
                ? 'What the columns hold'
                : `What the columns hold in ${counted(group.tables, 'table')}`}
            </legend>
            {group.roles.map((role, c) => {
              const title = group.header?.[c] || `Column ${c + 1}`;
              return (
                <label key={c}>
                  <span className={styles.column}>{title}</span>
                  <select
                    value={role}
                    onChange={(event) =>
                      onRoles(
                        groups.map((one, i) =>
                          i === g
                            ? group.roles.map((old, k) =>
                                k === c
                                  ? (event.target.value as Role)
                                  : old === event.target.value && old !== 'path' && old !== 'ignore'
                                    ? 'ignore'
                                    : old,
                              )
                            : one.roles,
                        ),
                      )
                    }
                  >
                    {ROLES.map((one) => (
                      <option key={one} value={one}>
                        {ROLE_WORDS[one]}
                      </option>
                    ))}
                  </select>
                  <span className={styles.sample}>
                    {group.sample
                      .map((cells) => cells[c])
                      .filter(Boolean)
                      .slice(0, 2)
                      .join(' · ') || '(empty)'}
                  </span>
                </label>
              );
            })}
          </fieldset>
        ))}
      </div>
      <fieldset className={styles.show}>
        <legend className="hidden">Rows shown</legend>
        {SHOWN.map((one) => (
          <button key={one} type="button" className="chip" aria-pressed={show === one} onClick={() => setShow(one)}>
            {labels[one]}
          </button>
        ))}
      </fieldset>
      <div
        ref={scroller}
        className={`card ${styles.rows}`}
        tabIndex={0}
        role="table"
        aria-label="Rows as they were understood"
        aria-rowcount={shown.length + 1}
      >
        <div role="row" className={styles.head}>
          <span role="columnheader">Row</span>
          <span role="columnheader">Command</span>
          <span role="columnheader">Where</span>
          <span role="columnheader">Keys</span>
          <span role="columnheader">Remark</span>
        </div>
        <div role="rowgroup" style={{ height: list.getTotalSize(), position: 'relative' }}>
          {list.getVirtualItems().map(({ index, start }) => {
            const row = shown[index];
            return row && <RowView key={`${row.line} ${index}`} row={row} start={start} place={index + 2} />;
          })}
        </div>
        {shown.length === 0 && <p className="empty">There are none.</p>}
      </div>
    </>
  );
}

const RESULT_WORDS: Readonly<Record<ReadRow['result'], string>> = {
  used: '',
  partly: 'Partly used',
  heading: 'Not a command',
  unused: 'Not used',
};

function RowView({ row, start, place }: { row: ReadRow; start: number; place: number }) {
  const { command } = row;
  return (
    <div
      role="row"
      aria-rowindex={place}
      className={styles.row}
      data-result={row.result}
      style={{ transform: `translateY(${start}px)` }}
    >
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
      <span role="cell" className={styles.keys}>
        {command?.keys.map((chord) => (
          <KeyCaps key={chord} chord={chord} />
        ))}
      </span>
      <span role="cell" title={row.why ?? undefined}>
        {row.result !== 'used' && <b>{RESULT_WORDS[row.result]}. </b>}
        {row.why}
      </span>
    </div>
  );
}
