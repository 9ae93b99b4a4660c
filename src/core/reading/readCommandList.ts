import type { Dialect } from '../chord/parseChord';
import { headOf, type Role } from './columnRoles';
import { clashesIn, doubtOf } from './doubtOf';
import { findTables } from './findTables';
import { FORM_FACTS } from './formFacts';
import { type ColumnGroup, groupTables } from './groupTables';
import { leaveOthersOut } from './leaveOthersOut';
import { type Manner, mannerOf } from './mannerOf';
import { readKeysCell } from './readKeysCell';
import { type Reader, type ReadRow, readTable } from './readTable';
import type { FormRead, RawTable } from './tables';

export type Reading = {
  readonly title: string | null;
  readonly format: FormRead;
  readonly dialect: Dialect;
  readonly groups: readonly ColumnGroup[];
  readonly rows: readonly ReadRow[];
  /** Why the list was probably not understood as it is meant; null where nothing speaks for that. */
  readonly doubt: string | null;
  /** On how many chords keys of several commands of the list clash. */
  readonly clashes: number;
};

/** So often is it said what a cell that was not understood was probably meant to say. */
const MOST_HINTS = 300;

/**
 * Understands a list of commands, whatever form it has.
 * @param chosen roles the person gave instead of the guessed ones, by group number.
 * @throws UnreadableList with a plain sentence when there is no list to be found.
 */
export function readCommandList(text: string, chosen: readonly (readonly Role[] | null)[] = []): Reading {
  const raw = findTables(text);
  const facts = FORM_FACTS[raw.format];
  const tables = facts.least === null ? raw.tables : leaveOthersOut(raw.tables, facts.least);
  const heads = tables.map(headOf);
  const groups = groupTables(tables, heads, chosen);
  const cells = tables.flatMap((table, t) => {
    const column = groups.of[t]?.roles.indexOf('keys') ?? -1;
    return column < 0 ? [] : table.rows.filter((row) => row.left === undefined).map((row) => row.cells[column] ?? '');
  });
  const manner = mannerOf(cells);
  const rows: ReadRow[] = [];
  const reader: Reader = {
    facts,
    manner,
    seen: new Map(),
    hints: { left: MOST_HINTS },
    commentedOut: commentsAreKept(tables, groups.of, manner),
    filled: cells.filter((cell) => cell !== '').length >= 0.3 * cells.length,
    out: rows,
  };
  tables.forEach((table, t) => {
    const [head, group] = [heads[t], groups.of[t]];
    if (head && group) readTable(table, head, group.roles, reader);
  });
  rows.sort((a, b) => a.line - b.line);
  return {
    title: raw.title,
    format: raw.format,
    dialect: manner.dialect,
    groups: groups.all,
    rows,
    doubt: doubtOf(rows),
    clashes: clashesIn(rows),
  };
}

/** Where nearly all lines with keys are commented out, the file tells what holds without it. */
function commentsAreKept(tables: readonly RawTable[], of: readonly ColumnGroup[], manner: Manner): boolean {
  if (!tables.some((table) => table.rows.some((row) => row.commentedOut))) return false;
  let [out, all] = [0, 0];
  tables.forEach((table, t) => {
    const column = of[t]?.roles.indexOf('keys') ?? -1;
    if (column < 0) return;
    for (const row of table.rows) {
      if (row.left !== undefined || readKeysCell(row.cells[column] ?? '', manner.dialect, manner).status !== 'keys')
        continue;
      all++;
      if (row.commentedOut) out++;
    }
  });
  return out > 0 && out >= 0.7 * all;
}
