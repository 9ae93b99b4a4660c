import { balanceColumns, balancePages, type Flowing, flowColumns, type Placed, pagesOf } from './flowColumns';
import { HARD_TO_READ, type PageBox, type PageSpec, pageBox } from './pageBox';
import { breakLine, rowsHeight, type SetLine } from './setLine';
import type { SheetContents, SheetLine } from './sheet';

// In multiples of the type size.
const HEADING = 2.3;
const GROUP_GAP = 0.9;
const FOOTER_POINTS = 18;
/** Nothing is set smaller, even where that takes more pages than wanted. */
export const LEAST = 5;

type Piece = Flowing & { readonly set: SetLine | null; readonly title: string };
type Fit = {
  readonly columns: number;
  readonly size: number;
  readonly pieces: readonly Piece[];
  readonly placed: readonly Placed[];
};

/** A sheet whose places are found: the box of its pages, its type, and where each piece goes. */
export type SheetFit = Fit & {
  readonly box: PageBox;
  /** Whether it takes more pages than wanted even at the least size. */
  readonly over: boolean;
};

/** Finds the type of a sheet and where each of its pieces goes; see `layOutSheet`. */
export function fitSheet(contents: SheetContents, spec: PageSpec): SheetFit {
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
  const small = spec.form === 'card' || spec.form === 'note';
  if (best === null) {
    best = fitAt(contents, box, most, spec.pages > 0 ? HARD_TO_READ : box.comfortable);
    // As large as so many cards allow.
    if (small && !over) best = largestOn(contents, box, most, pagesOf(best.placed), box.comfortable) ?? best;
  }
  const placed = (small ? balancePages : balanceColumns)(
    best.placed,
    best.pieces,
    best.columns,
    heightsOf(contents, box),
    gapOf(best),
  );
  return { ...best, placed, box, over };
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

export function columnWidthOf(box: PageBox, columns: number, size: number): number {
  return (box.width - 2 * box.margin - (columns - 1) * gutterOf(box, size)) / columns;
}
/** Where a fold runs between the columns, each half has a margin of its own. */
export function gutterOf(box: PageBox, size: number): number {
  return box.fold ? 2 * box.margin : box.gutter * size;
}

function fitAt(contents: SheetContents, box: PageBox, columns: number, size: number): Fit {
  const columnWidth = columnWidthOf(box, columns, size) / size;
  const pieces: Piece[] = contents.groups.flatMap((group, g): Piece[] => [
    ...(group.title === '' ? [] : [{ height: HEADING * size, heading: true, group: g, set: null, title: group.title }]),
    ...group.lines.map((line): Piece => {
      const set = brokenTo(line, columnWidth);
      return { height: rowsHeight(set) * size, heading: false, group: g, set, title: '' };
    }),
  ]);
  return { columns, size, pieces, placed: flowColumns(pieces, columns, heightsOf(contents, box), GROUP_GAP * size) };
}

/** Points taken by the title and its notes: on the first page whole, on later ones a single small line. */
export function headHeight(contents: SheetContents, { title, notes }: PageBox, page: number): number {
  if (page > 0) return notes > 0 ? 20 : title * 1.5;
  return title * 1.9 + 8 + (notes > 0 && contents.notes.length > 0 ? 16 : 0);
}

/** A line broken to the same width again is as it was: a reference is set until the pages it names hold. */
function brokenTo(line: SheetLine, width: number): SetLine {
  const last = broken.get(line);
  if (last?.width === width) return last.set;
  const set = breakLine(line, width);
  broken.set(line, { width, set });
  return set;
}
const broken = new WeakMap<SheetLine, { readonly width: number; readonly set: SetLine }>();
