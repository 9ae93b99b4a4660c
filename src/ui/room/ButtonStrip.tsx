'use client';

import type { CSSProperties } from 'react';
import type { Command, CommandId } from '@/core/program/program';
import { BUTTON_PIXELS, type Strip } from '@/core/workspace/toolLayout';
import { spoken } from '../parts/spoken';
import type { KeysOf } from '../parts/useKeysOf';
import { CommandIcon } from './CommandIcon';
import { useRoomContext } from './RoomContext';
import styles from './room.module.css';

type Props = {
  readonly strip: Strip;
  /** How many buttons stand beside each other on a rail; left out for a bar. */
  readonly columns?: number;
  readonly label: string;
  readonly pressed?: CommandId | null;
  readonly keysOf: KeysOf;
  /** Left out where the strip is only a picture. */
  readonly onCall?: (command: Command) => void;
};

/** A tool rail or a button bar: groups set apart, each button telling its name and keys when pointed at. */
export function ButtonStrip({ strip, columns, label, pressed = null, keysOf, onCall }: Props) {
  const { commands } = useRoomContext();
  const style = {
    '--button': `calc(${BUTTON_PIXELS[strip.size] / 16}rem * var(--controls, 1) * var(--scale, 1))`,
    '--columns': columns ?? 1,
  } as CSSProperties;
  const groups = strip.groups.map((group) => (
    <div key={group.join()} role="presentation" className={styles.group}>
      {group.map((id) => {
        const command = commands.get(id);
        if (!command) return null;
        const keys = keysOf(id).map(spoken).join(' or ');
        const face = (
          <>
            <CommandIcon command={id} />
            {strip.words && <small aria-hidden="true">{command.name}</small>}
          </>
        );
        return onCall ? (
          <button
            key={id}
            type="button"
            className={styles.button}
            aria-pressed={command.kind === 'tool' ? id === pressed : undefined}
            aria-label={keys ? `${command.name}, ${keys}` : command.name}
            title={keys ? `${command.name} (${keys})` : `${command.name} (no key)`}
            data-tool={id}
            onClick={() => onCall(command)}
          >
            {face}
          </button>
        ) : (
          <span key={id} className={styles.button} title={command.name} aria-hidden="true">
            {face}
          </span>
        );
      })}
    </div>
  ));
  const shared = {
    'aria-label': label,
    className: columns === undefined ? styles.bar : styles.rail,
    'data-words': strip.words || undefined,
    style,
  };
  if (!onCall)
    return (
      <div role="img" {...shared} data-picture>
        {groups}
      </div>
    );
  return (
    <div role="toolbar" {...shared} aria-orientation={columns === undefined ? 'horizontal' : 'vertical'}>
      {groups}
    </div>
  );
}
