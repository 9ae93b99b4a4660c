'use client';

import { memo } from 'react';
import { parseCanonical } from '@/core/chord/parseChord';
import { writeChord } from '@/core/chord/writeChord';
import type { Draft } from '@/core/keymap/draft';
import { type Binding, bindingsOf, holds } from '@/core/keymap/keymap';
import { type Command, pathText } from '@/core/program/program';
import { KeyCaps } from '../parts/KeyCaps';
import { Pin, type PinState } from '../parts/Pin';
import { useSettings } from '../shell/SettingsContext';
import styles from './board.module.css';

/** The pin of a command with keys; null for one without. */
export function pinOf(command: Command, draft: Draft): PinState | null {
  const bindings = bindingsOf(draft.keymap, command.id);
  if (bindings.length === 0) return null;
  if (draft.keymap.spares.has(command.id)) return 'spare';
  if (bindings.some((binding) => binding.keeper)) return 'keeper';
  return bindings.every((binding) => holds(draft.factory, command.id, binding.chord)) ? 'factory' : 'yours';
}

const PIN_WORDS: Readonly<Record<PinState, string>> = {
  factory: 'factory key',
  yours: 'yours',
  keeper: 'keeper',
  spare: 'spare',
  clash: 'clash',
  shared: 'takes turns',
  fixed: 'fixed',
};

type Props = {
  readonly id: string;
  readonly command: Command;
  readonly bindings: readonly Binding[];
  readonly pin: PinState | null;
  readonly turns: number;
  readonly selected: boolean;
  readonly place: number;
  readonly of: number;
  readonly start: number;
  readonly onSelect: (command: Command) => void;
  readonly onOpen: () => void;
};
/** A command in the finder's list. */
export const CommandRow = memo(function CommandRow(props: Props) {
  const { id, command, bindings, pin, turns, selected, place, of, start, onSelect, onOpen } = props;
  const { notation } = useSettings().settings;
  const first = bindings[0]?.chord ?? '';
  const parsed = parseCanonical(first);
  // Said in one, so that a row needs no words hidden on the page.
  const spoken = [
    command.name,
    pathText(command.path),
    parsed ? writeChord(parsed, notation) : 'no key',
    pin ? PIN_WORDS[pin] : '',
  ];
  return (
    // biome-ignore lint/a11y/useKeyWithClickEvents: the field above is worked by keyboard and names this row as active.
    <div
      id={id}
      role="option"
      aria-selected={selected}
      aria-label={spoken.filter((words) => words !== '').join(', ')}
      aria-posinset={place + 1}
      aria-setsize={of}
      className={styles.row}
      style={{ top: start }}
      onClick={() => {
        onSelect(command);
        onOpen();
      }}
    >
      <span className={styles.names}>
        <span className={styles.name}>{command.name}</span>
        <span className={styles.path} data-may-be-cut>
          {pathText(command.path)}
        </span>
      </span>
      {bindings.length === 0 ? (
        <span className={`soft ${styles.rowKeys}`}>no key</span>
      ) : (
        <>
          <span className={styles.rowKeys}>
            <KeyCaps chord={first} silent />
            {bindings.length > 1 && <span className="soft">+{bindings.length - 1}</span>}
            {turns > 1 && (
              <span className="soft" data-tip={`Takes turns with ${turns - 1} more`}>
                ⟳{turns}
              </span>
            )}
          </span>
          {pin && <Pin state={pin} />}
        </>
      )}
    </div>
  );
});
