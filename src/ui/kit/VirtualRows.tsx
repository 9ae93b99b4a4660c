'use client';

import { useVirtualizer } from '@tanstack/react-virtual';
import { type HTMLAttributes, type ReactNode, type RefObject, useCallback, useEffect, useMemo, useRef } from 'react';

import { useStable } from './useStable';

type Props<T> = Omit<HTMLAttributes<HTMLDivElement>, 'children'> & {
  readonly rows: readonly T[];
  readonly keyOf: (row: T, index: number) => string | number;
  /** The height of a row in pixels, before it is measured. */
  readonly height: number;
  /** What stands above the rows and scrolls with them. */
  readonly head?: ReactNode;
  /** What stands there instead of rows. */
  readonly empty?: ReactNode;
  /** What the rows are together for those who listen: a list of items, or the body of a table. */
  readonly rowsRole?: 'list' | 'rowgroup';
  readonly rowsLabel?: string;
  readonly scroller?: RefObject<HTMLDivElement | null>;
  readonly children: (row: T, index: number) => ReactNode;
};

/** A long list, of which only what is in sight stands on the page; each row as high as its words need. */
export function VirtualRows<T>(props: Props<T>) {
  const { rows, keyOf, height, head, empty, rowsRole, rowsLabel, scroller, children, ...rest } = props;
  const own = useRef<HTMLDivElement>(null);
  const box = scroller ?? own;
  const stable = useStable(keyOf);
  // Asked for all rows whenever one is measured.
  const keys = useMemo(() => rows.map((row, i) => stable(row, i)), [rows, stable]);
  const list = useVirtualizer({
    count: rows.length,
    getScrollElement: () => box.current,
    estimateSize: () => height,
    getItemKey: useCallback((i: number) => keys[i] ?? i, [keys]),
    overscan: 8,
    initialRect: { width: 900, height: 600 },
    // Drawn after the frame that scrolls, not within it; the rows beyond the edge are there meanwhile.
    useFlushSync: false,
  });
  // biome-ignore lint/correctness/useExhaustiveDependencies: rows of another size are measured anew.
  useEffect(() => list.measure(), [height]);
  return (
    // A long list is scrolled by keyboard as well.
    <div ref={box} tabIndex={0} {...rest} className={`scrolls ${rest.className ?? ''}`}>
      {head}
      <div
        {...(rowsRole && { role: rowsRole, 'aria-label': rowsLabel })}
        style={{ height: list.getTotalSize(), position: 'relative' }}
        hidden={rows.length === 0}
      >
        {list.getVirtualItems().map(({ key, index, start }) => (
          <div
            key={key}
            ref={list.measureElement}
            data-index={index}
            {...(rowsRole === 'list'
              ? { role: 'listitem', 'aria-setsize': rows.length, 'aria-posinset': index + 1 }
              : { role: rowsRole && 'presentation' })}
            style={{ position: 'absolute', insetInline: 0, top: 0, transform: `translateY(${start}px)` }}
          >
            {children(rows[index] as T, index)}
          </div>
        ))}
      </div>
      {rows.length === 0 && empty}
    </div>
  );
}
