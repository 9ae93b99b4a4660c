import type { ChordText } from '../chord/chord';
import { signedKeys } from '../reading/forms/readPropertyList';
import type { Reading } from '../reading/readCommandList';
import { readKeysCell } from '../reading/readKeysCell';
import type { ListedCommand, ReadRow } from '../reading/readTable';
import { type FormRead, type Span, tidyCell } from '../reading/tables';
import { CELL_FORMS, widened } from './cellForm';
import { lineEnd, lineStart } from './lineBounds';
import { type Parts, partsOfCell } from './partsOfCell';

/** One place of a file where keys of a command stand, or could. */
export type Place = {
  readonly line: number;
  /** With the quotes and brackets around them; empty where there is no place for keys. */
  readonly keys: Span;
  readonly name: Span;
  readonly raw: string;
  readonly own: readonly ChordText[];
  readonly parts: Parts | null;
  readonly commentedOut: 'off' | 'kept' | null;
  /** The sign that takes its line out of use, with blanks behind it; empty for a line that counts. */
  readonly sign: string;
  readonly whole: Span | null;
  /** The blanks right before its keys, and behind them. */
  readonly blank: string;
  readonly gap: string;
  /** What stands in a column of its own behind them, which is kept there. */
  readonly followed: 'by a bar' | 'by a column' | 'by blanks' | null;
  /** Whether its record has no place for keys. */
  readonly absent: boolean;
  /** Whether its keys say by themselves that there are none. */
  readonly none: boolean;
  /** Whether its keys stand in several places, as a modifier in each. */
  readonly apart: boolean;
};
/** A command of a list, with all places where its keys stand. */
export type Listed = {
  readonly key: string;
  readonly command: ListedCommand;
  readonly nameRaw: string;
  readonly places: readonly Place[];
};
/** What tells keys by how they are written in this file; nothing where not all of it is keys, if `whole`. */
export type ChordsOf = (raw: string, before: string, whole?: boolean) => readonly ChordText[];
export type SourcePlaces = {
  readonly listed: ReadonlyMap<string, Listed>;
  /** Commands of which there is nothing but a line that is commented out, without keys. */
  readonly asleep: ReadonlyMap<string, Listed>;
  readonly chordsOf: ChordsOf;
};

/** What a command is known by in any file of its program: where it lives and its name. */
export const listedKey = ({ path, name }: Pick<ListedCommand, 'path' | 'name'>): string =>
  [...path, name].join('\u0001').toLowerCase();

/** Where the commands of a file and their keys stand. */
export function placesOf(text: string, reading: Reading): SourcePlaces {
  const { manner, format } = reading;
  const form = CELL_FORMS[format];
  const signed = format === 'property list' && writesSigns(text, reading.rows);
  const chordsOf: ChordsOf = (raw, before, whole = false) => {
    const meant = form.textOf(raw, before);
    const cell = tidyCell(signed ? (signedKeys(meant) ?? meant) : meant);
    const { chords, problems } = readKeysCell(cell, manner.dialect, manner);
    return whole && problems.length > 0 ? [] : chords;
  };
  const listed = new Map<string, { key: string; command: ListedCommand; nameRaw: string; places: Place[] }>();
  const byRow = new Map<string, string>();
  const asleep = new Map<string, Listed>();
  for (const row of reading.rows) {
    if (row.at?.commentedOut && !row.command && row.would && row.at.of === undefined) {
      const place = { ...placeOf(row, row.at, text, chordsOf, reading), commentedOut: 'off' as const };
      const own = { ...row.would, keys: [] };
      const key = listedKey(own);
      if (!asleep.has(key)) asleep.set(key, { key, command: own, nameRaw: text.slice(...place.name), places: [place] });
      continue;
    }
    const key = row.command ? listedKey(row.command) : byRow.get(row.at?.of ?? '');
    if (key === undefined) continue;
    const place = row.at && placeOf(row, row.at, text, chordsOf, reading);
    const known = listed.get(key);
    if (known && place) known.places.push(place);
    else if (!known && row.command) {
      byRow.set(row.key, key);
      const nameRaw = place ? text.slice(...place.name) : row.command.name;
      listed.set(key, { key, command: row.command, nameRaw, places: place ? [place] : [] });
    }
  }
  return {
    listed,
    asleep: asleep.size === 0 ? asleep : new Map([...asleep].filter(([key]) => !listed.has(key))),
    chordsOf,
  };
}

