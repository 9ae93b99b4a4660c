import type { SheetLayout } from '@/core/sheet/sheet';
import { drawPage } from './drawPage';

/** Dots to a point: 216 dpi, and less for many pages, since browsers draw only so large. */
const SCALE = 3;
const MOST_DOTS = 16_000;
const GAP = 12;

/** Draws a layout as a picture, its pages below each other, and saves it. */
export async function savePng(layout: SheetLayout, title: string): Promise<void> {
  await document.fonts.ready;
  const high = layout.pages.length * layout.height + (layout.pages.length - 1) * GAP;
  const scale = Math.min(SCALE, MOST_DOTS / high);
  const canvas = document.createElement('canvas');
  canvas.width = Math.round(layout.width * scale);
  canvas.height = Math.round(high * scale);
  const pen = canvas.getContext('2d');
  if (!pen) throw new Error('This browser draws no pictures.');
  pen.scale(scale, scale);
  layout.pages.forEach((page, i) => {
    pen.save();
    pen.translate(0, i * (layout.height + GAP));
    drawPage(pen, { ...layout, page });
    pen.restore();
  });
  const blob = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/png'));
  if (!blob) throw new Error('The picture is too large.');
  const link = document.createElement('a');
  link.href = URL.createObjectURL(blob);
  link.download = `${title}.png`;
  link.click();
  window.setTimeout(() => URL.revokeObjectURL(link.href), 10_000);
}
