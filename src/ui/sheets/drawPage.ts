import type { Face } from '@/core/sheet/measure';
import type { Item, Page } from '@/core/sheet/sheet';
import { SIGN_SHAPES } from '@/core/sheet/signs';
import { INK_COLORS } from '@/core/workspace/appearance';
import { INK_SHAPES } from '@/core/workspace/dressing';

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

/** A page with its size, in points. */
export type Drawing = { readonly page: Page; readonly width: number; readonly height: number };

/** Draws a page on a canvas whose unit is a point; texts of one look after the other, which is soonest done. */
export function drawPage(pen: CanvasRenderingContext2D, { page, width, height }: Drawing): void {
  pen.fillStyle = '#ffffff';
  pen.fillRect(0, 0, width, height);
  pen.fontKerning = 'none';
  const texts = new Map<string, TextItem[]>();
  const [usual, strong] = [new Path2D(), new Path2D()];
  for (const { items } of page.blocks)
    for (const item of items) {
      if (item.kind === 'cap') (item.strong ? strong : usual).roundRect(item.x, item.y, item.width, item.height, 2);
      else if (item.kind === 'text') {
        const look = `${item.size} ${item.face} ${item.soft === true}`;
        const alike = texts.get(look);
        if (alike) alike.push(item);
        else texts.set(look, [item]);
      }
    }
  pen.lineWidth = 0.6;
  pen.strokeStyle = '#777777';
  pen.stroke(usual);
  pen.lineWidth = 0.9;
  pen.strokeStyle = '#161616';
  pen.stroke(strong);
  for (const { items } of page.blocks) for (const item of items) draw(pen, item);
  for (const [{ size, face, soft }, alike] of [...texts.values()].map((all) => [all[0] as TextItem, all] as const)) {
    pen.font = `${face.startsWith('bold') ? 700 : 400} ${size}px ${FAMILIES[face]}`;
    pen.fillStyle = soft ? '#555555' : '#161616';
    for (const { text, x, y } of alike) pen.fillText(text, x, y);
  }
}

type TextItem = Extract<Item, { kind: 'text' }>;

function draw(pen: CanvasRenderingContext2D, item: Item): void {
  switch (item.kind) {
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
    case 'dot':
      pen.beginPath();
      pen.arc(item.x, item.y, item.radius, 0, 2 * Math.PI);
      pen.fillStyle = '#161616';
      pen.fill();
      return;
    case 'sign':
    case 'mark': {
      pen.save();
      pen.translate(item.x, item.y);
      pen.scale(item.side / 12, item.side / 12);
      pen.fillStyle = item.kind === 'sign' ? '#161616' : INK_COLORS[item.ink];
      pen.fill(new Path2D(item.kind === 'sign' ? SIGN_SHAPES[item.sign] : INK_SHAPES[item.ink]), 'evenodd');
      pen.restore();
    }
  }
}
