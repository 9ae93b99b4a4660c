import type { ChordText } from '../chord/chord';
import { MODIFIER_WORDS } from '../chord/modifierWords';
import { nearestReading } from '../chord/nearestReading';
import type { Dialect } from '../chord/parseChord';
import { writeChord } from '../chord/writeChord';
import { trimEnd } from '../text/trimEnd';
import { guessRoles, isHeaderRow, type Role, roleOfHeader } from './columnRoles';
import { findTables } from './findTables';
import { type Manner, mannerOf } from './mannerOf';
import { readKeysCell } from './readKeysCell';
import type { FormRead, RawRow, RawTable, RawTables, Span } from './tables';

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
  /** Where in the text of the file the command's name, its place and its keys stand. */
  readonly at: { readonly name: Span; readonly path: Span | null; readonly keys: Span | null } | null;
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
  readonly format: FormRead;
  readonly dialect: Dialect;
  readonly groups: readonly ColumnGroup[];
  readonly rows: readonly ReadRow[];
  /** Why the list was probably not understood as it is meant; null where nothing speaks for that. */
  readonly doubt: string | null;
  /** On how many chords keys of several commands of the list clash. */
  readonly clashes: number;
};

const LONGEST_NAME = 120;
const MOST_HINTS = 300;
/** What stands between the steps of a path; cells have their spaces folded, and each step is trimmed. */
const STEP = /[›»→]| > /u;

/**
 * Understands a list of commands, whatever form it has.
 * @param chosen roles the person gave instead of the guessed ones, by group number.
 * @throws UnreadableList with a plain sentence when there is no list to be found.
 */
export function readCommandList(text: string, chosen: readonly (readonly Role[] | null)[] = []): Reading {
  return understandTables(findTables(text), chosen);
}

