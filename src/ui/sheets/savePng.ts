import type { Item, SheetLayout } from '@/core/sheet/sheet';
import { INK_COLORS } from '@/core/workspace/appearance';
import { INK_SHAPES } from '@/core/workspace/dressing';
import { FAMILIES } from './SheetPage';

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
  pen.fontKerning = 'none';
  layout.pages.forEach((page, i) => {
    pen.save();
    pen.translate(0, i * (layout.height + GAP));
    pen.fillStyle = '#ffffff';
    pen.fillRect(0, 0, layout.width, layout.height);
    for (const block of page.blocks) for (const item of block.items) draw(pen, item);
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

function draw(pen: CanvasRenderingContext2D, item: Item): void {
  switch (item.kind) {
    case 'text':
      pen.font = `${item.face.startsWith('bold') ? 700 : 400} ${item.size}px ${FAMILIES[item.face]}`;
      pen.fillStyle = item.soft ? '#555555' : '#161616';
      pen.fillText(item.text, item.x, item.y);
      return;
    case 'rule':
      pen.fillStyle = item.soft ? '#c4c4c4' : '#161616';
      pen.fillRect(item.x, item.y - item.weight / 2, item.width, item.weight);
      return;
    case 'stroke':
      pen.beginPath();
      pen.setLineDash(item.dashed ? [3, 3] : []);
      pen.moveTo(item.x, item.y);
      pen.lineTo(item.toX, item.toY);
      pen.lineWidth = 0.5;
      pen.strokeStyle = '#777777';
      pen.stroke();
      pen.setLineDash([]);
      return;
    case 'cap':
      pen.beginPath();
      pen.roundRect(item.x, item.y, item.width, item.height, 2);
      pen.lineWidth = 0.6;
      pen.strokeStyle = '#777777';
      pen.stroke();
      return;
    case 'dot':
      pen.beginPath();
      pen.arc(item.x, item.y, item.radius, 0, 2 * Math.PI);
      pen.fillStyle = '#161616';
      pen.fill();
      return;
    case 'mark': {
      pen.save();
      pen.translate(item.x, item.y);
      pen.scale(item.side / 12, item.side / 12);
      pen.fillStyle = INK_COLORS[item.ink];
      pen.fill(new Path2D(INK_SHAPES[item.ink]), 'evenodd');
      pen.restore();
    }
  }
}
