import { useVirtualizer } from '@tanstack/react-virtual';
import { useCallback, useEffect, useRef } from 'react';
import type { FinderRow } from '@/core/finder/finderRows';
import type { CommandId } from '@/core/program/program';
import { TEXT_SCALE } from '../kit/tokens';
import { useSettings } from '../shell/SettingsContext';

const ROW = 40;
const HEADING = 30;

/** The rows that are in view, and scrolling to the one on the bench. */
export function useRowList(
  rows: readonly FinderRow[],
  at: number,
  inMenuOrder: boolean,
  selected: CommandId | undefined,
) {
  const size = TEXT_SCALE[useSettings().settings.textSize];
  const scroller = useRef<HTMLDivElement>(null);
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
  }, [selected, inMenuOrder]);
  return { list, scroller };
}
