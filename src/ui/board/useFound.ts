import { useMemo, useState } from 'react';
import type { ChordText } from '@/core/chord/chord';
import type { ClashIndex } from '@/core/clash/clashIndex';
import { applyFilter, countMarks, type Filter, markCommands, NO_FILTER } from '@/core/finder/filters';
import { finderRows } from '@/core/finder/finderRows';
import { searchCommands } from '@/core/finder/searchCommands';
import type { Keymap } from '@/core/keymap/keymap';
import type { Command } from '@/core/program/program';
import type { ReachOf } from '@/core/reach/reachOf';
import { useSettings } from '../shell/SettingsContext';
import { holdersOf } from './holdersOf';
import { useSearchIndex } from './useSearchIndex';

const MOST_FOUND = 200;

/** What is looked for, by words or by keys, through which filter, and what is found. */
export function useFound(
  commands: readonly Command[],
  index: ClashIndex,
  factory: Keymap,
  reach: ReachOf | null,
  selected: Command | null,
) {
  const { place } = useSettings().where;
  const [query, setQuery] = useState('');
  const [filter, setFilter] = useState<Filter>(NO_FILTER);
  /** Null: by words. Otherwise the keys whose holders are looked for, empty until some are pressed. */
  const [keys, setKeys] = useState<ChordText | null>(null);
  const searchIndex = useSearchIndex(commands);
  const found = useMemo(() => {
    if (keys !== null) return holdersOf(index, place, keys);
    return query.trim() === '' ? commands : searchCommands(searchIndex(), query);
  }, [keys, commands, searchIndex, query, index, place]);
  const marks = useMemo(() => markCommands(index, factory, place, reach), [index, factory, place, reach]);
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
  return { query, setQuery, filter, setFilter, keys, setKeys, shown, counts, rows, at, inMenuOrder };
}
