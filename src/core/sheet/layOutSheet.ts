import { counted } from '../text/sentence';
import { columnWidthOf, fitSheet, gutterOf, headHeight, LEAST, type SheetFit } from './fitSheet';
import { pagesOf } from './flowColumns';
import { impose } from './impose';
import { canSet, widthOf } from './measure';
import { HARD_TO_READ, type PageBox, type PageSpec, pageNumber } from './pageBox';
import { columnsAt, lineBlock, shorten, text } from './setLine';
import type { Block, Item, Page, SheetContents, SheetLayout } from './sheet';

/**
 * Sets a sheet. With pages wanted: the largest type at which it takes no more of them, with a warning under 6.5 pt.
 * Without: the largest at which it takes one page; where that would be too small, a comfortable size on as many pages as
 * it takes. Columns of the last page are evened out. Cards and notes are printed several to a page, with marks to cut.
 *
 * @param date as it is to stand in the footer.
 */
export function layOutSheet(contents: SheetContents, spec: PageSpec, date: string): SheetLayout {
  return layOutFit(contents, fitSheet(contents, spec), spec, date);
}

/** Draws a sheet whose places are found. */
export function layOutFit(contents: SheetContents, found: SheetFit, spec: PageSpec, date: string): SheetLayout {
  const layout = assemble(contents, found, date);
  const warnings = [
    ...layout.warnings,
    ...(found.over
      ? [`Even at ${LEAST} pt it does not go on ${counted(spec.pages, 'page')}; it takes ${layout.pages.length}.`]
      : []),
    ...(layout.size < HARD_TO_READ ? [`Type of ${layout.size.toFixed(1)} pt is hard to read on paper.`] : []),
  ];
  return impose({ ...layout, warnings }, spec);
}

function assemble(contents: SheetContents, found: SheetFit, date: string): SheetLayout {
  const { box, size, columns, placed, pieces } = found;
  const count = pagesOf(placed);
  const columnWidth = columnWidthOf(box, columns, size);
  const pages: Block[][] = Array.from({ length: count }, (_, page) => head(contents, box, page));
  let lines = 0;
  for (const { piece, page, column, y, again } of placed) {
    const one = pieces[piece];
    if (!one) continue;
    const x = box.margin + column * (columnWidth + gutterOf(box, size));
    const top = box.margin + headHeight(contents, box, page) + y;
    if (one.set) lines++;
    pages[page]?.push(
      one.set
        ? lineBlock(one.set, x, top, columnWidth, size, one.height)
        : headingBlock(one.title, again, x, top, columnWidth, size, contents.heads ?? []),
    );
  }
  const missing = missingIn(contents);
  return {
    width: box.width,
    height: box.height,
    columns,
    size,
    lines,
    pages: pages.map(
      (blocks, page): Page => ({
        blocks: [
          ...blocks,
          ...(box.fold ? [foldLine(box)] : []),
          ...(box.footer ? [footer(contents, box, date, page, count)] : []),
        ],
      }),
    ),
    warnings:
      missing > 0
        ? [`${counted(missing, 'text has', 'texts have')} letters that the sheet's fonts lack; a box stands for each.`]
        : [],
  };
}

/** How many texts have letters that no font of ours has. */
function missingIn({ title, groups }: SheetContents): number {
  let missing = 0;
  const look = (text: string): void => {
    if (!canSet(text, 'words')) missing++;
  };
  const lookAt = (caps: readonly string[]): void => caps.forEach(look);
  look(title);
  for (const group of groups) {
    look(group.title);
    for (const { name, keys, columns } of group.lines) {
      look(name);
      keys.forEach(lookAt);
      for (const column of columns ?? []) column.forEach(lookAt);
    }
  }
  return missing;
}

/** Where a card is folded, below its title. */
function foldLine({ width, height, margin, title }: PageBox): Block {
  const x = width / 2;
  return {
    role: 'cut',
    items: [{ kind: 'stroke', x, y: margin + title * 1.9, toX: x, toY: height - margin / 2, dashed: true }],
  };
}

function head(contents: SheetContents, box: PageBox, page: number): Block[] {
  const { margin } = box;
  const room = box.width - 2 * margin;
  if (page > 0) {
    const size = Math.min(9, box.title * 0.9);
    const words = shorten(contents.title, 'bold', size, room);
    return [{ role: 'note', items: text(words, 'bold', size, margin, margin + size * 0.9) }];
  }
  const title: Block = {
    role: 'title',
    items: text(shorten(contents.title, 'bold', box.title, room), 'bold', box.title, margin, margin + box.title * 0.95),
  };
  if (box.notes === 0) return [title];
  let x = margin;
  const notes = contents.notes.flatMap((note, i): Item[] => {
    const dot: Item[] =
      i === 0 && note.startsWith('●') ? [{ kind: 'dot', x: x + 3, y: margin + box.title * 1.9 - 2, radius: 2.7 }] : [];
    const words = note.replace(/^● ?/, '');
    const at = x + (dot.length > 0 ? 10 : 0);
    x = at + widthOf(words, 'words') * box.notes + 16;
    return [...dot, ...text(words, 'words', box.notes, at, margin + box.title * 1.9 + 0.8, true)];
  });
  return notes.length > 0 ? [title, { role: 'note', items: notes }] : [title];
}

function headingBlock(
  title: string,
  again: boolean,
  x: number,
  top: number,
  width: number,
  size: number,
  heads: readonly string[],
): Block {
  const at = columnsAt(heads.length);
  const room = heads.length === 0 ? width : width * (at[0] ?? 1) - size;
  const words = shorten(again ? `${title} (continued)` : title, 'bold', size * 1.05, room);
  const each = heads.length === 0 ? 0 : (width * (1 - (at[0] ?? 0))) / heads.length - size * 0.6;
  return {
    role: 'heading',
    items: [
      ...text(words, 'bold', size * 1.05, x, top + size * 1.35),
      ...heads.flatMap((head, i) =>
        text(
          shorten(head, 'words', size * 0.9, each),
          'words',
          size * 0.9,
          x + width * (at[i] ?? 0),
          top + size * 1.35,
          true,
        ),
      ),
      { kind: 'rule', x, y: top + size * 1.95, width, weight: 1.2 },
    ],
  };
}

function footer(contents: SheetContents, box: PageBox, date: string, page: number, count: number): Block {
  const { width, height, margin } = box;
  const y = height - margin + 4;
  const right = pageNumber(date, page, count);
  return {
    role: 'footer',
    items: [
      ...text(shorten(contents.footer, 'words', 7.5, width / 2), 'words', 7.5, margin, y, true),
      ...text(right, 'words', 7.5, width - margin - widthOf(right, 'words') * 7.5, y, true),
    ],
  };
}
