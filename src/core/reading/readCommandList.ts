import type { ChordText } from '../chord/chord';
import { nearestReading } from '../chord/nearestReading';
import type { Dialect } from '../chord/parseChord';
import { dialectOf } from '../chord/parseChords';
import { writeChord } from '../chord/writeChord';
import { trimEnd } from '../text/trimEnd';
import { guessRoles, isHeaderRow, type Role } from './columnRoles';
import { readKeysCell } from './readKeysCell';
import { readTextTable } from './readTextTable';
import { readWebTables } from './readWebTables';
import { type RawRow, type RawTable, UnreadableList } from './tables';

/** A command as a list gives it. */
export type ListedCommand = {
  readonly name: string;
  readonly path: readonly string[];
  readonly kind: string | null;
  readonly keys: readonly ChordText[];
};

/** One row of the file and what became of it; `why` says what was not understood, or what the row was taken for. */
export type ReadRow = {
  readonly line: number;
  readonly cells: readonly string[];
  readonly result: 'used' | 'partly' | 'heading' | 'unused';
  readonly why: string | null;
  readonly command: ListedCommand | null;
};

/** Tables with the same columns, whose roles are chosen together. */
export type ColumnGroup = {
  readonly header: readonly string[] | null;
  readonly roles: readonly Role[];
  readonly tables: number;
  readonly sample: readonly (readonly string[])[];
};

export type Reading = {
  readonly title: string | null;
  readonly format: 'web page' | 'table';
  readonly dialect: Dialect;
  readonly groups: readonly ColumnGroup[];
  readonly rows: readonly ReadRow[];
};

const LONGEST_NAME = 120;
const MOST_HINTS = 300;
/** What stands between the steps of a path; cells have their spaces folded, and each step is trimmed. */
const STEP = /[›»→|]| > /u;

/**
 * Understands a list of commands: a web page with tables, or separated text.
 * @param chosen roles the person gave instead of the guessed ones, by group number.
 * @throws UnreadableList with a plain sentence when there is no list to be found.
 */
export function readCommandList(text: string, chosen: readonly (readonly Role[] | null)[] = []): Reading {
  const isPage = /<table[\s>]|<!doctype html|<html[\s>]/i.test(text);
  const raw = isPage ? readWebTables(text) : readTextTable(text);
  if (raw.tables.length === 0) {
    throw new UnreadableList(
      isPage ? 'There are no tables on this page.' : 'There is no list here: no row has anything in it.',
    );
  }
  const headers = raw.tables.map((table) => table.rows.find(isHeaderRow) ?? null);
  const groups = groupTables(raw.tables, headers, chosen);
  const cells = raw.tables.flatMap((table, t) => {
    const roles = groups.of[t]?.roles ?? [];
    const column = roles.indexOf('keys') >= 0 ? roles.indexOf('keys') : -1;
    return column < 0 ? [] : table.rows.map((row) => row.cells[column] ?? '');
  });
  const dialect = dialectOf(cells);
  const rows: ReadRow[] = [];
  const seen = new Map<string, number>();
  const hints = { left: MOST_HINTS };
  raw.tables.forEach((table, t) => {
    const group = groups.of[t];
    if (group) readTable(table, group.roles, dialect, rows, seen, hints);
  });
  return { title: raw.title, format: raw.format, dialect, groups: groups.all, rows };
}

type Group = ColumnGroup & { tableRows: RawRow[] };

function groupTables(
  tables: readonly RawTable[],
  headers: readonly (RawRow | null)[],
  chosen: readonly (readonly Role[] | null)[],
) {
  const bySignature = new Map<string, { header: RawRow | null; rows: RawRow[]; tables: number }>();
  const signatures = tables.map((table, t) => {
    const header = headers[t] ?? null;
    const width = Math.max(...table.rows.map((row) => row.cells.length));
    const signature = header ? header.cells.join('\u0001').toLowerCase() : `no header ${width}`;
    const group = bySignature.get(signature) ?? { header, rows: [], tables: 0 };
    group.rows.push(...table.rows.filter((row) => !row.heading && row !== header));
    group.tables++;
    bySignature.set(signature, group);
    return signature;
  });
  const order = [...bySignature.keys()];
  const all: Group[] = [...bySignature.values()].map(({ header, rows, tables: count }, g) => {
    const guessed = guessRoles(header, rows);
    const wanted = chosen[g];
    return {
      header: header?.cells ?? null,
      roles: guessed.map((role, i) => wanted?.[i] ?? role),
      tables: count,
      sample: rows.slice(0, 3).map((row) => row.cells),
      tableRows: [],
    };
  });
  return {
    all: all.map(({ tableRows: _, ...group }) => group),
    of: signatures.map((signature) => all[order.indexOf(signature)]),
  };
}

