import type { RawRow, Span } from '../tables';
import { tidyCell } from '../tables';
import type { Line } from './lines';

/** A cell as it is written, and where. */
export type Written = { readonly text: string; readonly span: Span };

/** A part of a line as a cell: what is between two places of it, without blanks around it. */
export function partOf(line: Line, from: number, to = line.text.length): Written {
  const raw = line.text.slice(from, to);
  const start = from + raw.length - raw.trimStart().length;
  const text = raw.trim();
  return { text: tidyCell(text), span: [line.from + start, line.from + start + text.length] };
}

/** A cell without the quotes or backticks around all of it. */
export function unquoted({ text, span: [from, to] }: Written): Written {
  const [, quote = '', inside] = /^(["'`])(.*)\1$/su.exec(text) ?? [];
  // Two that are quoted one after the other are not one.
  const apart = inside !== undefined && /[,;|]/u.test(inside) && inside.replace(/\\./gsu, '').includes(quote);
  const bare = apart ? undefined : inside;
  // A blank alone says something only by its quotes.
  if (bare === undefined || bare === ' ' || to - from < 2) return { text, span: [from, to] };
  // What is quoted may have its quotes and backslashes escaped.
  return { text: text.startsWith('"') ? bare.replace(/\\(["\\])/gu, '$1') : bare, span: [from + 1, to - 1] };
}

/** A row of cells. Nothing is copied on the way, as lists have tens of thousands of them. */
export function rowWith(line: number, written: readonly Written[], heading = false): RawRow {
  const cells: string[] = [];
  const spans: Span[] = [];
  for (const { text, span } of written) {
    cells.push(text);
    spans.push(span);
  }
  return { line, cells, spans, heading };
}

/** A line that is left out, and why. */
export const leftLine = (line: Line, left: string, heading = false): RawRow => {
  const { text, span } = partOf(line, 0);
  return { line: line.number, cells: [text], spans: [span], heading, left };
};
