/** Something with a height that goes into a column; a heading is never left alone at the foot of one. */
export type Flowing = { readonly height: number; readonly heading: boolean; readonly group: number };
/** Where a piece went; `again` marks a heading repeated because its group goes on in a new column. */
export type Placed = {
  readonly piece: number;
  readonly page: number;
  readonly column: number;
  readonly y: number;
  readonly again: boolean;
};

/** Where a flow sets in: the first piece, its page, and the heading above it, -1 for none. */
type Start = { readonly piece: number; readonly page: number; readonly heading: number };
const AT_FIRST: Start = { piece: 0, page: 0, heading: -1 };

/**
 * Flows pieces down columns and on to further pages.
 *
 * A heading goes to the next column unless two of its lines (or all, if fewer) fit below it; where a group goes on in a
 * new column its heading is repeated. A piece taller than a column is placed at its top.
 * @param heights height of the columns on a page, by page number from 0.
 * @param gap space left above a heading that does not start a column.
 */
export function flowColumns(
  pieces: readonly Flowing[],
  columns: number,
  heights: (page: number) => number,
  gap: number,
  start: Start = AT_FIRST,
): Placed[] {
  const placed: Placed[] = [];
  let { page, heading } = start;
  let column = 0;
  let y = 0;
  const next = (): void => {
    y = 0;
    column++;
    if (column === columns) {
      column = 0;
      page++;
    }
  };
  const repeat = (group: number): void => {
    const repeated = pieces[heading];
    if (repeated?.group !== group) return;
    placed.push({ piece: heading, page, column, y, again: true });
    y += repeated.height;
  };
  const first = pieces[start.piece];
  if (first && !first.heading) repeat(first.group);
  for (let i = start.piece; i < pieces.length; i++) {
    const piece = pieces[i];
    if (!piece) break;
    const room = heights(page) + 1e-6;
    if (piece.heading) {
      heading = i;
      const above = y === 0 ? 0 : gap;
      let needed = above + piece.height;
      for (let k = i + 1; k <= i + 2 && pieces[k] && !pieces[k]?.heading; k++) needed += pieces[k]?.height ?? 0;
      if (y + needed > room && y > 0) next();
      else y += above;
      placed.push({ piece: i, page, column, y, again: false });
    } else {
      if (y + piece.height > room && y > 0) {
        next();
        repeat(piece.group);
      }
      placed.push({ piece: i, page, column, y, again: false });
    }
    y += piece.height;
  }
  return placed;
}

/** How many pages a flow takes. */
export function pagesOf(placed: readonly Placed[]): number {
  return (placed.at(-1)?.page ?? 0) + 1;
}

/** Where a flow sets in again for a page of it. */
export function startOf(page: number, placed: readonly Placed[], pieces: readonly Flowing[]): Start {
  const piece = placed.find((one) => one.page === page && !one.again)?.piece ?? 0;
  return { piece, page, heading: pieces.findLastIndex((one, at) => at < piece && one.heading) };
}

/** The lowest height, up to one, at which something still flows as it may, and that flow; found by halving. */
function lowestHeight(
  most: number,
  flowAt: (height: number) => readonly Placed[] | null,
): { readonly height: number; readonly placed: readonly Placed[] | null } {
  let [low, high] = [0, most];
  let placed: readonly Placed[] | null = null;
  for (let i = 0; i < 14; i++) {
    const middle = (low + high) / 2;
    const tried = flowAt(middle);
    if (tried) {
      placed = tried;
      high = middle;
    } else low = middle;
  }
  return { height: high, placed };
}

/**
 * A flow with the last page's columns evened out: the lowest height that still takes no further page. Only that page is
 * set again; what stands before it does not depend on its height.
 */
export function balanceColumns(
  full: readonly Placed[],
  pieces: readonly Flowing[],
  columns: number,
  heights: (page: number) => number,
  gap: number,
): readonly Placed[] {
  const last = pagesOf(full) - 1;
  const start = startOf(last, full, pieces);
  const { placed } = lowestHeight(heights(last), (height) => {
    const tried = flowColumns(pieces, columns, (page) => (page === last ? height : heights(page)), gap, start);
    return pagesOf(tried) - 1 === last && fits(tried, pieces, heights) ? tried : null;
  });
  return placed ? [...full.filter((one) => one.page < last), ...placed] : full;
}

/** Of the last pages each is filled at least this much as the fullest of them, where that can be had. */
const EVEN = 0.7;

/**
 * A flow with all its pages evened out, so that no last one holds a line or two: the lowest height, the same on every
 * page, at which it takes no more pages; where the last is much emptier still, the last few are evened out once more.
 */
export function balancePages(
  full: readonly Placed[],
  pieces: readonly Flowing[],
  columns: number,
  heights: (page: number) => number,
  gap: number,
): readonly Placed[] {
  const pages = pagesOf(full);
  const tallest = Math.max(...Array.from({ length: pages }, (_, page) => heights(page)));
  /** The lowest height of the pages from one on, those before it at a height of theirs. */
  const evenFrom = (from: number, before: number): { readonly height: number; readonly placed: readonly Placed[] } => {
    const { height, placed } = lowestHeight(tallest, (low) => {
      const limit = (page: number): number => Math.min(page < from ? before : low, heights(page));
      const tried = flowColumns(pieces, columns, limit, gap);
      return pagesOf(tried) <= pages && fits(tried, pieces, heights) ? tried : null;
    });
    return { height, placed: placed ?? full };
  };
  const filled = (placed: readonly Placed[]): number =>
    Math.max(
      0,
      ...placed.filter((one) => one.page === pages - 1).map((one) => one.y + (pieces[one.piece]?.height ?? 0)),
    );
  const all = evenFrom(0, tallest);
  let best = all;
  for (let from = pages - 2; from > 0 && filled(best.placed) < EVEN * best.height; from--) {
    const tail = evenFrom(from, all.height);
    if (filled(tail.placed) / tail.height > filled(best.placed) / best.height) best = tail;
  }
  return best.placed;
}

function fits(placed: readonly Placed[], pieces: readonly Flowing[], heights: (page: number) => number): boolean {
  return placed.every((one) => one.y === 0 || one.y + (pieces[one.piece]?.height ?? 0) <= heights(one.page) + 1e-6);
}