function placeOf(
  row: ReadRow,
  at: NonNullable<ReadRow['at']>,
  text: string,
  chordsOf: ChordsOf,
  { format, manner }: Reading,
): Place {
  const name = widened(text, at.name, format);
  // What is not written anywhere stands at an empty place, where the record begins.
  const absent = at.keys === null || (at.keys[0] === at.keys[1] && at.whole !== undefined && at.keys[0] <= at.whole[0]);
  const keys = at.keys === null || absent ? ([name[1], name[1]] as const) : widened(text, at.keys, format);
  const raw = text.slice(...keys);
  const gap = /^ */u.exec(text.slice(keys[1], keys[1] + 200))?.[0] ?? '';
  return {
    line: row.line,
    keys,
    name,
    raw,
    own: at.own,
    parts:
      at.commentedOut === 'off' ? partsOfCell(raw, chordsOf(raw, ''), chordsOf) : partsOfCell(raw, at.own, chordsOf),
    apart: at.apart ?? false,
    commentedOut: at.commentedOut ?? null,
    sign: at.commentedOut
      ? signIn(text.slice(lineStart(text, Math.min(name[0], keys[0])), Math.max(name[0], keys[0])))
      : '',
    whole: at.whole ? widened(text, [at.whole[0], trimmedEnd(text, at.whole[1])], 'table') : null,
    gap,
    followed: IN_COLUMNS.has(format) ? followedBy(text, keys[1] + gap.length, gap, format) : null,
    blank: blanksBefore(text, keys[0]),
    absent,
    none: readKeysCell(tidyCell(raw.replace(/^(["'`])(.*)\1$/su, '$2')), manner.dialect, manner).status === 'none',
  };
}

const IN_COLUMNS: ReadonlySet<FormRead> = new Set(['text in columns', 'Markdown', 'bindings', 'table', 'shown']);

function followedBy(text: string, next: number, gap: string, format: FormRead): Place['followed'] {
  if (text[next] !== '|')
    return gap.length > 1 && /[^\r\n]/u.test(text[next] ?? '\n')
      ? format === 'bindings'
        ? 'by blanks'
        : 'by a column'
      : null;
  // Bars stand below each other where the cells of a table are filled up with blanks.
  const start = lineStart(text, next);
  const [above, below] = [lineStart(text, start - 1), lineEnd(text, next) + 1];
  const at = next - start;
  return gap !== '' && start > 0 && text[above + at] === '|' && (text[below] !== '|' || text[below + at] === '|')
    ? 'by a bar'
    : null;
}

function blanksBefore(text: string, at: number): string {
  let from = at;
  while (text[from - 1] === ' ' || text[from - 1] === '\t') from--;
  return text.slice(from, at);
}

/** The end of a part of a text without the blanks at it. */
function trimmedEnd(text: string, end: number): number {
  let to = end;
  while (/\s/u.test(text[to - 1] ?? '')) to--;
  return to;
}

const signIn = (line: string): string => /^\s*((?:#+|"|;+|\/\/|--|!)\s*)/u.exec(line)?.[1] ?? '#';

/** Whether the keys of a property list are written as signs before a key. */
function writesSigns(text: string, rows: readonly ReadRow[]): boolean {
  let [plain, signs] = [0, 0];
  for (const { at } of rows.slice(0, 400)) {
    if (!at?.keys || at.own.length === 0) continue;
    const raw = text.slice(...at.keys);
    const means = (cell: string): boolean => readKeysCell(cell, 'windows').chords[0] === at.own[0];
    if (means(raw)) plain++;
    if (means(signedKeys(raw) ?? raw)) signs++;
  }
  return signs > plain;
}
