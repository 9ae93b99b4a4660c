'use client';

import Button from '@mui/material/Button';
import Link from 'next/link';
import { memo, type RefObject, useEffect } from 'react';
import { MOST_WISHED } from '@/core/advice/wishList';
import type { ClashIndex } from '@/core/clash/clashIndex';
import { countOn } from '@/core/finder/filters';
import type { Draft } from '@/core/keymap/draft';
import type { Command } from '@/core/program/program';
import type { ReachOf } from '@/core/reach/reachOf';
import { counted } from '@/core/text/sentence';
import styles from './board.module.css';
import { emptyWords } from './emptyWords';
import { Filters } from './Filters';
import { FinderRows } from './FinderRows';
import { FindField } from './FindField';
import type { useChosen } from './useChosen';
import { useFinderSteps } from './useFinderSteps';
import { useFound } from './useFound';
import { useRowList } from './useRowList';

type Props = {
  readonly commands: readonly Command[];
  readonly index: ClashIndex;
  readonly draft: Draft;
  readonly selected: Command | null;
  readonly turns: (command: Command) => number;
  /** Null until reach is worked out for all keys. */
  readonly reach: ReachOf | null;
  readonly inputRef: RefObject<HTMLInputElement | null>;
  readonly chosen: ReturnType<typeof useChosen>;
  readonly wishAddress: (commands: readonly Command[]) => string;
  readonly onSelect: (command: Command) => void;
  /** Enter: go on to the bench. */
  readonly onOpen: () => void;
};

/** Finds a command by its words, its menu or its keys. The field keeps the focus; arrow keys move through what it found. */
export const Finder = memo(function Finder(props: Props) {
  const { commands, index, draft, selected, turns, reach, inputRef, chosen, wishAddress, onSelect, onOpen } = props;
  const found = useFound(commands, index, draft.factory, reach, selected, chosen.chosenFor);
  const { query, filter, setFilter, keys, shown, nearest, counts, rows, at, inMenuOrder, waiting } = found;
  const { list, scroller } = useRowList(rows, at, inMenuOrder, selected?.id);
  const steps = useFinderSteps({ index, inputRef, selected, found, chosen, onSelect, onOpen });
  const { onKeyDown, onPick, onQuery, onFieldKeyDown, onWay, showAll } = steps;
  // The field says which row is active without being drawn again.
  useEffect(() => {
    if (at < 0) inputRef.current?.removeAttribute('aria-activedescendant');
    else inputRef.current?.setAttribute('aria-activedescendant', `command-${at}`);
  }, [at, inputRef]);
  return (
    <section className={styles.finder} aria-label="Find a command">
      <FindField {...{ inputRef, query, keys, onQuery, onWay }} onKeyDown={onFieldKeyDown} />
      <Filters program={index.facts.program} filter={filter} counts={counts} onChange={setFilter} />
      {shown.length < commands.length && shown.length > 0 && <WishForThese commands={shown} address={wishAddress} />}
      <p className="hidden" role="status">
        {nearest.length > 0 ? `Nothing is quite that; ${nearest.length} near it` : counted(shown.length, 'command')}
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
        <FinderRows
          {...{ list, rows, at, draft, turns, onOpen }}
          onSelect={onPick}
          of={shown.length || nearest.length}
        />
      </div>
      {rows.length === 0 && !waiting && (
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
