'use client';

import { useVirtualizer } from '@tanstack/react-virtual';
import {
  type KeyboardEvent,
  memo,
  type RefObject,
  startTransition,
  useCallback,
  useEffect,
  useMemo,
  useRef,
  useState,
} from 'react';
import { countFilters, FILTERS, type Filter, finderRows, passes } from '@/core/finder/finderRows';
import { searchCommands } from '@/core/finder/searchCommands';
import { buildSearchIndex } from '@/core/finder/searchIndex';
import type { Draft } from '@/core/keymap/draft';
import { type Binding, bindingsOf, holds } from '@/core/keymap/keymap';
import { type Command, pathText } from '@/core/program/program';
import { KeyCaps } from '../parts/KeyCaps';
import { Pin, type PinState } from '../parts/Pin';
import { useSettings } from '../shell/SettingsContext';
import styles from './board.module.css';

type Props = {
  readonly commands: readonly Command[];
  readonly draft: Draft;
  readonly selected: Command | null;
  readonly turns: (command: Command) => number;
  readonly inputRef: RefObject<HTMLInputElement | null>;
  readonly onSelect: (command: Command) => void;
  /** Enter: go on to the bench. */
  readonly onOpen: () => void;
};

const LABELS: Readonly<Record<Filter, string>> = { all: 'All', 'no key': 'No key', yours: 'Yours' };
const ROW = 40;
const HEADING = 30;
/** As in tokens.css, so that rows are as high as their text. */
const TEXT_SCALE = { normal: 1, large: 1.125, largest: 1.25 } as const;

/** Finds a command by its words or its menu. The field keeps the focus; arrow keys move through what it found. */
export function Finder({ commands, draft, selected, turns, inputRef, onSelect, onOpen }: Props) {
  const [query, setQuery] = useState('');
  const [filter, setFilter] = useState<Filter>('all');
  const scroller = useRef<HTMLDivElement>(null);
  const index = useMemo(() => buildSearchIndex(commands), [commands]);
  // The field and the list ask for the same query one after the other.
  const last = useRef<{ index: typeof index; query: string; found: Command[] } | null>(null);
  const search = useCallback(
    (words: string): Command[] => {
      if (last.current?.index !== index || last.current.query !== words)
        last.current = { index, query: words, found: searchCommands(index, words) };
      return last.current.found;
    },
    [index],
  );
  const found = search(query);
  const shown = useMemo(
    () => (filter === 'all' ? found : found.filter((command) => passes(filter, command, draft.keymap, draft.factory))),
    [found, filter, draft.keymap, draft.factory],
  );
  const rows = useMemo(() => finderRows(shown, query.trim() === ''), [shown, query]);
  const counts = useMemo(
    () => countFilters(commands, draft.keymap, draft.factory),
    [commands, draft.keymap, draft.factory],
  );
  const at = rows.findIndex((row) => 'command' in row && row.command.id === selected?.id);
  const size = TEXT_SCALE[useSettings().settings.textSize];

  const list = useVirtualizer({
    count: rows.length,
    getScrollElement: () => scroller.current,
    estimateSize: (i) => ('heading' in (rows[i] ?? { heading: '' }) ? HEADING : ROW) * size,
    overscan: 6,
    initialRect: { width: 320, height: 620 },
  });
  // Row heights differ between headings and commands, so a new list is measured anew.
  // biome-ignore lint/correctness/useExhaustiveDependencies: the list is what has changed.
  useEffect(() => list.measure(), [rows]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: only a new selection or a new list scrolls.
  useEffect(() => {
    // Asking where an early row is would lay the whole page out anew.
    if (at > 3) list.scrollToIndex(at, { align: 'auto' });
    else if (scroller.current && scroller.current.scrollTop > 0) scroller.current.scrollTop = 0;
  }, [selected?.id, rows]);

  const move = (from: number, step: number): void => {
    for (let i = from + step; i >= 0 && i < rows.length; i += Math.sign(step)) {
      const row = rows[i];
      if (row && 'command' in row) {
        onSelect(row.command);
        return;
      }
    }
  };
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.ctrlKey || event.altKey || event.metaKey) return;
    const step = { ArrowDown: 1, ArrowUp: -1, PageDown: 12, PageUp: -12 }[event.key];
    if (step !== undefined) {
      event.preventDefault();
      if (at < 0) move(-1, 1);
      else move(Math.max(-1, Math.min(rows.length, at + step - Math.sign(step))), Math.sign(step));
    } else if (event.key === 'Enter') {
      event.preventDefault();
      if (at < 0) move(-1, 1);
      onOpen();
    } else if (event.key === 'Escape' && query !== '') {
      event.preventDefault();
      setQuery('');
    }
  };
  return (
    <section className={styles.finder} aria-label="Find a command">
      <input
        ref={inputRef}
        className={styles.search}
        type="text"
        role="combobox"
        aria-expanded="true"
        aria-controls="commands"
        aria-autocomplete="list"
        aria-activedescendant={at >= 0 ? `command-${at}` : undefined}
        aria-label="Find a command or a menu"
        placeholder="Find a command or a menu…"
        spellCheck={false}
        value={query}
        onChange={(event) => {
          setQuery(event.target.value);
          // The first of what is found is the one on the bench, so that Enter goes on with it.
          const first = search(event.target.value).find((command) =>
            passes(filter, command, draft.keymap, draft.factory),
          );
          // The list is painted first; bench and keyboard follow.
          if (event.target.value.trim() !== '' && first) startTransition(() => onSelect(first));
        }}
        onKeyDown={onKeyDown}
      />
      <fieldset className={styles.filters}>
        <legend className="hidden">Show</legend>
        {FILTERS.map((one) => (
          <button key={one} type="button" className="chip" aria-pressed={filter === one} onClick={() => setFilter(one)}>
            {LABELS[one]} {counts[one]}
          </button>
        ))}
      </fieldset>
      <p className="hidden" role="status">
        {shown.length} commands
      </p>
      <div
        ref={scroller}
        id="commands"
        className={styles.list}
        role="listbox"
        aria-label="Commands"
        tabIndex={0}
        aria-activedescendant={at >= 0 ? `command-${at}` : undefined}
        onKeyDown={onKeyDown}
      >
        <div role="presentation" className={styles.rows} style={{ height: list.getTotalSize() }}>
          {list.getVirtualItems().map(({ index: i, start }) => {
            const row = rows[i];
            if (!row) return null;
            if ('heading' in row) {
              return (
                <div
                  key={`heading ${row.heading} ${i}`}
                  role="presentation"
                  className={styles.heading}
                  style={{ transform: `translateY(${start}px)` }}
                >
                  {row.heading}
                </div>
              );
            }
            const { command } = row;
            return (
              <Row
                key={command.id}
                id={`command-${i}`}
                command={command}
                bindings={bindingsOf(draft.keymap, command.id)}
                pin={pinOf(command, draft)}
                turns={turns(command)}
                selected={i === at}
                place={row.place}
                of={shown.length}
                start={start}
                onSelect={onSelect}
                onOpen={onOpen}
              />
            );
          })}
        </div>
      </div>
      {rows.length === 0 && (
        <div className="empty">
          {query.trim() !== '' ? (
            <p>Nothing here is called “{query.trim()}”.</p>
          ) : (
            <p>
              {filter === 'yours'
                ? 'You have not changed any keys yet. Choose a command and press the keys you want.'
                : 'Every command has a key.'}
            </p>
          )}
          {(query !== '' || filter !== 'all') && (
            <button
              type="button"
              className="word"
              onClick={() => {
                setQuery('');
                setFilter('all');
                inputRef.current?.focus();
              }}
            >
              Show all commands
            </button>
          )}
        </div>
      )}
    </section>
  );
}

