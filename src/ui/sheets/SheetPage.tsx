import { memo, useLayoutEffect, useMemo, useRef } from 'react';
import type { Face } from '@/core/sheet/measure';
import { pageShapes } from '@/core/sheet/writeSvg';
import { type Drawing, drawPage, FAMILIES } from './drawPage';

const STYLE = { family: (face: Face) => FAMILIES[face], held: false };

/** One page of a sheet, drawn from the same layout and by the same hand as the SVG file; lengths in points. */
export const SheetPage = memo(function SheetPage({ drawing: { page, width, height } }: { drawing: Drawing }) {
  // As one text: a page has some two thousand shapes, which the browser reads faster than they are made one by one.
  const shapes = useMemo(() => ({ __html: pageShapes(page, STYLE) }), [page]);
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      aria-hidden
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
export function PagePicture({ drawing }: { drawing: Drawing }) {
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
  return <canvas ref={canvas} aria-hidden />;
}