/** The same for tables that were found already, such as the sheets of a workbook. */
export function understandTables(raw: RawTables, chosen: readonly (readonly Role[] | null)[] = []): Reading {
  const tables = raw.tables.map((table) =>
    mayHoldSettings(raw.format) &&
    (namesOthers(table) ||
      !holdsKeys(table, raw.format === 'text in columns' ? 0.5 : raw.format === 'settings' ? 0.25 : 0.34))
      ? leftOut(table)
      : table,
  );
  const headers = tables.map((table) => {
    const row = table.header
      ? null
      : (table.rows.filter((one) => one.left === undefined).find((one, i) => i < 6 && isHeaderRow(one, i < 2)) ?? null);
    return { row, cells: row?.cells ?? table.header ?? null };
  });
  const groups = groupTables(tables, headers, chosen);
  const cells = tables.flatMap((table, t) => {
    const column = groups.of[t]?.roles.indexOf('keys') ?? -1;
    return column < 0 ? [] : table.rows.filter((row) => row.left === undefined).map((row) => row.cells[column] ?? '');
  });
  const manner = mannerOf(cells);
  const rows: ReadRow[] = [];
  const reader: Reader = {
    manner,
    seen: new Map(),
    hints: { left: MOST_HINTS },
    commentedOut: commentsAreKept(tables, groups.of, manner),
    steps: ['table', 'web page', 'Markdown', 'text in columns', 'workbook'].includes(raw.format),
    filled: cells.filter((cell) => cell !== '').length >= 0.3 * cells.length,
    prose: raw.format === 'text in columns',
    binds: raw.format === 'bindings',
    out: rows,
  };
  tables.forEach((table, t) => {
    const group = groups.of[t];
    if (group) readTable(table, headers[t] ?? NO_HEADER, group.roles, reader);
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

type Header = { readonly row: RawRow | null; readonly cells: readonly string[] | null };
const NO_HEADER: Header = { row: null, cells: null };

/** Whether a file of this form mostly holds other things beside keys. */
const mayHoldSettings = (format: FormRead): boolean =>
  ['settings', 'JSON', 'XML', 'YAML', 'TOML', 'web page', 'Markdown', 'text in columns'].includes(format);

/** Whether some column of a table holds keys, or is said to, beside names. @param least which part of it, at least. */
function holdsKeys({ rows, header }: RawTable, least: number): boolean {
  const body = rows.filter((row) => row.left === undefined && !row.heading).slice(0, 200);
  const head = header ? undefined : rows.find((row, i) => i < 6 && isHeaderRow(row, i < 2));
  const ofKeys = head?.cells.some((cell) => /keys$/iu.test(roleOfHeader(cell) ?? ''));
  if (ofKeys || body.length === 0) return true;
  const width = Math.max(0, ...body.map((row) => row.cells.length));
  const columns = Array.from({ length: width }, (_, i) => {
    const filled = body.map((row) => row.cells[i] ?? '').filter((cell) => cell !== '');
    const keys = filled.filter((cell) => {
      const { status, problems } = readKeysCell(cell, 'windows');
      return status === 'keys' && problems.length === 0;
    });
    // Numbers and words such as “command” alone are no sign of keys.
    const sure = keys.filter((cell) => !/^\d+$/u.test(cell) && MODIFIER_WORDS[cell.toLowerCase()] === undefined).length;
    const said = /key|short ?cut|bind|accel|chord/iu.test(header?.[i] ?? '');
    const holds = sure > 0 && (sure >= least * filled.length || (said && sure >= 0.1 * filled.length));
    const words = filled.filter((cell) => cell.length > 2 && /\p{L}{2}/u.test(cell)).length;
    const worded = words >= 0.5 * filled.length && filled.length >= 0.5 * body.length;
    return { holds, worded, share: keys.length / Math.max(1, filled.length) };
  });
  return columns.some(
    (one, i) =>
      one.holds && columns.some((other, k) => k !== i && other.worded && other.share < Math.max(0.5, one.share)),
  );
}

/** Whether a part of a file gives other names to commands, which look like keys where they are short. */
const namesOthers = ({ headings }: RawTable): boolean => /^alias(?:es)?$/iu.test(headings.at(-1) ?? '');

const leftOut = (table: RawTable): RawTable => ({
  ...table,
  rows: table.rows.map((row) =>
    row.left === undefined ? { ...row, left: 'Nothing in this part of the file reads as keys.' } : row,
  ),
});

type Group = ColumnGroup;

function groupTables(
  tables: readonly RawTable[],
  headers: readonly Header[],
  chosen: readonly (readonly Role[] | null)[],
) {
  const bySignature = new Map<string, { header: readonly string[] | null; rows: RawRow[]; tables: number }>();
  const signatures = tables.map((table, t) => {
    const { row: headRow, cells: header } = headers[t] ?? NO_HEADER;
    const body = table.rows.filter((row) => row.left === undefined && !row.heading && row !== headRow);
    if (body.length === 0) return null;
    const width = Math.max(...body.map((row) => row.cells.length));
    const signature = header ? header.join('\u0001').toLowerCase() : `no header ${width}`;
    const group = bySignature.get(signature) ?? { header, rows: [], tables: 0 };
    for (const row of body) group.rows.push(row);
    group.tables++;
    bySignature.set(signature, group);
    return signature;
  });
  const order = [...bySignature.keys()];
  const all: Group[] = [...bySignature.values()].map(({ header, rows, tables: count }, g) => {
    const guessed = guessRoles(header, rows);
    const wanted = chosen[g];
    return {
      header,
      roles: guessed.map((role, i) => wanted?.[i] ?? role),
      tables: count,
      sample: rows.slice(0, 3).map((row) => row.cells),
    };
  });
  const none: Group = { header: null, roles: [], tables: 0, sample: [] };
  return {
    all,
    of: signatures.map((signature) => (signature === null ? none : (all[order.indexOf(signature)] ?? none))),
  };
}

type Reader = {
  readonly manner: Manner;
  readonly seen: Map<string, number>;
  readonly hints: { left: number };
  /** Whether lines that are commented out tell the keys a program has anyway. */
  readonly commentedOut: boolean;
  /** Whether names are written with the path before them. */
  readonly steps: boolean;
  /** Whether most commands have keys beside those on a Mac. */
  readonly filled: boolean;
  /** Whether sentences may stand between the rows. */
  readonly prose: boolean;
  /** Whether its lines bind keys by their form. */
  readonly binds: boolean;
  readonly out: ReadRow[];
};

/** Where nearly all lines with keys are commented out, the file tells what holds without it. */
function commentsAreKept(tables: readonly RawTable[], of: readonly Group[], manner: Manner): boolean {
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

function readTable(table: RawTable, header: Header, roles: readonly Role[], reader: Reader): void {
  const { manner, seen, hints, out } = reader;
  const under: string[] = [];
  const nameColumn = roles.indexOf('name');
  const keysColumn = roles.indexOf('keys');
  const pathColumn = roles.indexOf('path');
  for (const row of table.rows) {
    const say = (result: ReadRow['result'], why: string | null, command: ListedCommand | null = null): void => {
      const keysAt = row.spans[keysColumn >= 0 ? keysColumn : roles.indexOf('Mac keys')] ?? null;
      const at = command && {
        name: row.spans[nameColumn] ?? ([0, 0] as const),
        path: row.spans[pathColumn] ?? null,
        keys: keysAt,
      };
      out.push({ line: row.line, cells: row.cells, result, why, command, at });
    };
    if (row.left !== undefined) {
      say(row.heading ? 'heading' : 'unused', row.left);
      continue;
    }
    const filled = row.cells.filter((cell) => cell !== '');
    if (reader.prose && filled.length === 1 && roles.length > 1 && (filled[0] ?? '').split(' ').length > 5) {
      say('unused', 'A text between the rows.');
      continue;
    }
    const only = filled.length === 1 ? (filled[0] ?? '') : null;
    if (
      row === header.row ||
      (header.cells !== null && row.cells.join() === header.cells.join()) ||
      (!table.header && isHeaderRow(row, false))
    ) {
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
    const steps = firstOf(row.cells[nameColumn] ?? '')
      .split(reader.steps ? STEP : '\n')
      .map(cleanName)
      .filter((step) => step !== '');
    const name = steps.pop() ?? '';
    if (nameColumn < 0 || name === '') {
      say('unused', nameColumn < 0 ? 'No column is chosen as the name.' : 'There is no name in this row.');
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
    const windows = keysIn(row, keysColumn, manner);
    const onlyMac = windows.status === 'none' && reader.filled;
    const macs =
      windows.status === 'keys' ? windows : keysIn(row, roles.indexOf('Mac keys'), { ...manner, dialect: 'mac' });
    const found =
      onlyMac && macs.status === 'keys'
        ? { ...windows, problems: ['It has keys on a Mac alone.'] }
        : windows.status === 'keys'
          ? windows
          : merge(windows, macs);
    if (
      row.commentedOut &&
      found.status !== 'keys' &&
      !(reader.commentedOut && (reader.binds || /^\S+$/u.test(name)) && (row.cells[keysColumn] ?? '') !== '')
    ) {
      say('unused', 'A comment.');
      continue;
    }
    const outOfUse = row.commentedOut && !reader.commentedOut;
    const keys = outOfUse ? { ...found, chords: [], problems: [COMMENTED_OUT] } : found;
    const kindColumn = roles.indexOf('kind');
    const command = {
      name: whole(name),
      path,
      kind: kindColumn < 0 ? null : row.cells[kindColumn] || null,
      keys: keys.chords,
    };
    // The same command once more adds its keys to the first.
    const signature = [...path, name].join('\u0001').toLowerCase();
    const earlier = seen.get(signature);
    if (earlier !== undefined) {
      const first = out[earlier];
      if (first?.command)
        out[earlier] = {
          ...first,
          ...(keys.problems.length > 0
            ? { result: 'partly', why: [first.why, ...keys.problems].filter((one) => one !== null).join(' ') }
            : {}),
          command: { ...first.command, keys: [...new Set([...first.command.keys, ...keys.chords])] },
        };
      say('heading', `Stands in row ${first?.line} already; its keys are added there.`);
      continue;
    }
    seen.set(signature, out.length);
    const wrong = [
      ...(name.length > LONGEST_NAME
        ? [`Its name is longer than ${LONGEST_NAME} characters and is kept up to there.`]
        : []),
      ...keys.problems,
      ...(outOfUse || (onlyMac && macs.status === 'keys')
        ? []
        : nearestTo(row.cells[keysColumn], keys.problems, manner.dialect, hints)),
    ].join(' ');
    const brought =
      keys.problems.length === 0
        ? ''
        : ` The command comes in ${keys.chords.length > 0 ? 'with its other keys' : 'without a key'}.`;
    say(wrong === '' ? 'used' : 'partly', wrong === '' ? null : `${wrong}${brought}`, command);
  }
}

/** The name in a cell of several paragraphs: the first, unless the next goes on with it. */
function firstOf(cell: string): string {
  const at = cell.indexOf('\n');
  if (at < 0) return cell;
  const [first, rest] = [cell.slice(0, at), cell.slice(at + 1)];
  return /^\p{Lu}/u.test(rest) && rest.split(' ').length > 3 ? first : cell.replace(/\n/g, ' ');
}

const COMMENTED_OUT = 'Its line is commented out.';
const whole = (name: string): string =>
  name.length > LONGEST_NAME ? `${name.slice(0, LONGEST_NAME - 1).trimEnd()}…` : name;

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

function keysIn(row: RawRow, column: number, manner: Manner) {
  return readKeysCell(column < 0 ? '' : (row.cells[column] ?? ''), manner.dialect, manner);
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
  // Between two of them stands a part of the name.
  if (text.endsWith('*') && /[^*]/u.test(text.slice(text.indexOf('*')))) return text;
  for (let rest = text; ; ) {
    const shorter = trimEnd(rest, ' \n¹²³⁴⁵⁶⁷⁸⁹†‡*');
    const number = /\[\d{1,2}\]$/.exec(shorter.slice(-4))?.[0];
    if (number === undefined) return shorter;
    rest = shorter.slice(0, -number.length);
  }
}

/** Why a list was probably not understood as it is meant; null where nothing speaks for that. */
function doubtOf(rows: readonly ReadRow[]): string | null {
  const commands = rows.flatMap((row) => row.command ?? []);
  if (commands.length < 4) return commands.length === 0 ? 'No row of it could be read as a command.' : null;
  const share = (test: (one: ListedCommand) => boolean): number => commands.filter(test).length / commands.length;
  if (share((one) => one.name.includes('=') && one.name.length > 2) > 0.2)
    return 'Signs of equality stand in the names of commands.';
  if (share((one) => /(?:^|\s)(?:ctrl|control|alt|shift|cmd|strg|⌘|⌃|⌥|⇧)\s?[+-]?\s?\S/iu.test(one.name)) > 0.2)
    return 'Keys stand in the names of commands.';
  if (commands.length >= 12 && share((one) => one.keys.length > 0) < 0.02)
    return 'Nearly none of its commands has keys.';
  const unread = rows.filter((row) => row.result === 'partly').length;
  return unread > 0.5 * commands.length ? 'Most of its keys could not be read.' : null;
}

/** On how many chords several commands of the list stand. */
function clashesIn(rows: readonly ReadRow[]): number {
  const holders = new Map<ChordText, number>();
  for (const { command } of rows)
    for (const chord of new Set(command?.keys)) holders.set(chord, (holders.get(chord) ?? 0) + 1);
  return [...holders.values()].filter((count) => count > 1).length;
}