/** Factory or yours, for a command with keys; null for one without. */
export function pinOf(command: Command, draft: Draft): PinState | null {
  const bindings = bindingsOf(draft.keymap, command.id);
  if (bindings.length === 0) return null;
  return bindings.every((binding) => holds(draft.factory, command.id, binding.chord)) ? 'factory' : 'yours';
}

type RowProps = {
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
const Row = memo(function Row({
  id,
  command,
  bindings,
  pin,
  turns,
  selected,
  place,
  of,
  start,
  onSelect,
  onOpen,
}: RowProps) {
  return (
    // biome-ignore lint/a11y/useKeyWithClickEvents: the field above is worked by keyboard and names this row as active.
    <div
      id={id}
      role="option"
      aria-selected={selected}
      aria-posinset={place + 1}
      aria-setsize={of}
      className={styles.row}
      style={{ transform: `translateY(${start}px)` }}
      onClick={() => {
        onSelect(command);
        onOpen();
      }}
    >
      <span className={styles.names}>
        <span className={styles.name}>{command.name}</span>
        <span className={styles.path}>{pathText(command.path)}</span>
      </span>
      {bindings.length === 0 ? (
        <span className={styles.none}>no key</span>
      ) : (
        <>
          <span className={styles.rowKeys}>
            {bindings.slice(0, 1).map((binding) => (
              <KeyCaps key={binding.chord} chord={binding.chord} />
            ))}
            {bindings.length > 1 && <span className="soft">+{bindings.length - 1}</span>}
            {turns > 1 && (
              <span className="soft" title={`Takes turns with ${turns - 1} more`}>
                ⟳{turns}
              </span>
            )}
          </span>
          {pin && <Pin state={pin} />}
          <span className="hidden">{pin === 'yours' ? 'yours' : 'factory key'}</span>
        </>
      )}
    </div>
  );
});
