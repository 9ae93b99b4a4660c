import { counted } from '../text/sentence';
import { balanceColumns, type Flowing, flowColumns, type Placed, pagesOf } from './flowColumns';
import { impose } from './impose';
import { canSet, widthOf } from './measure';
import { HARD_TO_READ, type PageBox, type PageSpec, pageBox } from './pageBox';
import { breakLine, columnsAt, lineBlock, rowsHeight, type SetLine, shorten, text } from './setLine';
import type { Block, Item, Page, SheetContents, SheetLayout } from './sheet';

// In multiples of the type size.
const HEADING = 2.3;
const GROUP_GAP = 0.9;
const FOOTER_POINTS = 18;
/** Nothing is set smaller, even where that takes more pages than wanted. */
const LEAST = 5;

type Piece = Flowing & { readonly set: SetLine | null; readonly title: string };
type Fit = {
  readonly columns: number;
  readonly size: number;
  readonly pieces: readonly Piece[];
  readonly placed: readonly Placed[];
};

/**
 * Sets a sheet. With pages wanted: the largest type at which it takes no more of them, with a warning under 6.5 pt.
 * Without: the largest at which it takes one page; where that would be too small, a comfortable size on as many pages as
 * it takes. Columns of the last page are evened out. Cards and notes are printed several to a page, with marks to cut.
 *
 * @param date as it is to stand in the footer.
 */
export function layOutSheet(contents: SheetContents, spec: PageSpec, date: string): SheetLayout {
  const box = pageBox(spec);
  const wanted = spec.pages > 0 ? spec.pages : 1;
  const smallest = spec.pages > 0 ? LEAST : box.smallest;
  const { least, most } = box.columns;
  let best: Fit | null = null;
  for (let columns = least; columns <= most; columns++) {
    const fit = largestOn(contents, box, columns, wanted, smallest);
    if (fit && (!best || fit.size > best.size + 0.05)) best = fit;
  }
  const over = best === null && spec.pages > 0;
  best ??= fitAt(contents, box, most, spec.pages > 0 ? HARD_TO_READ : box.comfortable);
  const balanced = {
    ...best,
    placed: balanceColumns(best.pieces, best.columns, heightsOf(contents, box), gapOf(best)),
  };
  const layout = assemble(contents, box, balanced, date);
  const warnings = [
    ...layout.warnings,
    ...(over
      ? [`Even at ${LEAST} pt it does not go on ${counted(spec.pages, 'page')}; it takes ${layout.pages.length}.`]
      : []),
    ...(layout.size < HARD_TO_READ ? [`Type of ${layout.size.toFixed(1)} pt is hard to read on paper.`] : []),
  ];
  return impose({ ...layout, warnings }, spec);
}

const heightsOf =
  (contents: SheetContents, box: PageBox) =>
  (page: number): number =>
    box.height - 2 * box.margin - headHeight(contents, box, page) - (box.footer ? FOOTER_POINTS : 0);
const gapOf = ({ size }: { size: number }): number => GROUP_GAP * size;

function largestOn(
  contents: SheetContents,
  box: PageBox,
  columns: number,
  pages: number,
  smallest: number,
): Fit | null {
  // The rows alone tell soon when there are far too many.
  const lines = contents.groups.reduce((sum, group) => sum + group.lines.length, 0);
  if (lines * 1.95 * smallest > columns * box.height * pages) return null;
  const fits = (size: number): Fit | null => {
    const fit = fitAt(contents, box, columns, size);
    return pagesOf(fit.placed) <= pages ? fit : null;
  };
  const largest = fits(box.largest);
  if (largest) return largest;
  let found = fits(smallest);
  if (!found) return null;
  // Found by halving, to a tenth of a point.
  let [low, high] = [Math.round(smallest * 10), Math.round(box.largest * 10)];
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    const fit = fits(middle / 10);
    if (fit) {
      found = fit;
      low = middle;
    } else high = middle;
  }
  return found;
}

function columnWidthOf(box: PageBox, columns: number, size: number): number {
  return (box.width - 2 * box.margin - (columns - 1) * gutterOf(box, size)) / columns;
}
/** Where a fold runs between the columns, each half has a margin of its own. */
function gutterOf(box: PageBox, size: number): number {
  return box.fold ? 2 * box.margin : box.gutter * size;
}

function fitAt(contents: SheetContents, box: PageBox, columns: number, size: number): Fit {
  const columnWidth = columnWidthOf(box, columns, size) / size;
  const pieces: Piece[] = contents.groups.flatMap((group, g): Piece[] => [
    ...(group.title === '' ? [] : [{ height: HEADING * size, heading: true, group: g, set: null, title: group.title }]),
    ...group.lines.map((line): Piece => {
      const set = breakLine(line, columnWidth);
      return { height: rowsHeight(set) * size, heading: false, group: g, set, title: '' };
    }),
  ]);
  return { columns, size, pieces, placed: flowColumns(pieces, columns, heightsOf(contents, box), GROUP_GAP * size) };
}

/** Points taken by the title and its notes: on the first page whole, on later ones a single small line. */
function headHeight(contents: SheetContents, { title, notes }: PageBox, page: number): number {
  if (page > 0) return notes > 0 ? 20 : title * 1.5;
  return title * 1.9 + 8 + (notes > 0 && contents.notes.length > 0 ? 16 : 0);
}

function assemble(contents: SheetContents, box: PageBox, fit: Fit, date: string): SheetLayout {
  const { size, columns, placed, pieces } = fit;
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
  const letters = [
    contents.title,
    ...contents.groups.flatMap((g) => [
      g.title,
      ...g.lines.flatMap((l) => [l.name, ...l.keys.flat(), ...(l.columns ?? []).flat(2)]),
    ]),
  ];
  const missing = letters.filter((one) => !canSet(one, 'words')).length;
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
    ...(again ? {} : { begins: title }),
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
  const right = `${date} · ${page + 1} of ${count}`;
  return {
    role: 'footer',
    items: [
      ...text(shorten(contents.footer, 'words', 7.5, width / 2), 'words', 7.5, margin, y, true),
      ...text(right, 'words', 7.5, width - margin - widthOf(right, 'words') * 7.5, y, true),
    ],
  };
}
