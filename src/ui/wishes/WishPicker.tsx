'use client';

import { useVirtualizer } from '@tanstack/react-virtual';
import { memo, useDeferredValue, useMemo, useRef, useState } from 'react';
import { bringMost } from '@/core/effort/bringMost';
import { easiest } from '@/core/effort/gains';
import { GUESSED_USES, MOST_USES, type Uses } from '@/core/effort/uses';
import { searchCommands } from '@/core/finder/searchCommands';
import type { Draft } from '@/core/keymap/draft';
import { type Binding, bindingsOf } from '@/core/keymap/keymap';
import { type Command, type CommandId, type Program, pathText } from '@/core/program/program';
import { HARD } from '@/core/reach/describeReach';
import type { ReachOf } from '@/core/reach/reachOf';
import { useSearchIndex } from '../board/useSearchIndex';
import { KeyCaps } from '../parts/KeyCaps';
import { useSettings } from '../shell/SettingsContext';
import styles from './wishes.module.css';

type Props = {
  readonly program: Program;
  readonly draft: Draft;
  readonly wishes: readonly CommandId[];
  readonly told: Uses;
  /** Null until reach is worked out for all keys. */
  readonly reach: ReachOf | null;
  readonly onWish: (commands: readonly CommandId[], on: boolean) => void;
  readonly onUses: (command: CommandId, perDay: number | null) => void;
  readonly onCounts: () => void;
};

const SHOWN = ['wished', 'all', 'no key', 'hard to reach'] as const;
type Shown = (typeof SHOWN)[number];
const WORDS: Readonly<Record<Shown, string>> = {
  wished: 'Wished',
  all: 'All',
  'no key': 'No key',
  'hard to reach': 'Hard to reach',
};
const ROW = 46;
const MOST_TICKED = 60;
const TEN = 10;
const TEXT_SCALE = { normal: 1, large: 1.125, largest: 1.25 } as const;

