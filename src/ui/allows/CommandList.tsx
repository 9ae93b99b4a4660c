'use client';

import { useVirtualizer } from '@tanstack/react-virtual';
import { useMemo, useRef, useState } from 'react';
import { searchCommands } from '@/core/finder/searchCommands';
import { buildSearchIndex } from '@/core/finder/searchIndex';
import { type Command, KINDS, type Kind, type Program, pathText } from '@/core/program/program';
import { entryOf } from '@/core/text/entryOf';
import type { ProgramView } from '@/core/view/views';
import { KeyCaps } from '../parts/KeyCaps';
import type { Step } from './Allows';
import styles from './allows.module.css';
import { PlaceSelect } from './PlaceSelect';

type Props = { readonly program: Program; readonly factoryKeys: ProgramView['factoryKeys']; readonly step: Step };
const ROW = 38;

/** Every command with its kind and where it is listened for, both to be corrected. */
export function CommandList({ program, factoryKeys, step }: Props) {
  const { commands, contexts } = program;
  const [query, setQuery] = useState('');
  const index = useMemo(() => buildSearchIndex(commands), [commands]);
  const found = useMemo(() => searchCommands(index, query), [index, query]);
  const scroller = useRef<HTMLDivElement>(null);
  const list = useVirtualizer({
    count: found.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW,
    overscan: 6,
    initialRect: { width: 900, height: 320 },
  });
  const change = (command: Command, values: Partial<Command>): void =>
    void step(`${command.name}: corrected`, {
      commands: commands.map((one) => (one.id === command.id ? { ...one, ...values } : one)),
    });
  return (
    <section className="card" aria-labelledby="commands-title">
      <div className={styles.listHead}>
        <h2 id="commands-title">Commands ({commands.length})</h2>
        <input
          className={styles.field}
          aria-label="Find a command"
          placeholder="Find a command…"
          value={query}
          onChange={(event) => setQuery(event.target.value)}
        />
        <span className="soft" role="status">
          {found.length} shown
        </span>
      </div>
      {/* A long list is scrolled by keyboard as well */}
      <div ref={scroller} className={styles.list} tabIndex={0} role="group" aria-label="Commands">
        <div style={{ height: list.getTotalSize(), position: 'relative' }}>
          {list.getVirtualItems().map(({ index: i, start }) => {
            const command = found[i];
            if (!command) return null;
            const keys = entryOf(factoryKeys, command.id) ?? [];
            return (
              <div key={command.id} className={styles.commandRow} style={{ transform: `translateY(${start}px)` }}>
                <span className={styles.commandName}>
                  <strong>{command.name}</strong> <span className="soft">{pathText(command.path)}</span>
                </span>
                <span className={styles.commandKeys}>
                  {keys.slice(0, 2).map((chord) => (
                    <KeyCaps key={chord} chord={chord} />
                  ))}
                </span>
                <select
                  className={styles.field}
                  aria-label={`Kind of ${command.name}`}
                  value={command.kind}
                  onChange={(event) => change(command, { kind: event.target.value as Kind })}
                >
                  {KINDS.map((one) => (
                    <option key={one}>{one}</option>
                  ))}
                </select>
                <PlaceSelect
                  label={`Where ${command.name} is listened for`}
                  contexts={contexts}
                  value={command.context}
                  onChange={(context) => change(command, { context })}
                />
                {keys.length === 0 ? (
                  <button
                    type="button"
                    className="word"
                    onClick={() =>
                      void step(`Removed: ${command.name}`, {
                        commands: commands.filter((one) => one.id !== command.id),
                      })
                    }
                  >
                    Remove<span className="hidden"> {command.name}</span>
                  </button>
                ) : (
                  <span />
                )}
              </div>
            );
          })}
        </div>
      </div>
      {found.length === 0 && <p className="empty">Nothing here is called “{query.trim()}”.</p>}
    </section>
  );
}
