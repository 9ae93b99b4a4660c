'use client';

import { type CSSProperties, useRef, useState } from 'react';
import type { Command, CommandId } from '@/core/program/program';
import { BUTTON_PIXELS, purposeOf, type Strip } from '@/core/workspace/toolLayout';
import { spoken } from '../parts/spoken';
import type { KeysOf } from '../parts/useKeysOf';
import { CommandIcon } from './CommandIcon';
import { DrawerFront } from './DrawerFront';
import { useRoomContext } from './RoomContext';
import styles from './room.module.css';
import { useOverflow } from './useOverflow';

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
  const rail = columns !== undefined;
  const frame = useRef<HTMLDivElement>(null);
  const folds = useOverflow(frame, rail ? `${strip.size} ${strip.words} ${columns} ${strip.groups.join(' ')}` : null);
  const [opened, setOpened] = useState<string | null>(null);
  // What comes to hand is never in a drawer that is shut, whichever was opened before.
  const [before, setBefore] = useState(pressed);
  if (before !== pressed) {
    setBefore(pressed);
    setOpened(null);
  }
  const inHand = strip.groups.find((group) => pressed !== null && group.includes(pressed))?.join() ?? null;
  const open = opened ?? inHand ?? strip.groups[0]?.join();
  const button = (id: CommandId) => {
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
        data-tip={keys ? `${command.name} (${keys})` : `${command.name} (no key)`}
        data-tool={id}
        onClick={() => onCall(command)}
      >
        {face}
      </button>
    ) : (
      <span key={id} className={styles.button} data-tip={command.name} aria-hidden="true">
        {face}
      </span>
    );
  };
  const groups = strip.groups.map((group) => {
    const name = group.join();
    const tools = group.flatMap((id) => commands.get(id) ?? []);
    const purpose = rail ? purposeOf(tools) : null;
    const shut = folds && group.length > 1;
    return (
      <div key={name} role="presentation" className={styles.drawer} data-shut={(shut && name !== open) || undefined}>
        {shut ? (
          <DrawerFront
            tools={tools}
            purpose={purpose}
            open={name === open}
            onOpen={onCall && (() => setOpened(name))}
          />
        ) : (
          purpose && <span className={styles.purpose}>{purpose}</span>
        )}
        {(!shut || name === open) && (
          <div role="presentation" className={styles.group}>
            {group.map(button)}
          </div>
        )}
      </div>
    );
  });
  const shared = {
    ref: frame,
    'aria-label': label,
    className: rail ? styles.rail : styles.bar,
    'data-words': strip.words || undefined,
    'data-folds': folds || undefined,
    style,
  };
  if (!onCall)
    return (
      <div role="img" {...shared} data-picture>
        {groups}
      </div>
    );
  return (
    <div role="toolbar" {...shared} aria-orientation={rail ? 'vertical' : 'horizontal'}>
      {groups}
    </div>
  );
}
