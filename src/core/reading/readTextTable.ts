import Papa from 'papaparse';
import { MOST_COLUMNS, MOST_ROWS, type RawRow, type RawTables, tidyCell, UnreadableList } from './tables';

/**
 * Comma, semicolon, tab or bar separated text (RFC 4180 where quoted) as one table.
 * A line with a single cell while others have more is a heading between the rows.
 * @throws UnreadableList past 20,000 rows.
 */
export function readTextTable(text: string): RawTables {
  const lines = text.split(/\r\n|\r|\n/, MOST_LINES + 1);
  if (lines.length > MOST_LINES) throw new UnreadableList(tooMany);
  const bars = lines.some((line) => {
    const bare = line.trim();
    return bare.length > 1 && bare.startsWith('|') && bare.endsWith('|');
  });
  const source = bars ? lines.map(withoutBars).join('\n') : text;
  const parsed = Papa.parse<string[]>(source, {
    delimiter: bars ? '|' : guessDelimiter(source),
    preview: MOST_ROWS + 2,
  });
  if (parsed.data.length > MOST_ROWS + 1) throw new UnreadableList(tooMany);
  const rows: RawRow[] = [];
  const widths: number[] = [];
  parsed.data.forEach((cells, i) => {
    const tidy = cells.slice(0, MOST_COLUMNS).map(tidyCell);
    while (tidy.length > 0 && tidy.at(-1) === '' && cells.length === 1) tidy.pop();
    if (tidy.every((cell) => cell === '')) return;
    widths.push(tidy.length);
    rows.push({ line: i + 1, cells: tidy, heading: false });
  });
  const width = Math.max(1, ...widths);
  const marked = width === 1 ? rows : rows.map((row) => (row.cells.length === 1 ? { ...row, heading: true } : row));
  return { title: null, tables: marked.length > 0 ? [{ headings: [], rows: marked }] : [], format: 'table' };
}

/** Lines with nothing in them count as well. */
const MOST_LINES = 10 * MOST_ROWS;

/** A line of a bar table without the bars around it; nothing where it only rules the head off. */
function withoutBars(line: string): string {
  let bare = line.trim();
  if (bare.startsWith('|')) bare = bare.slice(1).trimStart();
  if (bare.endsWith('|')) bare = bare.slice(0, -1).trimEnd();
  return /^[-: |]+$/.test(bare) ? '' : bare;
}

export const tooMany = `The list has more than ${MOST_ROWS.toLocaleString('en-US')} rows. Split it into parts and bring those in one by one.`;

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
  return common.find(([mark]) => mark === '\t')?.[0] ?? common[0]?.[0] ?? '\u0001';
}
