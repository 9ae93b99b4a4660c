'use client';

import { memo, useEffect, useMemo, useRef, useState } from 'react';
import { flushSync } from 'react-dom';
import type { SheetLayout } from '@/core/sheet/sheet';
import type { Drawing } from './drawPage';
import { PagePicture, SheetPage } from './SheetPage';
import styles from './sheets.module.css';

/**
 * The pages of a layout. The one that is looked at is there at once, as a picture; then each is drawn when there is time,
 * the nearest first, and all before printing. Until its turn comes a page of the same size stays as it was.
 */
export const SheetPages = memo(function SheetPages({ layout }: { layout: SheetLayout }) {
  const { width, height, pages } = layout;
  const wanted = useMemo(
    (): readonly Drawing[] => pages.map((page) => ({ page, width, height })),
    [pages, width, height],
  );
  const { list, looked } = useLookedAt(wanted.length);
  const [drawn, setDrawn] = useState<readonly (Drawing | undefined)[]>(wanted.slice(0, 1));
  const fits = (one: Drawing | undefined): boolean => one?.width === width && one.height === height;
  useEffect(() => {
    // The one looked at has its picture, so that the next one comes before it.
    const far = (i: number): number => (i === looked ? 1 : Math.abs(i - looked - 0.1));
    const [next] = [...wanted.keys()].filter((i) => wanted[i] !== drawn[i]).sort((a, b) => far(a) - far(b));
    if (next === undefined) return;
    const draw = (): void => setDrawn((old) => wanted.map((one, i) => (i === next ? one : old[i])));
    const soon = window.requestIdleCallback(draw, { timeout: 300 });
    return () => window.cancelIdleCallback(soon);
  }, [wanted, drawn, looked]);
  useEffect(() => {
    const all = (): void => flushSync(() => setDrawn(wanted));
    window.addEventListener('beforeprint', all);
    return () => window.removeEventListener('beforeprint', all);
  }, [wanted]);
  return (
    <div ref={list} className={styles.pages}>
      {wanted.map((one, i) => (
        <div
          key={i}
          className={styles.page}
          style={{
            aspectRatio: `${width} / ${height}`,
            maxWidth: `${Math.round(width)}px`,
            containIntrinsicSize: `auto ${Math.round(height)}px`,
          }}
        >
          <PageNow
            wanted={one}
            drawn={fits(drawn[i]) ? drawn[i] : undefined}
            looked={i === looked}
            label={`Page ${i + 1} of ${wanted.length}`}
          />
        </div>
      ))}
    </div>
  );
});

type NowProps = {
  readonly wanted: Drawing;
  readonly drawn: Drawing | undefined;
  readonly looked: boolean;
  readonly label: string;
};

const PageNow = memo(function PageNow({ wanted, drawn, looked, label }: NowProps) {
  return (
    <>
      {drawn && <SheetPage drawing={drawn} label={drawn === wanted || !looked ? label : undefined} />}
      {looked && drawn !== wanted && <PagePicture drawing={wanted} label={label} />}
    </>
  );
});

/** A line across the window, a third down: the page it crosses is the one that is looked at. */
const LOOKED_AT = { rootMargin: '-33% 0px -66% 0px' };

function useLookedAt(count: number) {
  const list = useRef<HTMLDivElement>(null);
  const [last, setLast] = useState(0);
  useEffect(() => {
    const pages = [...(list.current?.children ?? [])].slice(0, count);
    const observer = new IntersectionObserver((entries) => {
      const crossed = entries.find((one) => one.isIntersecting);
      if (crossed) setLast(pages.indexOf(crossed.target));
    }, LOOKED_AT);
    for (const page of pages) observer.observe(page);
    return () => observer.disconnect();
  }, [count]);
  return { list, looked: Math.min(last, count - 1) };
}