function readTable(
  table: RawTable,
  roles: readonly Role[],
  dialect: Dialect,
  out: ReadRow[],
  seen: Map<string, number>,
  hints: { left: number },
): void {
  const under: string[] = [];
  const nameColumn = roles.indexOf('name');
  for (const row of table.rows) {
    const say = (result: ReadRow['result'], why: string | null, command: ListedCommand | null = null): void => {
      out.push({ line: row.line, cells: row.cells, result, why, command });
    };
    const filled = row.cells.filter((cell) => cell !== '');
    const only = filled.length === 1 ? (filled[0] ?? '') : null;
    if (isHeaderRow(row)) {
      say('heading', 'Names the columns.');
      continue;
    }
    if (only !== null && isFootnote(only)) {
      say('unused', 'Looks like a footnote.');
      continue;
    }
    if (only !== null && roles.length > 1 && isHeading(row, only, roles)) {
      under.splice(0, under.length, cleanName(only));
      say('heading', 'A heading: the rows below it live there.');
      continue;
    }
    const steps = (row.cells[nameColumn] ?? '')
      .replace(/\n/g, ' ')
      .split(STEP)
      .map(cleanName)
      .filter((step) => step !== '');
    const name = steps.pop() ?? '';
    if (nameColumn < 0 || name === '') {
      say('unused', nameColumn < 0 ? 'No column is chosen as the name.' : 'There is no name in this row.');
      continue;
    }
    if (name.length > LONGEST_NAME) {
      say('unused', `The name is longer than ${LONGEST_NAME} characters, so it is more likely a text than a command.`);
      continue;
    }
    if (!/[\p{L}\p{N}]/u.test(name)) {
      say('unused', 'There is no word in the name.');
      continue;
    }
    const own = roles.flatMap((role, i) => (role === 'path' ? (row.cells[i] ?? '').split(STEP).map(cleanName) : []));
    const path = [...table.headings, ...under, ...own, ...steps]
      .filter((step, i, all) => step !== '' && step !== all[i - 1])
      .slice(0, 8);
    const windows = keysIn(row, roles.indexOf('keys'), dialect);
    const keys = windows.status === 'keys' ? windows : merge(windows, keysIn(row, roles.indexOf('Mac keys'), 'mac'));
    const kindColumn = roles.indexOf('kind');
    const command = { name, path, kind: kindColumn < 0 ? null : row.cells[kindColumn] || null, keys: keys.chords };
    // The same command once more adds its keys to the first.
    const signature = [...path, name].join('\u0001').toLowerCase();
    const earlier = seen.get(signature);
    if (earlier !== undefined) {
      const first = out[earlier];
      if (first?.command)
        out[earlier] = {
          ...first,
          command: { ...first.command, keys: [...new Set([...first.command.keys, ...keys.chords])] },
        };
      say('heading', `Stands in row ${first?.line} already; its keys are added there.`);
      continue;
    }
    seen.set(signature, out.length);
    const wrong = [
      ...keys.problems,
      ...nearestTo(row.cells[roles.indexOf('keys')], keys.problems, dialect, hints),
    ].join(' ');
    say(
      wrong === '' ? 'used' : 'partly',
      wrong === ''
        ? null
        : `${wrong} The command comes in ${keys.chords.length > 0 ? 'with its other keys' : 'without a key'}.`,
      command,
    );
  }
}

/** What a cell that was not understood was probably meant to say; only so often, so that no file can make us dwell. */
function nearestTo(
  cell: string | undefined,
  problems: readonly string[],
  dialect: Dialect,
  hints: { left: number },
): string[] {
  if (cell === undefined || problems.length === 0 || hints.left === 0) return [];
  hints.left--;
  const near = nearestReading(cell, dialect);
  return near ? [`Perhaps ${writeChord(near, dialect === 'mac' ? 'mac' : 'windows')} is meant.`] : [];
}

function keysIn(row: RawRow, column: number, dialect: Dialect) {
  return readKeysCell(column < 0 ? '' : (row.cells[column] ?? ''), dialect);
}

function merge(a: ReturnType<typeof readKeysCell>, b: ReturnType<typeof readKeysCell>) {
  return b.status === 'none'
    ? a
    : { ...b, problems: b.status === 'keys' ? b.problems : [...a.problems, ...b.problems] };
}

function isFootnote(text: string): boolean {
  return (
    /^(?:[*†‡§¹²³]|\[\d{1,2}\]|\(\d{1,2}\)|notes?\s*[:.]|\d\)\s)/iu.test(text) ||
    (/[.!]$/.test(text) && text.split(' ').length > 7)
  );
}

/** A row with a single text in it heads what follows, unless it can be a command that simply has no key. */
function isHeading(row: RawRow, only: string, roles: readonly Role[]): boolean {
  if (row.heading || /:$/.test(only)) return true;
  const column = row.cells.indexOf(only);
  if (roles[column] === 'path') return true;
  return only.length > 2 && only === only.toUpperCase() && /\p{Lu}{3}/u.test(only);
}

/** A name without note marks, leaders, the dots that announce a dialog, and the colon of a heading. */
function cleanName(text: string): string {
  const bare = withoutNoteMarks(text.trim())
    .replace(/^[•·‣\-–—]\s+/u, '')
    .replace(/\s+/g, ' ');
  const dots = trimEnd(bare, '.');
  const open = dots.endsWith('…') ? dots.slice(0, -1) : bare.length - dots.length > 2 ? dots : null;
  const name = open === null ? bare : `${open.trimEnd()}…`;
  return (name.endsWith(':') ? name.slice(0, -1) : name).trim();
}

/** A text without the marks at its end that lead to notes below: `*`, `†`, `²`, `[12]`. */
function withoutNoteMarks(text: string): string {
  for (let rest = text; ; ) {
    const shorter = trimEnd(rest, ' \n¹²³⁴⁵⁶⁷⁸⁹†‡*');
    const number = /\[\d{1,2}\]$/.exec(shorter.slice(-4))?.[0];
    if (number === undefined) return shorter;
    rest = shorter.slice(0, -number.length);
  }
}
