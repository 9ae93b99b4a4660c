'use client';

import { useMemo, useState } from 'react';
import { pathText } from '@/core/program/program';
import { ROLES, type Role } from '@/core/reading/columnRoles';
import type { Preview } from '@/core/reading/preview';
import type { ReadRow } from '@/core/reading/readCommandList';
import { counted } from '@/core/text/sentence';
import { FilterChip } from '../kit/FilterChip';
import { Pick } from '../kit/Pick';
import { Row } from '../kit/Row';
import { VirtualRows } from '../kit/VirtualRows';
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
const HEADS = ['Row', 'Command', 'Where', 'Keys', 'Remark'];
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
  const labels = {
    all: `All rows ${rows.length}`,
    used: `Commands ${commands.length}`,
    not: `Not or not wholly understood ${notUsed.length}`,
  };
  return (
    <>
      <p role="status">
        {format === 'web page' ? 'A web page' : 'A table'} ({preview.encoding}
        {dialect === 'mac' ? ', Mac keys' : ''}) with <strong>{counted(commands.length, 'command')}</strong>, {withKeys}{' '}
        of them with keys.{' '}
        {notUsed.length === 0
          ? 'Every row was understood.'
          : `${counted(notUsed.length, 'row')} could not be used as ${notUsed.length === 1 ? 'it stands' : 'they stand'}.`}
      </p>
      <div className={styles.groups}>
        {groups.map((group, g) => (
          <fieldset key={group.header?.join() ?? `group ${g}`} className={`card ${styles.group}`}>
            <legend>
              {groups.length === 1
                ? 'What the columns hold'
                : `What the columns hold in ${counted(group.tables, 'table')}`}
            </legend>
            {group.roles.map((role, c) => {
              const title = group.header?.[c] || `Column ${c + 1}`;
              const sample = group.sample
                .map((cells) => cells[c])
                .filter(Boolean)
                .slice(0, 2)
                .join(' · ');
              const take = (chosen: Role): void =>
                onRoles(
                  groups.map((one, i) =>
                    i === g
                      ? group.roles.map((old, k) =>
                          k === c ? chosen : old === chosen && old !== 'path' && old !== 'ignore' ? 'ignore' : old,
                        )
                      : one.roles,
                  ),
                );
              return (
                <Pick
                  key={c}
                  label={title}
                  value={role}
                  disabled={busy}
                  hint={sample || '(empty)'}
                  options={ROLES.map((one) => [one, ROLE_WORDS[one]])}
                  onChange={take}
                />
              );
            })}
          </fieldset>
        ))}
      </div>
      <Row wraps role="group" aria-label="Rows shown">
        {SHOWN.map((one) => (
          <FilterChip key={one} pressed={show === one} onClick={() => setShow(one)}>
            {labels[one]}
          </FilterChip>
        ))}
      </Row>
      <VirtualRows
        rows={shown}
        keyOf={(row, i) => `${row.line} ${i}`}
        height={ROW}
        className={`card ${styles.rows}`}
        role="table"
        aria-label="Rows as they were understood"
        aria-rowcount={shown.length + 1}
        rowsRole="rowgroup"
        head={
          <div role="row" className={`wraps ${styles.head}`}>
            {HEADS.map((one) => (
              <span key={one} role="columnheader">
                {one}
              </span>
            ))}
          </div>
        }
        empty={<p className="empty">There are none.</p>}
      >
        {(row, i) => <RowView row={row} place={i + 2} />}
      </VirtualRows>
    </>
  );
}

const RESULT_WORDS: Readonly<Record<ReadRow['result'], string>> = {
  used: '',
  partly: 'Partly used',
  heading: 'Not a command',
  unused: 'Not used',
};

function RowView({ row, place }: { row: ReadRow; place: number }) {
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
      <span role="cell" className="chords">
        {command?.keys.map((chord) => (
          <KeyCaps key={chord} chord={chord} />
        ))}
      </span>
      <span role="cell">
        {row.result !== 'used' && <b>{RESULT_WORDS[row.result]}. </b>}
        {row.why}
      </span>
    </div>
  );
}
