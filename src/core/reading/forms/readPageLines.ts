import type { RawTable, RawTables, Span } from '../tables';
import type { Line } from './lines';
import { linesOfTree, spanIn } from './pageLines';
import type { HeadedLine } from './readLinePairs';
import { listOfLines } from './readLines';

/**
 * The list in a page that has none by its elements: paragraphs, items and boxes with a command in each, its keys at one end
 * or in the next. Places are those of the page.
 * @throws UnreadableList past 20,000 rows.
 */
export function readPageLines(tree: Parameters<typeof linesOfTree>[0]): RawTables {
  const seen = linesOfTree(tree);
  const lines: HeadedLine[] = [];
  let from = 0;
  for (const { text, heads } of seen) {
    lines.push({ number: lines.length + 1, from, text, ...(heads ? { heads } : {}) });
    from += text.length + 1;
  }
  const spanOf = ([begin, end]: Span): Span => {
    const [first, last] = [lineWith(lines, begin), lineWith(lines, end)];
    const [one, other] = [seen[first], seen[last]];
    if (!one || !other) return [0, 0];
    const [from, to] = [begin - (lines[first]?.from ?? 0), end - (lines[last]?.from ?? 0)];
    return first === last ? spanIn(one, from, to) : [spanIn(one, from, from)[0], spanIn(other, 0, to)[1]];
  };
  return {
    title: null,
    format: 'web page',
    tables: listOfLines(lines).map(
      (table): RawTable => ({
        ...table,
        rows: table.rows.map((row) => ({
          ...row,
          spans: row.spans.map(spanOf),
          ...(row.whole ? { whole: spanOf(row.whole) } : {}),
        })),
      }),
    ),
  };
}

/** The line that a place is in, or right behind. */
function lineWith(lines: readonly Line[], place: number): number {
  let [low, high] = [0, lines.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((lines[middle]?.from ?? 0) <= place) low = middle + 1;
    else high = middle;
  }
  return Math.max(0, low - 1);
}
