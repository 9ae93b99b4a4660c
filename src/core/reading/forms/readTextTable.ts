import Papa from 'papaparse';
import { MOST_COLUMNS, MOST_ROWS, type RawRow, type RawTables, type Span, tidyCell, UnreadableList } from '../tables';
import { partOf, rowWith, type Written } from './cells';
import { type Line, linesOf } from './lines';
import { tooMany } from './tooMany';

/**
 * Comma, semicolon, tab or bar separated text (RFC 4180 where quoted) as one table.
 * A line with a single cell while others have more is a heading between the rows.
 * @throws UnreadableList past 20,000 rows.
 */
export function readTextTable(written: string): RawTables {
  const text = inTabs(written);
  const lines = linesOf(text);
  const barred = (line: string): boolean => line.length > 1 && line.startsWith('|') && line.endsWith('|');
  const found = lines.some((line) => barred(line.text.trim())) ? barredRows(lines) : separatedRows(text);
  const set = text === written ? found : found.map((row) => asSet(row, text));
  const rows = set.filter((row) => row.cells.some((cell) => cell !== ''));
  const width = Math.max(1, ...rows.map((row) => row.cells.length));
  const marked = width === 1 ? rows : rows.map((row) => (row.cells.length === 1 ? { ...row, heading: true } : row));
  return { title: null, tables: marked.length > 0 ? [{ headings: [], rows: marked }] : [], format: 'table' };
}

/** A table as TeX sets it, with tabs between its cells and nothing behind its rows; all else as it is, where it stood. */
function inTabs(text: string): string {
  if ((text.match(/(?<!\\)&[^&\n]{0,400}\\\\/gu)?.length ?? 0) < 3) return text;
  return text.replace(
    /(?<!\\)&|\\\\(?=\s)|\\(?:hline|toprule|midrule|bottomrule)\b|\\(?:begin|end)\{[^{}\n]{0,40}\}(?:\{[^{}\n]{0,40}\})?/gu,
    (part) => (part === '&' ? '\t' : ' '.repeat(part.length)),
  );
}

/** A row of such a table: cells where their words stand, without the backslashes before signs. */
const asSet = (row: RawRow, text: string): RawRow => ({
  ...row,
  cells: row.cells.map((cell) => cell.replace(/\\([&%_#$])/gu, '$1')),
  spans: row.spans.map(([from, to]): Span => {
    const part = text.slice(from, to);
    const start = from + part.length - part.trimStart().length;
    return [start, Math.max(start, from + part.trimEnd().length)];
  }),
});

/** Rows between bars, as in `| name | keys |`; what only rules the head off is none. */
function barredRows(lines: readonly Line[]): RawRow[] {
  return lines.flatMap((line, i): RawRow[] => {
    if (line.text.trim() === '' || /^[-+: |]+$|^\{\|/u.test(line.text.trim())) return [];
    const cells: Written[] = [];
    const body = line.text.trimEnd();
    let from = line.text.length - line.text.trimStart().length;
    if (line.text[from] === '|') from++;
    for (const end = body.endsWith('|') ? body.length - 1 : body.length; from <= end; ) {
      const bar = line.text.indexOf('|', from);
      const to = bar < 0 || bar > end ? end : bar;
      cells.push(partOf(line, from, to));
      from = to + 1;
    }
    // What stands above a ruler names the columns.
    const heading = cells.length > 1 && /^\|--[-+:|]*$/u.test(lines[i + 1]?.text.trim() ?? '');
    return [rowWith(line.number, cells.slice(0, MOST_COLUMNS), heading)];
  });
}

function separatedRows(text: string): RawRow[] {
  const delimiter = guessDelimiter(text);
  const { data: read, meta, errors } = Papa.parse<string[]>(text, { delimiter, preview: MOST_ROWS + 2 });
  // Where quotes are not as they should be, one may take lines with it.
  const data = errors.some(({ type }) => type === 'Quotes') ? lineByLine(text, delimiter, meta.linebreak) : read;
  if (data.length > MOST_ROWS + 1) throw new UnreadableList(tooMany);
  const place = placesIn(text, delimiter, meta.linebreak);
  return data.map((all, i) => {
    const spans = place(all).map((span, c): Span => (isGuarded(all[c]) ? [span[0] + 1, span[1]] : span));
    const cells = all.slice(0, MOST_COLUMNS).map((cell) => tidyCell(isGuarded(cell) ? cell.slice(1) : cell));
    while (cells.length > 0 && cells.at(-1) === '' && all.length === 1) cells.pop();
    return { line: i + 1, cells, spans: spans.slice(0, cells.length), heading: false };
  });
}

/** A sign that no text has. */
const NEVER = '\u0001';

/** The cells of each line for itself; of one with odd quotes, as they stand there. */
function lineByLine(text: string, delimiter: string, linebreak: string): string[][] {
  return text.split(linebreak, MOST_ROWS + 2).map((line) => {
    const { data, errors } = Papa.parse<string[]>(line, { delimiter });
    return (errors.length > 0 ? Papa.parse<string[]>(line, { delimiter, quoteChar: NEVER }).data : data)[0] ?? [''];
  });
}

/** Whether an apostrophe only keeps a spreadsheet from taking a cell for a formula. */
const isGuarded = (cell = ''): boolean => /^'[=+\-@\t\r]/u.test(cell);

/** Finds row by row where the cells of a separated text stand; within quotes, where they are quoted. */
function placesIn(text: string, delimiter: string, linebreak: string): (cells: readonly string[]) => Span[] {
  let at = 0;
  // Where quotes are not as they should be, what was read can't be found again: nothing after it has a place.
  let lost = false;
  return (cells) =>
    cells.map((cell, i): Span => {
      if (lost) return [0, 0];
      const quoted = text[at] === '"' && !text.startsWith(cell === '' ? delimiter : cell, at);
      let end = at + cell.length;
      if (quoted) {
        end = at + 1;
        while (end < text.length && (text[end] !== '"' || text[end + 1] === '"')) end += text[end] === '"' ? 2 : 1;
      }
      const span: Span = quoted ? [at + 1, end] : [at, end];
      at = quoted ? end + 1 : end;
      const next = i < cells.length - 1 ? delimiter : linebreak;
      lost = !(text.startsWith(next, at) || at >= text.length);
      at += next.length;
      return span;
    });
}

/** The separator that most lines have, quoted text aside; a character no text has when none is common. */
function guessDelimiter(text: string): string {
  const lines = text
    .slice(0, 200_000)
    .replace(/"[^"]*"/g, '')
    .split(/\r\n|\r|\n/)
    .filter((line) => line.trim() !== '')
    .slice(0, 400);
  const shares = ['\t', ';', ',', '|'].map(
    (mark) => [mark, lines.filter((line) => line.includes(mark)).length / lines.length] as const,
  );
  const common = shares.filter(([, share]) => share >= 0.3).sort((a, b) => b[1] - a[1]);
  return common.find(([mark]) => mark === '\t')?.[0] ?? common[0]?.[0] ?? NEVER;
}
