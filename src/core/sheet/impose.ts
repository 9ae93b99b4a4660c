import { type PageSpec, paperSize } from './pageBox';
import type { Block, Item, Page, SheetLayout } from './sheet';

/** The edge of the paper that printers leave white, in points, and how long the marks to cut are. */
const EDGE = 20;
const MARK = 10;
const APART = 3;

/**
 * Prints cards and notes several to a page of paper, in reading order, with marks outside their corners to cut by. Other
 * forms are their own pages.
 */
export function impose(layout: SheetLayout, spec: PageSpec): SheetLayout {
  if (spec.form !== 'card' && spec.form !== 'note') return layout;
  const paper = paperSize(spec);
  const across = Math.max(1, Math.floor((paper.width - 2 * EDGE) / layout.width));
  const down = Math.max(1, Math.floor((paper.height - 2 * EDGE) / layout.height));
  const left = (paper.width - across * layout.width) / 2;
  const top = (paper.height - down * layout.height) / 2;
  const each = across * down;
  const pages: Page[] = [];
  for (let from = 0; from < layout.pages.length; from += each) {
    const cards = layout.pages.slice(from, from + each);
    const blocks = cards.flatMap((card, i) => {
      const x = left + (i % across) * layout.width;
      const y = top + Math.floor(i / across) * layout.height;
      return card.blocks.map((block): Block => ({ ...block, items: block.items.map((item) => moved(item, x, y)) }));
    });
    pages.push({ blocks: [...blocks, cutMarks(left, top, layout, across, Math.ceil(cards.length / across))] });
  }
  return { ...layout, width: paper.width, height: paper.height, pages, cards: layout.pages.length };
}

function moved(item: Item, x: number, y: number): Item {
  if (item.kind === 'stroke') return { ...item, x: item.x + x, y: item.y + y, toX: item.toX + x, toY: item.toY + y };
  return { ...item, x: item.x + x, y: item.y + y };
}

function cutMarks(left: number, top: number, { width, height }: SheetLayout, across: number, down: number): Block {
  const items: Item[] = [];
  const [right, bottom] = [left + across * width, top + down * height];
  for (let i = 0; i <= across; i++) {
    const x = left + i * width;
    items.push({ kind: 'stroke', x, y: top - APART - MARK, toX: x, toY: top - APART });
    items.push({ kind: 'stroke', x, y: bottom + APART, toX: x, toY: bottom + APART + MARK });
  }
  for (let i = 0; i <= down; i++) {
    const y = top + i * height;
    items.push({ kind: 'stroke', x: left - APART - MARK, y, toX: left - APART, toY: y });
    items.push({ kind: 'stroke', x: right + APART, y, toX: right + APART + MARK, toY: y });
  }
  return { role: 'cut', items };
}
