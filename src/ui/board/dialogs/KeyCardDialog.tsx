'use client';

import Button from '@mui/material/Button';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { Fragment, useMemo } from 'react';
import type { Holder } from '@/core/clash/clashIndex';
import { DESKTOP_NAMES } from '@/core/desktop/desktopKeys';
import { type CardRow, keyCard } from '@/core/layer/keyCard';
import { pathText } from '@/core/program/program';
import { Row } from '../../kit/Row';
import { KeyCaps } from '../../parts/KeyCaps';
import { Pin } from '../../parts/Pin';
import { ScreenDialog } from '../../parts/ScreenDialog';
import { useSettings } from '../../shell/SettingsContext';
import { pinOfHolder } from '../pinState';
import type { DialogProps } from './dialogProps';
import styles from './dialogs.module.css';

/** A key's own card: everything it does with every set of modifiers, wherever it is listened for. */
export function KeyCardDialog({
  code,
  index,
  draft,
  selected,
  onClose,
  onOpen,
  onPropose,
}: DialogProps & { code: string }) {
  const { where } = useSettings();
  const key = where.keyboard.byCode.get(code);
  const rows = useMemo(() => (key ? keyCard(where, index, key) : []), [where, index, key]);
  const contexts = new Map(index.facts.program.contexts.map((one) => [one.id, one.name]));
  const legends = key?.levels.flatMap((one, level) =>
    one ? [`${['', 'Shift ', 'AltGr ', 'Shift AltGr '][level]}${one.char}`] : [],
  );
  const who = (holders: readonly Holder[], how: string) =>
    holders.map((holder) => (
      <Row key={`${how} ${holder.command.id}`} component="li" wraps>
        <Pin state={pinOfHolder(holder, draft.factory)} />
        <Button variant="inline" onClick={() => onOpen(holder.command)}>
          {holder.command.name}
        </Button>
        <span className="soft">
          {pathText(holder.command.path)} · {contexts.get(holder.command.context)}
          {how}
        </span>
      </Row>
    ));
  const nothing = (row: CardRow) =>
    row.holders.length + row.held.length + row.begins.length === 0 && row.fixed === null;
  return (
    <ScreenDialog wide title={key ? `All of the key ${key.label}` : 'No such key on this keyboard'} onClose={onClose}>
      {legends && legends.length > 1 && (
        <p className="soft">
          Prints {legends.join(', ')} ({where.keyboard.name}).
        </p>
      )}
      <Table>
        <TableHead>
          <TableRow>
            <TableCell>Keys</TableCell>
            <TableCell>What they do</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {rows.map((row) => (
            <TableRow key={row.chord}>
              <TableCell component="th" scope="row" className={styles.keysCell}>
                <KeyCaps chord={row.chord} />
              </TableCell>
              <TableCell>
                {nothing(row) ? (
                  <Row component="span" gap={3}>
                    <span className="soft">
                      {row.desktop === null ? 'free' : `taken by ${DESKTOP_NAMES[where.desktop]}`}
                    </span>
                    {selected && (
                      <Button variant="inline" onClick={() => onPropose(row.chord)}>
                        Try it for {selected.name}
                      </Button>
                    )}
                  </Row>
                ) : (
                  <ul>
                    {row.fixed !== null && <li className="soft">kept by the program: {row.fixed}</li>}
                    {who(row.holders, '')}
                    {who(row.held, ' · while held')}
                    {who(row.begins, ' · first of two strokes')}
                  </ul>
                )}
                {[
                  row.desktop && `${DESKTOP_NAMES[where.desktop]} ${row.desktop}`,
                  row.menu && `opens the menu ${row.menu}`,
                ].map((words) => (
                  <Fragment key={words}>{words && <p className="soft small">{words}</p>}</Fragment>
                ))}
              </TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
    </ScreenDialog>
  );
}
