'use client';

import Button from '@mui/material/Button';
import Link from 'next/link';
import { type KeyboardEvent, memo, type RefObject, useEffect, useRef } from 'react';
import { MOST_WISHED } from '@/core/advice/wishList';
import type { ClashIndex } from '@/core/clash/clashIndex';
import { countOn, NO_FILTER } from '@/core/finder/filters';
import type { Draft } from '@/core/keymap/draft';
import type { Command } from '@/core/program/program';
import type { ReachOf } from '@/core/reach/reachOf';
import { counted } from '@/core/text/sentence';
import { useStable } from '../kit/useStable';
import { useSettings } from '../shell/SettingsContext';
import styles from './board.module.css';
import { emptyWords } from './emptyWords';
import { Filters } from './Filters';
import { FinderRows } from './FinderRows';
import { FindField } from './FindField';
import { holdersOf } from './holdersOf';
import { keysAsked } from './keysAsked';
import { useFound } from './useFound';
import { useRowList } from './useRowList';
import { useSoon } from './useSoon';

type Props = {
  readonly commands: readonly Command[];
  readonly index: ClashIndex;
  readonly draft: Draft;
  readonly selected: Command | null;
  readonly turns: (command: Command) => number;
  /** Null until reach is worked out for all keys. */
  readonly reach: ReachOf | null;
  readonly inputRef: RefObject<HTMLInputElement | null>;
  readonly wishAddress: (commands: readonly Command[]) => string;
  readonly onSelect: (command: Command) => void;
  /** Enter: go on to the bench. */
  readonly onOpen: () => void;
};

/** Finds a command by its words, its menu or its keys. The field keeps the focus; arrow keys move through what it found. */
export const Finder = memo(function Finder(props: Props) {
  const { commands, index, draft, selected, turns, reach, inputRef, wishAddress, onSelect, onOpen } = props;
  const { platform, where } = useSettings();
  const found = useFound(commands, index, draft.factory, reach, selected);
  const { query, setQuery, filter, setFilter, keys, setKeys, shown, counts, rows, at, inMenuOrder } = found;
  const { list, scroller } = useRowList(rows, at, inMenuOrder, selected?.id);
  const { bringSoon, bringNow } = useSoon(onSelect);

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
  // biome-ignore lint/correctness/useExhaustiveDependencies: only what was found anew is brought.
  useEffect(() => {
    if (wantsFirst.current) bringSoon(shown[0] ?? null);
    wantsFirst.current = false;
  }, [query, shown]);
  /** Brings what was to follow; @returns the place in the list of the command that is then on the bench. */
  const bring = (): number => {
    const brought = bringNow();
    return brought ? rows.findIndex((row) => 'command' in row && row.command === brought) : at;
  };
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
      if (bring() < 0) move(-1, 1);
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
      <FindField {...{ inputRef, query, keys, onQuery, onWay }} onKeyDown={onFieldKeyDown} />
      <Filters program={index.facts.program} filter={filter} counts={counts} onChange={setFilter} />
      {shown.length < commands.length && <WishForThese commands={shown} address={wishAddress} />}
      <p className="hidden" role="status">
        {counted(shown.length, 'command')}
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
        <FinderRows {...{ list, rows, at, draft, turns, onSelect, onOpen }} of={shown.length} />
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

/** Puts all that is found on the wish list in one step, so that a family can be planned together. */
function WishForThese({ commands, address }: { commands: readonly Command[]; address: Props['wishAddress'] }) {
  if (commands.length < 2 || commands.length > MOST_WISHED) return null;
  return (
    <Button
      variant="inline"
      component={Link}
      href={address(commands)}
      prefetch={false}
      sx={{ alignSelf: 'flex-start' }}
    >
      Wish for better keys for these {commands.length}
    </Button>
  );
}
