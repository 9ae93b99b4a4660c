'use client';

import { memo, useEffect, useState } from 'react';
import { flushSync } from 'react-dom';
import type { SheetLayout } from '@/core/sheet/sheet';
import { SheetPage } from './SheetPage';
import styles from './sheets.module.css';

/** The pages of a layout: the first at once, the others one after the other when there is time, all before printing. */
export const SheetPages = memo(function SheetPages({ layout }: { layout: SheetLayout }) {
  const [drawn, setDrawn] = useState({ layout, pages: 1 });
  const pages = drawn.layout === layout ? drawn.pages : 1;
  const { length } = layout.pages;
  useEffect(() => {
    if (pages >= length) return;
    const next = window.requestIdleCallback(() => setDrawn({ layout, pages: pages + 1 }), { timeout: 300 });
    return () => window.cancelIdleCallback(next);
  }, [layout, pages, length]);
  useEffect(() => {
    const all = (): void => flushSync(() => setDrawn({ layout, pages: length }));
    window.addEventListener('beforeprint', all);
    return () => window.removeEventListener('beforeprint', all);
  }, [layout, length]);
  return layout.pages.map((page, i) => (
    <div
      key={i}
      className={styles.page}
      style={{
        aspectRatio: `${layout.width} / ${layout.height}`,
        maxWidth: `${Math.round(layout.width)}px`,
        containIntrinsicSize: `auto ${Math.round(layout.height)}px`,
      }}
    >
      {i < pages && <SheetPage layout={layout} page={page} label={`Page ${i + 1} of ${length}`} />}
    </div>
  ));
});
