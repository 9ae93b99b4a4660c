import type { ChordText } from '../chord/chord';
import { nearestReading } from '../chord/nearestReading';
import type { Dialect } from '../chord/parseChord';
import { writeChord } from '../chord/writeChord';
import { cutText } from '../text/cutText';
import { cleanName } from './cleanName';
import { areSurelyKeys, type headOf, isHeaderRow } from './columnRoles';
import type { FormFacts } from './formFacts';
import type { Manner } from './mannerOf';
import { readKeysCell } from './readKeysCell';
import type { Role } from './roles';
import { rowKey } from './rowKey';
import { HEADS, type RawRow, type RawTable, type Span } from './tables';

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
  /** What the row is known by among all of its file, however it is read. */
  readonly key: string;
  readonly cells: readonly string[];
  readonly result: 'used' | 'partly' | 'heading' | 'again' | 'unused';
  readonly why: string | null;
  readonly command: ListedCommand | null;
  /** The command it would be, where it was taken for none. */
  readonly would?: ListedCommand;
  /** Whether a person said what it is. */
  readonly corrected?: true;
  /** Where a command, or keys that are added to one, stands in the file. */
  readonly at: RowPlace | null;
};

/** Where in the text of a file a command's name, its place and its keys stand, and what this row alone says of its keys. */
export type RowPlace = {
  readonly name: Span;
  readonly path: Span | null;
  readonly keys: Span | null;
  /** In which part, of a packed file; and what its keys cell says, in which column. */
  readonly part?: string;
  readonly cell?: { readonly text: string; readonly column: number };
  readonly own: readonly ChordText[];
  /** The key of the row whose command these are keys of as well, where that is another. */
  readonly of?: string;
  /** Whether it is commented out: so that it has no keys, or telling those it has without it. */
  readonly commentedOut?: 'off' | 'kept';
  /** Where all that is said of it stands, of a record. */
  readonly whole?: Span;
  /** Whether its keys stand in several places. */
  readonly apart?: true;
};

const LONGEST_NAME = 120;
/** What stands between the steps of a path; cells have their spaces folded, and each step is trimmed. */
const STEP = /[›»→]| > /u;

/** What is so of the whole list while its tables are read, and what was read of it. */
export type Reader = {
  readonly facts: FormFacts;
  readonly manner: Manner;
  readonly seen: Map<string, number>;
  readonly hints: { left: number };
  /** Whether lines that are commented out tell the keys a program has anyway. */
  readonly commentedOut: boolean;
  /** Whether each table begins with its title in a row of its own. */
  readonly titled: boolean;
  /** Whether a row may have its name and its keys the other way around. */
  readonly turns: boolean;
  /** Whether most commands have keys beside those on a Mac. */
  readonly filled: boolean;
  readonly out: ReadRow[];
};

