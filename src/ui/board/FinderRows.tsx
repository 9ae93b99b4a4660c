import type { Virtualizer } from '@tanstack/react-virtual';
import type { FinderRow } from '@/core/finder/finderRows';
import type { Draft } from '@/core/keymap/draft';
import { bindingsOf } from '@/core/keymap/keymap';
import type { Command } from '@/core/program/program';
import styles from './board.module.css';
import { CommandRow, pinOf } from './CommandRow';

/** More than are ever on the page at once. */
const SLOTS = 64;

type Props = {
  readonly list: Virtualizer<HTMLDivElement, Element>;
  readonly rows: readonly FinderRow[];
  readonly at: number;
  /** How many commands the rows have. */
  readonly of: number;
  readonly draft: Draft;
  readonly turns: (command: Command) => number;
  readonly onSelect: (command: Command) => void;
  readonly onOpen: () => void;
};

/** The rows in view: headings, and commands with their keys. */
export function FinderRows({ list, rows, at, of, draft, turns, onSelect, onOpen }: Props) {
  return (
    <div role="presentation" className={styles.rows} style={{ height: list.getTotalSize() }}>
      {list.getVirtualItems().map(({ index: i, start }) => {
        const row = rows[i];
        if (!row) return null;
        if ('heading' in row) {
          return (
            <div key={`heading ${i % SLOTS}`} role="presentation" className={styles.heading} style={{ top: start }}>
              {row.heading}
            </div>
          );
        }
        const { command } = row;
        return (
          // Rows that scroll or are replaced give their place on the page to the next ones.
          <CommandRow
            key={i % SLOTS}
            id={`command-${i}`}
            command={command}
            bindings={bindingsOf(draft.keymap, command.id)}
            pin={pinOf(command, draft)}
            turns={turns(command)}
            selected={i === at}
            place={row.place}
            of={of}
            start={start}
            onSelect={onSelect}
            onOpen={onOpen}
          />
        );
      })}
    </div>
  );
}
