'use client';

import Button from '@mui/material/Button';
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
import { type ChordText, canonicalText } from '@/core/chord/chord';
import type { ClashIndex } from '@/core/clash/clashIndex';
import { applyFilter, countMarks, countOn, type Filter, markCommands, NO_FILTER } from '@/core/finder/filters';
import { finderRows } from '@/core/finder/finderRows';
import { searchCommands } from '@/core/finder/searchCommands';
import { chordOfEvent, modifierOfKey } from '@/core/keyboard/chordOfEvent';
import type { Draft } from '@/core/keymap/draft';
import { bindingsOf } from '@/core/keymap/keymap';
import type { Command } from '@/core/program/program';
import type { ReachOf } from '@/core/reach/reachOf';
import { TEXT_SCALE } from '../kit/tokens';
import { useStable } from '../kit/useStable';
import { useSettings } from '../shell/SettingsContext';
import styles from './board.module.css';
import { CommandRow, pinOf } from './CommandRow';
import { Filters } from './Filters';
import { FindField } from './FindField';
import { useSearchIndex } from './useSearchIndex';

type Props = {
  readonly commands: readonly Command[];
  readonly index: ClashIndex;
  readonly draft: Draft;
  readonly selected: Command | null;
  readonly turns: (command: Command) => number;
  /** Null until reach is worked out for all keys. */
  readonly reach: ReachOf | null;
  readonly inputRef: RefObject<HTMLInputElement | null>;
  readonly onSelect: (command: Command) => void;
  /** Enter: go on to the bench. */
  readonly onOpen: () => void;
};

const ROW = 40;
const HEADING = 30;
const MOST_FOUND = 200;
/** More than are ever on the page at once. */
const SLOTS = 64;
/** How long, in ms, the hand has to rest before the bench follows what is typed. */
const REST = 300;

