import { indentOf, linesOf } from '../forms/lines';
import { looksLikePage } from '../forms/looksLikePage';
import { pageLines, type SeenLine, spanIn } from '../forms/pageLines';
import { headingIn } from '../forms/readColumns';
import { underHeadings } from '../forms/underHeadings';
import { leftOut } from '../leaveOthersOut';
import { readKeysCell } from '../readKeysCell';
import type { Role } from '../roles';
import { HEADS, LONGEST_CELL, type RawRow, type RawTable, type RawTables, tidyCell } from '../tables';
import { fitLine, inferPatterns, type Marks, type Pattern } from './inferPattern';
import { type Field, type Mark, marksOf, type ShownLine } from './shownLine';

const ROLES: readonly Role[] = ['name', 'keys', 'path'];
const COLUMNS: readonly Field[] = ['name', 'keys', 'path'];

/** The lines of a text as a person sees them: of a web page, what it shows. */
export function seenLines(text: string): readonly SeenLine[] {
  if (looksLikePage(text)) return pageLines(text);
  return linesOf(text).map(({ text: own, from }) => ({
    text: own,
    pieces: [{ at: 0, text: own, from, to: from + own.length }],
  }));
}

/**
 * A text read as some of its lines were shown: whatever fits them is a row, whatever fits a heading that was shown, or
 * looks like one, gives the place of what follows, and the rest is left out.
 */
export function readShown(text: string, shown: readonly ShownLine[]): RawTables {
  const lines = seenLines(text);
  const patterns = inferPatterns(
    shown,
    lines.map((line) => line.text),
  );
  const headed = shown.filter((line) => line.name === null && line.path !== null);
  const found = underHeadings();
  lines.forEach((line, i) => {
    if (line.text.trim() === '') return;
    const base = { line: i + 1, heading: false };
    const whole = line.text.trim();
    const start = indentOf(line.text);
    const at = spanIn(line, start, start + whole.length);
    const heading = headingLike(line.text, headed);
    if (heading !== null) {
      found.under([heading]);
      found.add({ ...base, cells: [tidyCell(whole)], spans: [at], heading: true, left: HEADS });
      return;
    }
    const row = rowOf(line, patterns, shown);
    if (row) {
      found.add({ ...base, ...row });
      return;
    }
    const next = lines[i + 1];
    const plain =
      headed.length > 0 || whole.length > LONGEST_CELL
        ? null
        : (/^\[([^[\]]{1,80})\]$/u.exec(whole)?.[1] ??
          headingIn(whole, next && { number: i + 2, from: 0, text: next.text }));
    if (plain !== null) found.under([tidyCell(plain)]);
    found.add({
      ...base,
      cells: [tidyCell(whole)],
      spans: [at],
      heading: plain !== null,
      left: plain === null ? 'Is not like the line that was shown.' : HEADS,
    });
  });
  return {
    title: null,
    format: 'shown',
    tables: found.tables().map((table) => ({
      ...(shown.some((line) => line.keys) ? withoutOthers(table, shown) : table),
      header: ['Name', 'Keys', 'Menu'],
      roles: ROLES,
    })),
  };
}
/** So few rows of a part of the file have keys where it holds other things. */
const LEAST = 0.25;

/** A part of a file in which hardly anything reads as keys is left out, but for what was shown. */
function withoutOthers(table: RawTable, shown: readonly ShownLine[]): RawTable {
  const rows = table.rows.filter((row) => row.left === undefined);
  const read = rows.filter((row) => readKeysCell(row.cells[1] ?? '', 'windows').status === 'keys').length;
  const names = new Set(shown.map((line) => line.name && tidyCell(line.text.slice(...line.name))));
  if (read >= LEAST * rows.length || rows.some((row) => names.has(row.cells[0] ?? ''))) return table;
  return leftOut(table);
}

/** A line as a row, by the first pattern it fits; null where it fits none, or only looks like a sentence would. */
function rowOf(
  line: SeenLine,
  patterns: readonly Pattern[],
  shown: readonly ShownLine[],
): Pick<RawRow, 'cells' | 'spans'> | null {
  // What was shown is so, whatever else it looks like.
  const same = shown.find((one) => one.name !== null && one.text === line.text);
  if (same) return cellsOf(line, Object.fromEntries(marksOf(same).map(({ field, mark }) => [field, mark])));
  for (const pattern of patterns) {
    const marks = fitLine(pattern, line.text);
    if (!marks?.name || !/\p{L}|\p{N}/u.test(line.text.slice(...marks.name))) continue;
    if (!pattern.telling && marks.keys && readKeysCell(line.text.slice(...marks.keys), 'windows').status === 'unread')
      continue;
    return cellsOf(line, marks);
  }
  return null;
}

function cellsOf(line: SeenLine, marks: Marks): Pick<RawRow, 'cells' | 'spans'> {
  const span = (mark: Mark | undefined) =>
    spanIn(line, mark?.[0] ?? marks.name?.[0] ?? 0, mark?.[1] ?? marks.name?.[0] ?? 0);
  return {
    cells: COLUMNS.map((field) => (marks[field] ? tidyCell(line.text.slice(...(marks[field] as Mark))) : '')),
    spans: COLUMNS.map((field) => span(marks[field])),
  };
}

/** What a line heads, if it is like a heading that was shown. */
function headingLike(text: string, headed: readonly ShownLine[]): string | null {
  for (const { text: shown, path } of headed) {
    if (!path) continue;
    const [before, after] = [shown.slice(0, path[0]), shown.slice(path[1]).trimEnd()];
    const body = text.trimEnd();
    if (!body.startsWith(before) || !body.endsWith(after) || body.length <= before.length + after.length) continue;
    const inside = body.slice(before.length, body.length - after.length);
    const [one, other] = [shown.slice(...path), inside];
    // Where nothing is around it, a heading is told by how it is written.
    const capitals = one === one.toUpperCase() && one !== one.toLowerCase();
    const bare = before.trim() === '' && after === '';
    if (/^\s|\s{2}|\t/u.test(other) || !/\p{L}/u.test(other)) continue;
    if (bare && (capitals ? other !== other.toUpperCase() : other.split(' ').length > one.split(' ').length + 3))
      continue;
    return tidyCell(other);
  }
  return null;
}