/** Reads a table row by row into the list: each row as a command, a heading, or left out, with the reason. */
export function readTable(
  table: RawTable,
  head: ReturnType<typeof headOf>,
  roles: readonly Role[],
  reader: Reader,
): void {
  const { facts, manner, seen, hints, out } = reader;
  const under: string[] = [];
  const nameColumn = roles.indexOf('name');
  const keysColumn = roles.indexOf('keys');
  const pathColumn = roles.indexOf('path');
  const [macColumn, kindColumn] = [roles.indexOf('Mac keys'), roles.indexOf('kind')];
  const names = head.cells?.join() ?? null;
  const paths = roles.flatMap((role, i) => (role === 'path' ? [i] : []));
  for (const written of table.rows) {
    const row = reader.turns ? turned(written, nameColumn, keysColumn) : written;
    const say = (
      result: ReadRow['result'],
      why: string | null,
      command: ListedCommand | null = null,
      own: Pick<RowPlace, 'own' | 'of'> | null = null,
    ): void => {
      const at =
        own && placeOf(row, [nameColumn, pathColumn, keysColumn >= 0 ? keysColumn : macColumn], own, table, reader);
      const key = rowKey(row.line, written.spans[0]?.[0] ?? 0);
      const read = { line: row.line, key, cells: row.cells, result, why, command, at };
      const would = command ? null : commandIn(row, roles, [...table.headings, ...under], reader);
      out.push(would ? { ...read, would } : read);
    };
    if (row.left !== undefined) {
      say(row.heading ? 'heading' : 'unused', row.left);
      continue;
    }
    const filled = row.cells.filter((cell) => cell !== '');
    if (facts.prose && filled.length === 1 && roles.length > 1 && (filled[0] ?? '').split(' ').length > 5) {
      say('unused', 'A text between the rows.');
      continue;
    }
    const only = filled.length === 1 ? (filled[0] ?? '') : null;
    if (
      written === head.row ||
      (names !== null &&
        row.cells.length === head.cells?.length &&
        row.cells[0] === head.cells[0] &&
        row.cells.join() === names) ||
      (!table.header && isHeaderRow(row, false))
    ) {
      say('heading', 'Names the columns.');
      continue;
    }
    if (only !== null && isFootnote(only)) {
      say('unused', 'Looks like a footnote.');
      continue;
    }
    const titles = reader.titled && written === table.rows[0];
    if (only !== null && roles.length > 1 && (titles || isHeading(row, only, roles))) {
      under.splice(0, under.length, cleanName(only));
      say('heading', HEADS);
      continue;
    }
    const steps = firstOf(row.cells[nameColumn] ?? '')
      .split(facts.steps ? STEP : '\n')
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
    const own = paths.flatMap((i) => (row.cells[i] ?? '').split(STEP).map(cleanName));
    const path = [...table.headings, ...under, ...own, ...steps]
      .filter((step, i, all) => step !== '' && step !== all[i - 1])
      .slice(0, 8);
    const windows = underHeading(path, keysOf(row, roles, manner), manner);
    const onlyMac = windows.status === 'none' && reader.filled;
    const macs =
      windows.status === 'keys'
        ? windows
        : macColumn < 0
          ? NO_CELL
          : keysIn(row, macColumn, { ...manner, dialect: 'mac' });
    const found =
      onlyMac && macs.status === 'keys'
        ? { ...windows, problems: ['It has keys on a Mac alone.'] }
        : windows.status === 'keys'
          ? windows
          : merge(windows, macs);
    if (
      row.commentedOut &&
      found.status !== 'keys' &&
      !(reader.commentedOut && (facts.binds || /^\S+$/u.test(name)) && (row.cells[keysColumn] ?? '') !== '')
    ) {
      // It may be used again, once it is to have keys.
      say('unused', 'A comment.', null, /^\S+$/u.test(name) ? { own: [] } : null);
      continue;
    }
    const outOfUse = row.commentedOut && !reader.commentedOut;
    const keys = outOfUse ? { ...found, chords: [], problems: [COMMENTED_OUT] } : found;
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
          ...(keys.problems.length > 0 ? { result: 'partly', why: withSentences(first.why, keys.problems) } : {}),
          command: { ...first.command, keys: [...new Set([...first.command.keys, ...keys.chords])] },
        };
      say('again', `Stands in row ${first?.line} already; its keys are added there.`, null, {
        own: keys.chords,
        of: first?.key ?? '',
      });
      continue;
    }
    seen.set(signature, out.length);
    const long = name.length > LONGEST_NAME;
    if (!long && keys.problems.length === 0) {
      say('used', null, command, { own: keys.chords });
      continue;
    }
    const wrong = [
      ...(long ? [`Its name is longer than ${LONGEST_NAME} characters and is kept up to there.`] : []),
      ...keys.problems,
      ...(outOfUse || (onlyMac && macs.status === 'keys')
        ? []
        : nearestTo(row.cells[keysColumn], keys.problems, manner.dialect, hints)),
    ].join(' ');
    const brought =
      keys.problems.length === 0
        ? ''
        : ` The command comes in ${keys.chords.length > 0 ? 'with its other keys' : 'without a key'}.`;
    say('partly', `${wrong}${brought}`, command, { own: keys.chords });
  }
}

/** Where a command of a row stands; what most rows don't have is not said of them. */
function placeOf(
  row: RawRow,
  [name, path, keys]: readonly [name: number, path: number, keys: number],
  own: Pick<RowPlace, 'own' | 'of'>,
  { part }: RawTable,
  { commentedOut }: Reader,
): RowPlace {
  const place: RowPlace = {
    own: own.own,
    name: row.spans[name] ?? [0, 0],
    path: row.spans[path] ?? null,
    keys: row.spans[keys] ?? null,
  };
  const plain = part === undefined && !row.commentedOut && row.whole === undefined && !row.apart;
  if (plain && own.of === undefined) return place;
  return {
    ...place,
    ...(own.of === undefined ? {} : { of: own.of }),
    ...(part === undefined ? {} : { part, cell: { text: row.cells[keys] ?? '', column: keys } }),
    ...(row.commentedOut ? { commentedOut: commentedOut ? 'kept' : 'off' } : {}),
    ...(row.whole === undefined ? {} : { whole: row.whole }),
    ...(row.apart ? { apart: true } : {}),
  };
}

