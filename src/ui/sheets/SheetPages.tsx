'use client';

import { memo, type RefObject, useEffect, useMemo, useRef, useState } from 'react';
import { flushSync } from 'react-dom';
import type { SheetLayout } from '@/core/sheet/sheet';
import type { Drawing } from './drawPage';
import { PagePicture, SheetPage } from './SheetPage';
import styles from './sheets.module.css';

/** What stands for a page: its shapes, and before them its picture where that is newer. */
type Shown = { readonly shapes?: Drawing | undefined; readonly picture?: Drawing | undefined };
const NOTHING: Shown = {};

/** How long, in milliseconds, no choice is made before pictures give way to shapes, which take their time. */
const CALM = 600;
/** A line across the window, a third down: the page it crosses is the one that is looked at. */
const LOOKED_AT = '-33% 0px -66% 0px';
/** A window's height above and below. */
const NEAR = '100% 0px';

/**
 * The pages of a layout. The one that is looked at is there at once, as a picture; those near it follow when there is
 * time; then, in a calm moment, their shapes, which are sharp at any size and can be searched; before printing, the
 * shapes of all. Until its turn comes a page of the same size stays as it was.
 */
export const SheetPages = memo(function SheetPages({ layout }: { layout: SheetLayout }) {
  const { width, height, pages } = layout;
  const wanted = useMemo(
    (): readonly Drawing[] => pages.map((page) => ({ page, width, height })),
    [pages, width, height],
  );
  const list = useRef<HTMLDivElement>(null);
  const near = usePagesAt(list, wanted.length, NEAR);
  const [looked = 0] = usePagesAt(list, wanted.length, LOOKED_AT);
  const [shown, setShown] = useState<readonly Shown[]>([{ shapes: wanted[0] }]);
  useEffect(() => {
    // What has another size is forgotten, so that it does not come back when that size does.
    const set = (at: number, one: Shown): void =>
      setShown((old) => wanted.map((of, i) => (i === at ? one : fitting(old[i] ?? NOTHING, of))));
    const byDistance = [...near].sort((a, b) => Math.abs(a - looked) - Math.abs(b - looked));
    const isDone = (i: number): boolean => shown[i]?.shapes === wanted[i];
    const bare = byDistance.find((i) => !isDone(i) && shown[i]?.picture !== wanted[i]);
    if (bare !== undefined)
      return whenIdle(() => set(bare, { ...fitting(shown[bare] ?? NOTHING, layout), picture: wanted[bare] }));
    const next = byDistance.find((i) => !isDone(i));
    if (next === undefined) return;
    let stop = (): void => {};
    const soon = window.setTimeout(() => {
      stop = whenIdle(() => set(next, { shapes: wanted[next] }));
    }, CALM);
    return () => {
      window.clearTimeout(soon);
      stop();
    };
  }, [layout, wanted, shown, near, looked]);
  useEffect(() => {
    const all = (): void => flushSync(() => setShown(wanted.map((shapes) => ({ shapes }))));
    window.addEventListener('beforeprint', all);
    return () => window.removeEventListener('beforeprint', all);
  }, [wanted]);
  return (
    <div ref={list} className={styles.pages}>
      {wanted.map((one, i) => (
        <div
          key={i}
          role="img"
          aria-label={`Page ${i + 1} of ${wanted.length}`}
          className={styles.page}
          style={{
            aspectRatio: `${width} / ${height}`,
            maxWidth: `${Math.round(width)}px`,
            containIntrinsicSize: `auto ${Math.round(height)}px`,
          }}
        >
          <PageNow wanted={one} shown={shown[i] ?? NOTHING} looked={i === looked} />
        </div>
      ))}
    </div>
  );
});

type NowProps = {
  readonly wanted: Drawing;
  readonly shown: Shown;
  readonly looked: boolean;
};

const PageNow = memo(function PageNow({ wanted, shown, looked }: NowProps) {
  const { shapes, picture: last } = fitting(shown, wanted);
  const picture = shapes === wanted ? undefined : looked ? wanted : last;
  return (
    <>
      {shapes && <SheetPage drawing={shapes} />}
      {picture && <PagePicture drawing={picture} />}
    </>
  );
});

/** What stands for a page, of that only what has the size wanted. */
function fitting(shown: Shown, { width, height }: Pick<Drawing, 'width' | 'height'>): Shown {
  const fits = (one: Drawing | undefined): boolean =>
    one === undefined || (one.width === width && one.height === height);
  if (fits(shown.shapes) && fits(shown.picture)) return shown;
  return {
    shapes: fits(shown.shapes) ? shown.shapes : undefined,
    picture: fits(shown.picture) ? shown.picture : undefined,
  };
}

function whenIdle(run: () => void): () => void {
  const soon = window.requestIdleCallback(run, { timeout: 300 });
  return () => window.cancelIdleCallback(soon);
}

/** Which of a list's first pages are in view, or as near to it as a margin says; where none is, those that last were. */
function usePagesAt(list: RefObject<HTMLDivElement | null>, count: number, rootMargin: string): ReadonlySet<number> {
  const [at, setAt] = useState<ReadonlySet<number>>(FIRST);
  useEffect(() => {
    const pages = [...(list.current?.children ?? [])].slice(0, count);
    const inView = new Set<number>();
    const observer = new IntersectionObserver(
      (entries) => {
        for (const { target, isIntersecting } of entries) {
          if (isIntersecting) inView.add(pages.indexOf(target));
          else inView.delete(pages.indexOf(target));
        }
        if (inView.size > 0) setAt(new Set(inView));
      },
      { rootMargin },
    );
    for (const page of pages) observer.observe(page);
    return () => observer.disconnect();
  }, [list, count, rootMargin]);
  return at;
}
const FIRST: ReadonlySet<number> = new Set([0]);
