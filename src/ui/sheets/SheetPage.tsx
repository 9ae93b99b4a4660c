import { memo, useMemo } from 'react';
import type { Face } from '@/core/sheet/measure';
import type { Page, SheetLayout } from '@/core/sheet/sheet';
import { pageShapes } from '@/core/sheet/writeSvg';

/** The families in which the browser has each face. */
export const FAMILIES: Readonly<Record<Face, string>> = {
  words: '"Atkinson Hyperlegible Next"',
  wordsExt: '"Atkinson Hyperlegible Next"',
  bold: '"Atkinson Hyperlegible Next"',
  boldExt: '"Atkinson Hyperlegible Next"',
  keys: '"Atkinson Hyperlegible Mono"',
  keysExt: '"Atkinson Hyperlegible Mono"',
  symbols: '"Gray Pin Symbols"',
  symbolsMath: '"Gray Pin Symbols"',
  symbolsMore: '"Gray Pin Symbols"',
};

const STYLE = { family: (face: Face) => FAMILIES[face], held: false };

/** One page of a sheet, drawn from the same layout and by the same hand as the SVG file; lengths in points. */
export const SheetPage = memo(function SheetPage({
  layout,
  page,
  label,
}: {
  layout: SheetLayout;
  page: Page;
  label: string;
}) {
  // As one text: a page has some two thousand shapes, which the browser reads faster than they are made one by one.
  const shapes = useMemo(() => ({ __html: pageShapes(page, STYLE) }), [page]);
  return (
    <svg
      viewBox={`0 0 ${layout.width} ${layout.height}`}
      role="img"
      aria-label={label}
      xmlns="http://www.w3.org/2000/svg"
      fill="#161616"
      xmlSpace="preserve"
      style={{ fontKerning: 'none', fontVariantLigatures: 'none', background: '#fff' }}
      // biome-ignore lint/security/noDangerouslySetInnerHtml: the core's own shapes, every text in them escaped.
      dangerouslySetInnerHTML={shapes}
    />
  );
});