/** A row that has its keys where names stand in the others, and its name where keys do, the other way around. */
function turned(row: RawRow, name: number, keys: number): RawRow {
  const [atName, atKeys] = [row.cells[name] ?? '', row.cells[keys] ?? ''];
  if (!/\p{L}{2}/u.test(atKeys) || !areSurelyKeys(atName) || readKeysCell(atKeys, 'windows').status !== 'unread')
    return row;
  const other = (i: number): number => (i === name ? keys : i === keys ? name : i);
  return {
    ...row,
    cells: row.cells.map((_, i) => row.cells[other(i)] ?? ''),
    spans: row.spans.map((span, i) => row.spans[other(i)] ?? span),
  };
}

/** The name in a cell of several paragraphs: the first, unless the next goes on with it. */
function firstOf(cell: string): string {
  const at = cell.indexOf('\n');
  if (at < 0) return cell;
  const [first, rest] = [cell.slice(0, at), cell.slice(at + 1)];
  return /^\p{Lu}/u.test(rest) && rest.split(' ').length > 3 ? first : cell.replace(/\n/g, ' ');
}

/** What is said of a row, with further sentences that don't stand there yet. */
function withSentences(why: string | null, more: readonly string[]): string {
  return [...new Set(more)].reduce(
    (said, one) => (said.includes(one) ? said : `${said} ${one}`.trimStart()),
    why ?? '',
  );
}

/** Keys as what stands above them says: behind those that lead to all of them, as in `Documentation (prefix C-c C-d)`. */
function underHeading(path: readonly string[], found: ReturnType<typeof keysOf>, manner: Manner): typeof found {
  if (path.some((step) => OF_THE_MOUSE.test(step) && !andKeys(step))) return withoutButtons(found);
  const said = path.flatMap((step) => /\bprefix:? ([^()]{1,30})\)$/iu.exec(step)?.[1] ?? []).at(-1);
  const lead = said === undefined ? [] : readKeysCell(said, manner.dialect, manner).chords;
  if (lead.length !== 1 || lead[0]?.startsWith('hold:')) return found;
  return { ...found, chords: found.chords.map((chord) => (chord.startsWith('hold:') ? chord : `${lead[0]} ${chord}`)) };
}

const OF_THE_MOUSE = /\b(?:mouse|maus|souris|rat[oó]n)/iu;
/** “Mouse and key bindings” are both; keys of the mouse, as its buttons are called in some languages, are not. */
const andKeys = (step: string): boolean =>
  /[&,/+]|\b(?:and|und|et|y)\b/iu.test(step) && /\b(?:key|tast|touches|clavier|tecla)/iu.test(step);

/** Of keys under something for the mouse: Left and Right are its buttons, Up and Down its wheel. */
function withoutButtons(found: ReturnType<typeof keysOf>): ReturnType<typeof keysOf> {
  const chords = found.chords.filter((chord) => !/(?:^|\+)Arrow\p{Lu}\p{Ll}+$/u.test(chord));
  return chords.length === found.chords.length
    ? found
    : { status: chords.length > 0 ? 'keys' : 'unread', chords, problems: [...found.problems, OF_MOUSE] };
}
const OF_MOUSE = 'It is for the mouse, so it isn’t kept as keys.';

/** What a column says that a list doesn't have. */
const NO_CELL = { status: 'none', chords: [], problems: [] } as const;
const COMMENTED_OUT = 'Its line is commented out.';
const whole = (name: string): string =>
  name.length > LONGEST_NAME ? `${cutText(name, LONGEST_NAME - 1).trimEnd()}…` : name;

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

/** The keys of a row, with those of further columns. */
function keysOf(row: RawRow, roles: readonly Role[], manner: Manner) {
  const own = keysIn(row, roles.indexOf('keys'), manner);
  return roles.reduce((found, role, i) => {
    if (role !== 'more keys') return found;
    const more = keysIn(row, i, manner);
    if (more.status === 'none') return found;
    return {
      status: found.status === 'keys' ? found.status : more.status,
      chords: [...new Set([...found.chords, ...more.chords])],
      problems: [...found.problems, ...more.problems],
    };
  }, own);
}

/** The command a row would be that was taken for none: by its columns, else by all that stands in it. */
function commandIn(
  row: RawRow,
  roles: readonly Role[],
  under: readonly string[],
  { manner }: Reader,
): ListedCommand | null {
  const named = cleanName(firstOf(row.cells[roles.indexOf('name')] ?? ''));
  const name = whole(named === '' ? cleanName(row.cells.filter((cell) => cell !== '').join(' ')) : named);
  if (!/[\p{L}\p{N}]/u.test(name)) return null;
  const path = [...under, ...roles.flatMap((role, i) => (role === 'path' ? (row.cells[i] ?? '') : []))];
  return {
    name,
    path: path
      .map((step) => cutText(cleanName(step), LONGEST_NAME))
      .filter((step) => step !== '')
      .slice(0, 8),
    kind: null,
    keys: named === '' ? [] : keysOf(row, roles, manner).chords,
  };
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
