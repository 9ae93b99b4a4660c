import type { Dialect } from '../chord/parseChord';
import { type Choices, NO_CHOICES } from './choices';
import { headOf } from './columnRoles';
import { clashesIn, doubtOf } from './doubtOf';
import { findTables } from './findTables';
import { FORM_FACTS } from './formFacts';
import { type ColumnGroup, groupTables } from './groupTables';
import { withKeysTogether } from './heldColumns';
import { leaveOthersOut } from './leaveOthersOut';
import { type Manner, mannerOf } from './mannerOf';
import { readKeysCell } from './readKeysCell';
import { type Reader, type ReadRow, readTable } from './readTable';
import { readShown } from './shown/readShown';
import type { FormRead, RawRow, RawTable, RawTables } from './tables';
import { withoutCounts } from './withoutCounts';

export type Reading = {
  readonly title: string | null;
  readonly format: FormRead;
  readonly dialect: Dialect;
  /** How its keys are written, told by all of them. */
  readonly manner: Manner;
  readonly groups: readonly ColumnGroup[];
  readonly rows: readonly ReadRow[];
  /** Why the list was probably not understood as it is meant; null where nothing speaks for that. */
  readonly doubt: string | null;
  /** On how many chords keys of several commands of the list clash. */
  readonly clashes: number;
  /** In how many keys cells a `-` or `?` stands alone, and whether it is read as that key. */
  readonly signs: { readonly cells: number; readonly keys: boolean };
  /** Whether its lines that are commented out tell what holds without them. */
  readonly commentsKept: boolean;
  /** Whether some of its rows may have name and keys the other way around. */
  readonly turns: boolean;
};

/** So often is it said what a cell that was not understood was probably meant to say. */
const MOST_HINTS = 300;

/** What a list was understood as, so that another state of it is understood in the same way. */
export type ReadAs = Pick<Reading, 'format' | 'manner' | 'groups' | 'commentsKept' | 'turns'>;

/**
 * Understands a list of commands, whatever form it has.
 * @param choices what the person said of it.
 * @param as how another state of the same list was understood; else by its content.
 * @param places whether anybody asks where in the text its cells stand.
 * @throws UnreadableList with a plain sentence when there is no list to be found.
 */
export function readCommandList(
  text: string,
  choices: Choices = NO_CHOICES,
  as?: ReadAs,
  places: boolean = true,
): Reading {
  const raw = choices.shown.length > 0 ? readShown(text, choices.shown) : findTables(text, as?.format, places);
  return readTables(raw, as ? { ...choices, roles: as.groups.map((one) => one.roles) } : choices, as);
}

/** Understands tables that were found in a file. @param like how its keys are written, where that is known. */
export function readTables(
  raw: RawTables,
  choices: Choices,
  like?: Pick<Reading, 'manner' | 'commentsKept' | 'turns'>,
): Reading {
  const facts = FORM_FACTS[raw.format];
  const all = raw.tables.map((table) => withKeysTogether(table, headOf(table).cells));
  const tables = facts.least === null ? all : leaveOthersOut(all, facts.least, facts.steps);
  const heads = tables.map(headOf);
  const groups = groupTables(tables, heads, choices.roles);
  const cells = tables.flatMap((table, t) => {
    const column = groups.of[t]?.roles.indexOf('keys') ?? -1;
    return column < 0 ? [] : table.rows.filter((row) => row.left === undefined).map((row) => row.cells[column] ?? '');
  });
  const guessed = like?.manner ?? mannerOf(cells);
  const manner = choices.signs === null ? guessed : { ...guessed, signs: choices.signs };
  const commentsKept = like?.commentsKept ?? commentsAreKept(tables, groups.of, manner);
  // Lists for people do, unless somebody said what their columns hold.
  const turns = like?.turns ?? (facts.least !== null && facts.steps && choices.roles.every((one) => one === null));
  const rows: ReadRow[] = [];
  const reader: Reader = {
    facts,
    manner,
    seen: new Map(),
    hints: { left: MOST_HINTS },
    commentedOut: commentsKept,
    titled: tables.length > 1 && tables.filter(beginsWithTitle).length > 0.8 * tables.length,
    turns,
    filled: cells.filter((cell) => cell !== '').length >= 0.3 * cells.length,
    out: rows,
  };
  tables.forEach((table, t) => {
    const [head, group] = [heads[t], groups.of[t]];
    if (head && group) readTable(withoutCounts(table, group.roles.indexOf('name')), head, group.roles, reader);
  });
  rows.sort((a, b) => a.line - b.line);
  return {
    title: raw.title,
    format: raw.format,
    dialect: manner.dialect,
    manner,
    groups: groups.all,
    rows,
    doubt: doubtOf(rows),
    clashes: clashesIn(rows),
    commentsKept,
    turns,
    signs: { cells: cells.filter((cell) => /^[-?]$/u.test(cell.trim())).length, keys: manner.signs },
  };
}

const filledIn = (row: RawRow | undefined): number => row?.cells.filter((cell) => cell !== '').length ?? 0;
/** Whether the first row of a table has one cell filled, and no other row has. */
const beginsWithTitle = ({ rows: [first, ...rest] }: RawTable): boolean =>
  filledIn(first) === 1 && rest.length > 0 && rest.every((row) => filledIn(row) > 1);

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
