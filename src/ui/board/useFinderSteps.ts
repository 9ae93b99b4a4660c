import { type KeyboardEvent, type RefObject, useLayoutEffect, useRef } from 'react';
import type { ClashIndex } from '@/core/clash/clashIndex';
import { NO_FILTER } from '@/core/finder/filters';
import type { FinderRow } from '@/core/finder/finderRows';
import type { Command } from '@/core/program/program';
import { useStable } from '../kit/useStable';
import { useSettings } from '../shell/SettingsContext';
import { holdersOf } from './holdersOf';
import { keysAsked } from './keysAsked';
import type { useChosen } from './useChosen';
import type { useFound } from './useFound';
import { useSoon } from './useSoon';

type Given = {
  readonly index: ClashIndex;
  readonly inputRef: RefObject<HTMLInputElement | null>;
  readonly selected: Command | null;
  readonly found: ReturnType<typeof useFound>;
  readonly chosen: ReturnType<typeof useChosen>;
  readonly onSelect: (command: Command) => void;
  readonly onOpen: () => void;
};

/** What is done in the finder: typing, moving through what is found, going on with it. */
export function useFinderSteps({ index, inputRef, selected, found, chosen, onSelect, onOpen }: Given) {
  const { platform, where } = useSettings();
  const { query, setQuery, setFilter, keys, setKeys, first, rows, at, waiting } = found;
  const { remember } = chosen;
  const { bringSoon, bringNow } = useSoon(onSelect, selected);

  const move = (from: number, step: number): void => {
    for (let i = from + step; i >= 0 && i < rows.length; i += Math.sign(step)) {
      const row = rows[i];
      if (row && 'command' in row) {
        onSelect(row.command);
        return;
      }
    }
  };
  // The first of what is found comes onto the bench, so that Enter goes on with it.
  const wantsFirst = useRef(false);
  /** Whether Enter was pressed before it was known what is found. */
  const opens = useRef(false);
  // Before a key can be pressed on what is seen.
  // biome-ignore lint/correctness/useExhaustiveDependencies: only what was found anew is brought.
  useLayoutEffect(() => {
    if (waiting) return;
    if (wantsFirst.current) bringSoon(first ?? null);
    wantsFirst.current = false;
    if (!opens.current) return;
    opens.current = false;
    bringNow();
    onOpen();
  }, [query, first, waiting]);
  /** Brings what was to follow; @returns the place in the list of the command that is then on the bench. */
  const bring = (): number => {
    const brought = bringNow();
    return brought ? rows.findIndex((row) => 'command' in row && row.command === brought) : at;
  };
  /** What is gone on with is what was meant by the words. */
  const chose = (row: FinderRow | undefined): void => {
    if (query.trim() !== '' && row && 'command' in row) remember(query, row.command, first);
  };
  const onPick = useStable((command: Command) => {
    if (query.trim() !== '') remember(query, command, first);
    onSelect(command);
  });
  const onKeyDown = (event: KeyboardEvent) => {
    const inField = event.target === inputRef.current;
    const chord = inField ? keysAsked(event, keys !== null, where.keyboard, platform) : null;
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
      const from = bring();
      if (from < 0) move(-1, 1);
      else move(Math.max(-1, Math.min(rows.length, from + step - Math.sign(step))), Math.sign(step));
    } else if (event.key === 'Enter') {
      event.preventDefault();
      if (waiting) {
        opens.current = true;
        return;
      }
      const brought = bring();
      if (brought < 0) move(-1, 1);
      chose(rows[brought]);
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
    opens.current = false;
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
  return { onKeyDown, onPick, onQuery, onFieldKeyDown, onWay, showAll };
}
