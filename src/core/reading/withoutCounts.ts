import type { RawRow, RawTable } from './tables';

const COUNT = /^\d{1,4}[.)]\s+(?=\S)/u;
/** A word behind a name that only says that keys follow. */
const CALLS = /(?<=\s)(?:short ?cut|hot ?key|key|tastenkürzel|raccourci|atajo)s?:?$/iu;
const [FEWEST, MOSTLY] = [4, 0.8];

/**
 * A table whose names are numbered from row to row, without these numbers, and without a word for keys that all of them
 * end in; any other as it is.
 */
export function withoutCounts(table: RawTable, name: number): RawTable {
  const body = table.rows.filter((row) => row.left === undefined && !row.heading && (row.cells[name] ?? '') !== '');
  const names = body.map((row) => row.cells[name] ?? '');
  const counts = names.flatMap((one) => (COUNT.test(one) ? [Number.parseInt(one, 10)] : []));
  const ascending = counts.every((one, i) => i === 0 || one > (counts[i - 1] ?? 0));
  const counted = counts.length >= FEWEST && counts.length >= MOSTLY * names.length && ascending;
  const called = names.length >= FEWEST && names.filter((one) => CALLS.test(one)).length >= MOSTLY * names.length;
  if (!counted && !called) return table;
  const bare = (row: RawRow): RawRow => {
    const cell = row.cells[name] ?? '';
    const lead = counted ? (COUNT.exec(cell)?.[0].length ?? 0) : 0;
    const kept = cell.slice(lead, cell.length - (called ? (CALLS.exec(cell)?.[0].length ?? 0) : 0)).trimEnd();
    const tail = cell.length - lead - kept.length;
    const [from, to] = row.spans[name] ?? [0, 0];
    // Where a cell is written otherwise than it reads, its place stays what it is.
    const whole = to - from === cell.length;
    return {
      ...row,
      cells: row.cells.map((one, i) => (i === name ? kept : one)),
      spans: row.spans.map((one, i) => (i === name && whole ? [from + lead, to - tail] : one)),
    };
  };
  const own = new Set(body);
  return { ...table, rows: table.rows.map((row) => (own.has(row) ? bare(row) : row)) };
}