/** Ticks the commands that are to have better keys, and tells how often a day each is used. */
export const WishPicker = memo(function WishPicker(props: Props) {
  const { program, draft, wishes, told, reach, onWish, onUses } = props;
  const { settings } = useSettings();
  const [query, setQuery] = useState('');
  const [shown, setShown] = useState<Shown>(wishes.length > 0 ? 'wished' : 'all');
  const searchIndex = useSearchIndex(program.commands);
  const wished = useMemo(() => new Set(wishes), [wishes]);
  const sets = useMemo((): Readonly<Record<Shown, readonly Command[]>> => {
    const { keymap } = draft;
    const hard = (command: Command): boolean => {
      const bindings = bindingsOf(keymap, command.id);
      const best = reach && bindings.length > 0 ? easiest(bindings.map(({ chord }) => reach(chord))) : undefined;
      return best !== undefined && best.figure >= HARD;
    };
    return {
      wished: program.commands.filter((one) => wished.has(one.id)),
      all: program.commands,
      'no key': program.commands.filter((one) => bindingsOf(keymap, one.id).length === 0),
      'hard to reach': reach ? program.commands.filter(hard) : [],
    };
  }, [program, draft, wished, reach]);
  const asked = useDeferredValue(query.trim());
  const rows = useMemo(() => {
    if (asked === '') return sets[shown];
    const allowed = new Set(sets[shown]);
    return searchCommands(searchIndex(), asked).filter((one) => allowed.has(one));
  }, [asked, sets, shown, searchIndex]);
  const scroller = useRef<HTMLDivElement>(null);
  const size = TEXT_SCALE[settings.textSize];
  const list = useVirtualizer({
    count: rows.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW * size,
    overscan: 4,
    initialRect: { width: 360, height: 500 },
  });
  const allTicked = rows.length > 0 && rows.every((one) => wished.has(one.id));
  return (
    <section className={styles.picker} aria-label="Wishes">
      <input
        className={styles.search}
        type="search"
        aria-label="Find commands to wish for"
        placeholder="Find commands to wish for…"
        spellCheck={false}
        value={query}
        onChange={(event) => {
          setQuery(event.target.value);
          // Whoever looks for something means all there is.
          if (shown === 'wished' && event.target.value.trim() !== '') setShown('all');
        }}
      />
      <fieldset className={styles.sets}>
        <legend className="hidden">Show</legend>
        {SHOWN.map((one) => (
          <button key={one} type="button" className="chip" aria-pressed={shown === one} onClick={() => setShown(one)}>
            {WORDS[one]} {one === 'hard to reach' && !reach ? '…' : sets[one].length}
          </button>
        ))}
      </fieldset>
      <div className={styles.rowHead}>
        <button
          type="button"
          className={styles.small}
          aria-disabled={rows.length === 0 || (!allTicked && rows.length > MOST_TICKED)}
          title={!allTicked && rows.length > MOST_TICKED ? `At most ${MOST_TICKED} are ticked at once` : undefined}
          onClick={() => {
            if (allTicked || rows.length <= MOST_TICKED)
              onWish(
                rows.map((one) => one.id),
                !allTicked,
              );
          }}
        >
          {allTicked ? 'Untick these' : 'Tick all of these'}
        </button>
        <span className="push" />
        <button type="button" className={styles.small} title="Read how often from a file" onClick={props.onCounts}>
          uses a day…
        </button>
      </div>
      {rows.length === 0 ? (
        <div className="empty">
          {shown === 'wished' && asked === '' ? (
            <p>
              Nothing is wished for yet. Tick commands under All, or begin with those that good keys save most time
              with.
            </p>
          ) : (
            <p>{asked === '' ? 'None.' : `Nothing here is called “${asked}”.`}</p>
          )}
        </div>
      ) : (
        <div ref={scroller} className={styles.list}>
          <ul className={styles.rows} style={{ height: list.getTotalSize() }} aria-label="Commands">
            {list.getVirtualItems().map(({ index: i, start, key }) => {
              const command = rows[i];
              return command ? (
                <PickRow
                  key={`${key} ${command.id}`}
                  command={command}
                  bindings={bindingsOf(draft.keymap, command.id)}
                  on={wished.has(command.id)}
                  told={told.get(command.id)}
                  start={start}
                  onWish={onWish}
                  onUses={onUses}
                />
              ) : null;
            })}
          </ul>
        </div>
      )}
      <div className={styles.under}>
        <button
          type="button"
          className="chip"
          disabled={!reach}
          onClick={() => {
            if (!reach) return;
            const best = bringMost(program, draft.keymap, told, reach, TEN, wished);
            onWish(
              best.map((one) => one.id),
              true,
            );
            setShown('wished');
            setQuery('');
          }}
        >
          Add the ten that would bring most
        </button>
        {wishes.length > 0 && (
          <button type="button" className={styles.small} onClick={() => onWish(wishes, false)}>
            Clear the list
          </button>
        )}
      </div>
    </section>
  );
});

type RowProps = {
  readonly command: Command;
  readonly bindings: readonly Binding[];
  readonly on: boolean;
  readonly told: number | undefined;
  readonly start: number;
  readonly onWish: Props['onWish'];
  readonly onUses: Props['onUses'];
};
const PickRow = memo(function PickRow({ command, bindings, on, told, start, onWish, onUses }: RowProps) {
  return (
    <li className={styles.pickRow} style={{ top: start }}>
      <label className={styles.pick}>
        <input type="checkbox" checked={on} onChange={(event) => onWish([command.id], event.target.checked)} />
        <span className={styles.names}>
          <span className={styles.name}>{command.name}</span>
          <span className={styles.path}>{pathText(command.path)}</span>
        </span>
      </label>
      <span className={styles.pickKeys}>
        {bindings[0] ? <KeyCaps chord={bindings[0].chord} /> : <span className="soft">no key</span>}
      </span>
      <input
        key={told}
        className={styles.uses}
        type="number"
        min={0}
        max={MOST_USES}
        step="any"
        aria-label={`Uses a day of ${command.name}`}
        title={told === undefined ? 'A guess by its kind' : 'As you told'}
        placeholder={`${GUESSED_USES[command.kind]}?`}
        defaultValue={told ?? ''}
        onBlur={(event) => {
          const { value, validity } = event.target;
          if (!validity.valid) event.target.value = told === undefined ? '' : String(told);
          else if (value !== String(told ?? '')) onUses(command.id, value === '' ? null : Number(value));
        }}
        onKeyDown={(event) => {
          if (event.key === 'Enter') event.currentTarget.blur();
        }}
      />
    </li>
  );
});
