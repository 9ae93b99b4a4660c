import { memo, useLayoutEffect, useMemo, useRef } from 'react';
import type { Face } from '@/core/sheet/measure';
import { pageShapes } from '@/core/sheet/writeSvg';
import { type Drawing, drawPage, FAMILIES } from './drawPage';

const STYLE = { family: (face: Face) => FAMILIES[face], held: false };

/** One page of a sheet, drawn from the same layout and by the same hand as the SVG file; lengths in points. */
export const SheetPage = memo(function SheetPage({
  drawing: { page, width, height },
  label,
}: {
  drawing: Drawing;
  /** None where a picture of the page as it is now stands before it. */
  label: string | undefined;
}) {
  // As one text: a page has some two thousand shapes, which the browser reads faster than they are made one by one.
  const shapes = useMemo(() => ({ __html: pageShapes(page, STYLE) }), [page]);
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      aria-label={label}
      aria-hidden={label === undefined}
      xmlns="http://www.w3.org/2000/svg"
      fill="#161616"
      xmlSpace="preserve"
      style={{ fontKerning: 'none', fontVariantLigatures: 'none', background: '#fff' }}
      // biome-ignore lint/security/noDangerouslySetInnerHtml: the core's own shapes, every text in them escaped.
      dangerouslySetInnerHTML={shapes}
    />
  );
});

/** The same page as a picture: it is there sooner, and stands in until the shapes are. */
export function PagePicture({ drawing, label }: { drawing: Drawing; label: string }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useLayoutEffect(() => {
    const at = canvas.current;
    const pen = at?.getContext('2d', { alpha: false });
    if (!at || !pen) return;
    at.width = Math.round(at.clientWidth * window.devicePixelRatio);
    at.height = Math.round(at.clientHeight * window.devicePixelRatio);
    pen.setTransform(at.width / drawing.width, 0, 0, at.height / drawing.height, 0, 0);
    drawPage(pen, drawing);
  }, [drawing]);
  return <canvas ref={canvas} role="img" aria-label={label} />;
}