/** Finds a command by its words, its menu or its keys. The field keeps the focus; arrow keys move through what it found. */
export const Finder = memo(function Finder(props: Props) {
  const { commands, index, draft, selected, turns, reach, inputRef, onSelect, onOpen } = props;
  const { settings, platform, where } = useSettings();
  const [query, setQuery] = useState('');
  const [filter, setFilter] = useState<Filter>(NO_FILTER);
  /** Null: by words. Otherwise the keys whose holders are looked for, empty until some are pressed. */
  const [keys, setKeys] = useState<ChordText | null>(null);
  const scroller = useRef<HTMLDivElement>(null);
  const searchIndex = useSearchIndex(commands);
  const found = useMemo(
    () =>
      keys === null
        ? query.trim() === ''
          ? commands
          : searchCommands(searchIndex(), query)
        : holdersOf(index, where.place, keys),
    [keys, commands, searchIndex, query, index, where.place],
  );
  const marks = useMemo(
    () => markCommands(index, draft.factory, where.place, reach),
    [index, draft.factory, where.place, reach],
  );
  const shown = useMemo(() => applyFilter(found, marks, filter), [found, marks, filter]);
  const counts = useMemo(() => countMarks(commands, marks, filter), [commands, marks, filter]);
  const inMenuOrder = keys === null && query.trim() === '';
  // Whoever searches types on rather than scroll through thousands.
  const rows = useMemo(() => {
    if (inMenuOrder || shown.length <= MOST_FOUND) return finderRows(shown, inMenuOrder);
    const more = { heading: `${shown.length - MOST_FOUND} more. Type on to narrow them down.` };
    return [...finderRows(shown.slice(0, MOST_FOUND), false), more];
  }, [shown, inMenuOrder]);
  const at = useMemo(
    () => rows.findIndex((row) => 'command' in row && row.command.id === selected?.id),
    [rows, selected?.id],
  );
  const size = TEXT_SCALE[settings.textSize];

  // Row heights differ between headings and commands; another function for another list has it measured anew.
  // biome-ignore lint/correctness/useExhaustiveDependencies: the list is what has changed.
  const getItemKey = useCallback((i: number) => i, [rows]);
  const list = useVirtualizer({
    count: rows.length,
    getItemKey,
    getScrollElement: () => scroller.current,
    estimateSize: (i) => ('heading' in (rows[i] ?? { heading: '' }) ? HEADING : ROW) * size,
    overscan: 1,
    initialRect: { width: 320, height: 620 },
  });
  // What was found anew is shown from its beginning. Where the list is scrolled to is asked of the virtualizer, since
  // asking the page would lay it out at once.
  // biome-ignore lint/correctness/useExhaustiveDependencies: the list is what has changed.
  useEffect(() => {
    if (!inMenuOrder && scroller.current && (list.scrollOffset ?? 0) > 0) scroller.current.scrollTop = 0;
  }, [rows]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: only a new selection or a list in menu order scrolls to it.
  useEffect(() => {
    const low = list.scrollOffset ?? 0;
    const start = list.measurementsCache[at]?.start ?? 0;
    // A row that is in view needs no scrolling.
    if (at < 0 || (start >= low && start + 2 * ROW * size <= low + (list.scrollRect?.height ?? 0))) return;
    // Scrolling lays the page out, so the bench is painted first.
    let later = 0;
    const frame = requestAnimationFrame(() => {
      later = window.setTimeout(() => list.scrollToIndex(at, { align: 'auto' }));
    });
    return () => {
      cancelAnimationFrame(frame);
      window.clearTimeout(later);
    };
  }, [selected?.id, inMenuOrder]);

  const move = (from: number, step: number): void => {
    for (let i = from + step; i >= 0 && i < rows.length; i += Math.sign(step)) {
      const row = rows[i];
      if (row && 'command' in row) {
        onSelect(row.command);
        return;
      }
    }
  };
  // While somebody types, only the list is painted at each letter; bench and keyboard follow when the hand rests.
  const soon = useRef<{ command: Command; timer: number } | null>(null);
  const bringSoon = (command: Command | null): void => {
    if (soon.current) window.clearTimeout(soon.current.timer);
    soon.current = command && {
      command,
      timer: window.setTimeout(() => {
        soon.current = null;
        startTransition(() => onSelect(command));
      }, REST),
    };
  };
  // The first of what is found comes onto the bench, so that Enter goes on with it.
  const wantsFirst = useRef(false);
  // biome-ignore lint/correctness/useExhaustiveDependencies: only what was found anew is brought.
  useEffect(() => {
    if (wantsFirst.current) bringSoon(shown[0] ?? null);
    wantsFirst.current = false;
  }, [query, shown]);
  /** Brings what was to follow at once; @returns the place in the list of the command that is then on the bench. */
  const bringNow = (): number => {
    const waiting = soon.current;
    if (!waiting) return at;
    window.clearTimeout(waiting.timer);
    soon.current = null;
    onSelect(waiting.command);
    return rows.findIndex((row) => 'command' in row && row.command === waiting.command);
  };
  /** Whether a press is meant as keys to be looked up rather than as writing. */
  const asked = (event: KeyboardEvent): ChordText | null => {
    const writes = /^(?:[acvxyz]|Arrow\w+|Home|End|Backspace|Delete)$/i.test(event.key);
    const modified = event.altKey || event.metaKey || event.ctrlKey;
    const named = /^F\d+$/.test(event.key);
    if (modifierOfKey(event.key, platform) !== null) return null;
    if (keys === null && !named && (!modified || (writes && !event.altKey))) return null;
    if (keys !== null && !modified && /^(?:Tab|Escape|Enter|ArrowUp|ArrowDown|PageUp|PageDown)$/.test(event.key))
      return null;
    const chord = chordOfEvent(event.nativeEvent, where.keyboard, platform);
    return chord && canonicalText(chord);
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const chord = event.target === inputRef.current ? asked(event) : null;
    if (chord !== null) {
      event.preventDefault();
      event.stopPropagation();
      setKeys(chord);
      bringSoon(holdersOf(index, where.place, chord)[0] ?? null);
      return;
    }
    if (event.ctrlKey || event.altKey || event.metaKey) return;
    const step = { ArrowDown: 1, ArrowUp: -1, PageDown: 12, PageUp: -12 }[event.key];
    if (step !== undefined) {
      event.preventDefault();
      const from = bringNow();
      if (from < 0) move(-1, 1);
      else move(Math.max(-1, Math.min(rows.length, from + step - Math.sign(step))), Math.sign(step));
    } else if (event.key === 'Enter') {
      event.preventDefault();
      if (bringNow() < 0) move(-1, 1);
      onOpen();
    } else if (event.key === 'Escape' && (query !== '' || keys !== null)) {
      event.preventDefault();
      setQuery('');
      setKeys(null);
    }
  };
  const showAll = (): void => {
    setQuery('');
    setKeys(null);
    setFilter(NO_FILTER);
    inputRef.current?.focus();
  };
  const onQuery = useStable((words: string) => {
    setQuery(words);
    wantsFirst.current = words.trim() !== '';
    if (!wantsFirst.current) bringSoon(null);
  });
  const onFieldKeyDown = useStable(onKeyDown);
  const onWay = useStable(() => {
    setKeys(keys === null ? '' : null);
    setQuery('');
    inputRef.current?.focus();
  });
  // The field says which row is active without being drawn again.
  useEffect(() => {
    if (at < 0) inputRef.current?.removeAttribute('aria-activedescendant');
    else inputRef.current?.setAttribute('aria-activedescendant', `command-${at}`);
  }, [at, inputRef]);
  return (
    <section className={styles.finder} aria-label="Find a command">
      <FindField
        inputRef={inputRef}
        query={query}
        keys={keys}
        onQuery={onQuery}
        onKeyDown={onFieldKeyDown}
        onWay={onWay}
      />
      <Filters program={index.facts.program} filter={filter} counts={counts} onChange={setFilter} />
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
          <p>{emptyWords(query, keys, filter)}</p>
          {(query !== '' || keys !== null || countOn(filter) > 0) && (
            <Button variant="text" onClick={showAll}>
              Show all commands
            </Button>
          )}
        </div>
      )}
    </section>
  );
});

function emptyWords(query: string, keys: ChordText | null, filter: Filter): string {
  if (keys === '') return 'Press the keys whose holder you look for. Esc goes back to words.';
  if (keys !== null) return 'Nobody holds these keys.';
  if (query.trim() !== '') return `Nothing here is called “${query.trim()}”.`;
  const [only] = filter.marks;
  if (countOn(filter) === 1 && only === 'yours')
    return 'You have not changed any keys yet. Choose a command and press the keys you want.';
  if (countOn(filter) === 1 && only === 'no key') return 'Every command has a key.';
  return 'No command is all of this at once.';
}

/** The commands that answer to a chord: pressed, held, or as the first of two strokes. */
function holdersOf(index: ClashIndex, place: (chord: ChordText) => ChordText, chord: ChordText): Command[] {
  if (chord === '') return [];
  const at = place(chord);
  const holders = [
    ...(index.holders.get(at) ?? []),
    ...(index.holders.get(`hold:${at}`) ?? []),
    ...(index.sequences.get(at) ?? []),
  ];
  return [...new Set(holders.map((holder) => holder.command))];
}
