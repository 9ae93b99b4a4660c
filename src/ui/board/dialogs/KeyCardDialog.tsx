'use client';

import { Fragment, useMemo } from 'react';
import type { Holder } from '@/core/clash/clashIndex';
import { DESKTOP_NAMES } from '@/core/desktop/desktopKeys';
import { type CardRow, keyCard } from '@/core/keyboard/keyCard';
import { pathText } from '@/core/program/program';
import { KeyCaps } from '../../parts/KeyCaps';
import { Pin } from '../../parts/Pin';
import { ScreenDialog } from '../../parts/ScreenDialog';
import { useSettings } from '../../shell/SettingsContext';
import type { DialogProps } from '../BoardDialogs';
import { pinOfHolder } from '../KeyboardView';
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
      <li key={`${how} ${holder.command.id}`}>
        <Pin state={pinOfHolder(holder, draft.factory)} />
        <button type="button" className={styles.link} onClick={() => onOpen(holder.command)}>
          {holder.command.name}
        </button>
        <span className="soft">
          {pathText(holder.command.path)} · {contexts.get(holder.command.context)}
          {how}
        </span>
      </li>
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
      <table className={styles.card}>
        <thead>
          <tr>
            <th scope="col">Keys</th>
            <th scope="col">What they do</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr key={row.chord}>
              <th scope="row">
                <KeyCaps chord={row.chord} />
              </th>
              <td>
                {nothing(row) ? (
                  <span className={styles.freeRow}>
                    <span className="soft">free</span>
                    {selected && (
                      <button type="button" className={styles.link} onClick={() => onPropose(row.chord)}>
                        Try it for {selected.name}
                      </button>
                    )}
                  </span>
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
                  <Fragment key={words}>{words && <p className={styles.remark}>{words}</p>}</Fragment>
                ))}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </ScreenDialog>
  );
}
