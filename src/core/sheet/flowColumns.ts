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

/**
 * A flow with the last page's columns evened out: the lowest height that still takes no further page, found by halving.
 * Only that page is set again; what stands before it does not depend on its height.
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
  const withLast = (height: number) =>
    flowColumns(pieces, columns, (page) => (page === last ? height : heights(page)), gap, start);
  let low = 0;
  let high = heights(last);
  let best: readonly Placed[] = full.filter((one) => one.page === last);
  for (let i = 0; i < 14; i++) {
    const middle = (low + high) / 2;
    const tried = withLast(middle);
    if (pagesOf(tried) - 1 === last && fits(tried, pieces, heights)) {
      best = tried;
      high = middle;
    } else low = middle;
  }
  return [...full.filter((one) => one.page < last), ...best];
}

function fits(placed: readonly Placed[], pieces: readonly Flowing[], heights: (page: number) => number): boolean {
  return placed.every((one) => one.y === 0 || one.y + (pieces[one.piece]?.height ?? 0) <= heights(one.page) + 1e-6);
}
