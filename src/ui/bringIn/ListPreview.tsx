'use client';

import Alert from '@mui/material/Alert';
import { useMemo, useState } from 'react';
import { pathText } from '@/core/program/program';
import { ROLES, type Role } from '@/core/reading/columnRoles';
import type { Preview } from '@/core/reading/preview';
import type { ReadRow } from '@/core/reading/readTable';
import type { FormRead } from '@/core/reading/tables';
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
const FORM_WORDS: Readonly<Record<FormRead, string>> = {
  'web page': 'A web page',
  table: 'A table',
  Markdown: 'A Markdown text',
  settings: 'A file of settings',
  bindings: 'Lines that bind keys',
  'text in columns': 'A text in columns',
  'accelerator map': 'An accelerator map',
  JSON: 'A JSON file',
  XML: 'An XML file',
  YAML: 'A YAML file',
  TOML: 'A TOML file',
  workbook: 'A workbook',
};
const SHOWN = ['all', 'used', 'partly', 'unused'] as const;
const HEADS = ['Row', 'Command', 'Where', 'Keys', 'Remark'];
const ROW = 36;

/** What was understood of a list, row by row, and the columns it was read from, to be corrected. */
export function ListPreview({ preview, busy, onRoles }: ListPreviewProps) {
  const { groups, rows, format, dialect, doubt, clashes } = preview.reading;
  const [show, setShow] = useState<(typeof SHOWN)[number]>('all');
  const kinds = useMemo(
    () => ({
      all: rows,
      used: rows.filter((row) => row.command !== null),
      partly: rows.filter((row) => row.result === 'partly'),
      unused: rows.filter((row) => row.result === 'unused'),
    }),
    [rows],
  );
  const { used: commands, partly, unused } = kinds;
  const withKeys = commands.filter((row) => (row.command?.keys.length ?? 0) > 0).length;
  const shown = kinds[show];
  const labels = {
    all: `All rows ${rows.length}`,
    used: `Commands ${commands.length}`,
    partly: `With a remark ${partly.length}`,
    unused: `Left out ${unused.length}`,
  };
  return (
    <>
      <p role="status">
        {FORM_WORDS[format]} ({preview.encoding}
        {dialect === 'mac' ? ', Mac keys' : ''}) with <strong>{counted(commands.length, 'command')}</strong>, {withKeys}{' '}
        of them with keys. {doubt === null && partly.length + unused.length === 0 && 'Every row was understood.'}
        {partly.length > 0 && `${counted(partly.length, 'row')} ${partly.length === 1 ? 'has' : 'have'} a remark. `}
        {unused.length > 0 &&
          `${counted(unused.length, 'row')} ${unused.length === 1 ? 'is' : 'are'} left out, each with its reason. `}
        {clashes > 0 && `On ${counted(clashes, 'chord')} several commands stand.`}
      </p>
      {doubt !== null && (
        <Alert severity="error">
          This list was probably not understood as it is meant. {doubt} Look at what the columns hold and at the rows
          that were left out before you bring it in.
        </Alert>
      )}
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
  partly: '',
  heading: 'Not a command',
  unused: 'Left out',
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
      </span>
    </div>
  );
}
