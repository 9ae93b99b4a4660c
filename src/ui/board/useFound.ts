import { useMemo, useState } from 'react';
import type { ChordText } from '@/core/chord/chord';
import type { ClashIndex } from '@/core/clash/clashIndex';
import { chordTyped } from '@/core/finder/chordTyped';
import { applyFilter, countMarks, type Filter, markCommands, NO_FILTER } from '@/core/finder/filters';
import { type FinderRow, finderRows } from '@/core/finder/finderRows';
import type { Keymap } from '@/core/keymap/keymap';
import type { Command, CommandId } from '@/core/program/program';
import type { ReachOf } from '@/core/reach/reachOf';
import { listed, plainWords } from '@/core/text/sentence';
import { useSettings } from '../shell/SettingsContext';
import { holdersOf } from './holdersOf';
import { useFinder } from './useFinder';

const MOST_FOUND = 200;
/** What words find, or the keys they spell. */
type Looked = {
  readonly found: readonly Command[];
  readonly near: readonly Command[];
  readonly heading: string | null;
  /** What stands below those that are only near. */
  readonly hint: string | null;
  /** Whether what is known of words is still to come. */
  readonly waiting: boolean;
};
const nothing = { near: [], heading: null, hint: null, waiting: false };

/** What is looked for, by words or by keys, through which filter, and what is found. */
export function useFound(
  commands: readonly Command[],
  index: ClashIndex,
  factory: Keymap,
  reach: ReachOf | null,
  selected: Command | null,
  chosenFor: (typed: string) => CommandId | undefined,
) {
  const { where, platform } = useSettings();
  const { place } = where;
  const [query, setQuery] = useState('');
  const [filter, setFilter] = useState<Filter>(NO_FILTER);
  /** Null: by words. Otherwise the keys whose holders are looked for, empty until some are pressed. */
  const [keys, setKeys] = useState<ChordText | null>(null);
  const finder = useFinder(commands);
  const spelled = useMemo(() => (keys === null ? chordTyped(query, platform) : null), [keys, query, platform]);
  const looked = useMemo((): Looked => {
    const asked = keys ?? spelled;
    if (asked !== null) {
      const found = holdersOf(index, place, asked);
      if (keys !== null || found.length > 0)
        return { ...nothing, found, heading: keys === null ? `Who holds ${query.trim()}` : null };
    }
    if (query.trim() === '') return { ...nothing, found: commands };
    const find = finder();
    if (!find) return { ...nothing, found: [], waiting: true };
    const { commands: found, unmatched, near, menu } = find(query, chosenFor(query));
    return {
      found,
      near,
      waiting: false,
      heading: near.length > 0 ? 'Nothing is quite that. Near it:' : headingOf(unmatched),
      hint: near.length > 0 && menu ? `Such things live in ${menu.join(' › ')}` : null,
    };
  }, [keys, spelled, commands, finder, query, index, place, chosenFor]);
  const { found, near } = looked;
  const marks = useMemo(() => markCommands(index, factory, place, reach), [index, factory, place, reach]);
  const shown = useMemo(() => applyFilter(found, marks, filter), [found, marks, filter]);
  const nearest = useMemo(() => applyFilter(near, marks, filter), [near, marks, filter]);
  const counts = useMemo(() => countMarks(commands, marks, filter), [commands, marks, filter]);
  const inMenuOrder = keys === null && query.trim() === '';
  const rows = useMemo((): readonly FinderRow[] => {
    if (inMenuOrder) return finderRows(shown, true);
    const heading = looked.heading === null ? [] : [{ heading: looked.heading }];
    if (shown.length === 0 && nearest.length > 0)
      return [...heading, ...finderRows(nearest, false), ...(looked.hint ? [{ heading: looked.hint }] : [])];
    if (shown.length === 0) return [];
    // Whoever searches types on rather than scroll through thousands.
    const more = shown.length - MOST_FOUND;
    return [
      ...heading,
      ...finderRows(shown.slice(0, MOST_FOUND), false),
      ...(more > 0 ? [{ heading: `${more} more. Type on to narrow them down.` }] : []),
    ];
  }, [shown, nearest, looked, inMenuOrder]);
  const at = useMemo(
    () => rows.findIndex((row) => 'command' in row && row.command.id === selected?.id),
    [rows, selected?.id],
  );
  return {
    ...{ query, setQuery, filter, setFilter, keys, setKeys, shown, counts, rows, at, inMenuOrder },
    nearest: shown.length === 0 ? nearest : [],
    first: shown[0] ?? (shown.length === 0 ? nearest[0] : undefined),
    waiting: looked.waiting,
  };
}

/** What even the first of what is found does not say. */
function headingOf(unmatched: readonly string[]): string | null {
  if (unmatched.length === 0) return null;
  return `Without ${plainWords(listed(unmatched.map((one) => [{ text: `“${one}”` }])))}`;
}
