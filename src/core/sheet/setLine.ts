import { type MainFace, runsOf, widthOf } from './measure';
import type { Block, Item, SheetLine } from './sheet';
import { wrapText } from './wrapText';

// Lengths below are in multiples of the type size unless they say points.
const ROW = 1.95;
/** From the top of a row to the baseline of its name and its keys. */
const BASELINE = 1.32;
const NAME_LEADING = 1.2;
const CAP_HEIGHT = 1.5;
const CAP_SIZE = 0.9;
const CAP_PAD = 0.42;
const CAP_GAP = 0.18;
const OR_GAP = 0.35;
const DOT_ROOM = 1.15;
const MARK_ROOM = 1.2;
const MARK_SIDE = 0.85;
const BOX_ROOM = 1.4;
const BOX_SIDE = 1;
const NARROWEST_NAME = 5;
const NOTE_SIZE = 0.82;
const NOTE_LEADING = 1.15;

/** What a row of a line shows once it is broken to the column's width. */
export type SetLine = {
  readonly line: SheetLine;
  readonly name: readonly string[];
  readonly keyRows: readonly (readonly (readonly string[])[])[];
  /** Soft words below, broken to the column's width. */
  readonly notes: readonly string[];
  /** Whether the keys stand below the name, and how much they are made smaller where even that is too narrow. */
  readonly below: boolean;
  readonly shrink: number;
  /** Keys in several programs: the rows of each, and how much they are made smaller. */
  readonly columns: readonly { readonly rows: KeyRows; readonly shrink: number }[];
};
type KeyRows = readonly (readonly (readonly string[])[])[];

/** The part of a line's width that its name has beside keys in several programs. */
const NAME_PART = 0.3;

/** Where the columns of several programs begin, as parts of a line's width. */
export function columnsAt(count: number): readonly number[] {
  return Array.from({ length: count }, (_, i) => NAME_PART + (i * (1 - NAME_PART)) / count);
}

function capWidth(cap: string): number {
  return Math.max(widthOf(cap, 'keys') * CAP_SIZE + 2 * CAP_PAD, CAP_HEIGHT * 0.95);
}
function chordWidth(caps: readonly string[]): number {
  return caps.reduce((sum, cap) => sum + capWidth(cap), 0) + CAP_GAP * (caps.length - 1);
}
function keyRowWidth(row: readonly (readonly string[])[]): number {
  return (
    row.reduce((sum, caps) => sum + chordWidth(caps), 0) + (row.length - 1) * (2 * OR_GAP + widthOf('or', 'words'))
  );
}

/** Breaks a line to the width of its column, in multiples of the type size. */
export function breakLine(line: SheetLine, width: number): SetLine {
  if (line.columns) return breakColumns(line, line.columns, width);
  const keyRows = [...rowsOf(line.keys, width), ...rowsOf(line.again ?? [], width)];
  const keysWide = Math.max(0, ...keyRows.map(keyRowWidth));
  const indent = indentOf(line);
  const face = line.changed ? 'bold' : 'words';
  const room = width - indent - keysWide - 0.6;
  const below = keysWide > 0 && room < NARROWEST_NAME;
  const name = wrapText(line.name, face, below ? width - indent : room);
  const notes = (line.notes ?? []).flatMap((note) => wrapText(note, 'words', (width - indent) / NOTE_SIZE));
  const shrink = Math.min(1, width / Math.max(keysWide, 1e-9));
  return { line, name, keyRows, notes, below, shrink, columns: [] };
}

function breakColumns(line: SheetLine, columns: NonNullable<SheetLine['columns']>, width: number): SetLine {
  const room = width * NAME_PART - indentOf(line) - 0.6;
  const each = (width * (1 - NAME_PART)) / columns.length - 0.6;
  return {
    line,
    name: wrapText(line.name, line.changed ? 'bold' : 'words', room),
    keyRows: [],
    notes: (line.notes ?? []).flatMap((note) => wrapText(note, 'words', room / NOTE_SIZE)),
    below: false,
    shrink: 1,
    columns: columns.map((keys) => {
      const rows = rowsOf(keys, each / 0.6);
      return { rows, shrink: Math.min(1, each / Math.max(1e-9, ...rows.map(keyRowWidth))) };
    }),
  };
}

/** Keys in rows of as many as go beside a name. */
function rowsOf(keys: readonly (readonly string[])[], width: number): (readonly string[])[][] {
  const rows: (readonly string[])[][] = [];
  for (const caps of keys) {
    const row = rows.at(-1);
    if (row && keyRowWidth([...row, caps]) <= width * 0.6) row.push(caps);
    else rows.push([caps]);
  }
  return rows;
}

/** The room before a name for what is noted of its line. */
function indentOf({ changed, mark, box }: SheetLine): number {
  return (box ? BOX_ROOM : 0) + (changed ? DOT_ROOM : 0) + (mark ? MARK_ROOM : 0);
}

/** Keys stand level with the last line of the name, so that a broken name is read to its end before them. */
function keysTop({ name, below }: SetLine): number {
  return (below ? name.length : name.length - 1) * NAME_LEADING;
}

function rowsTall(set: SetLine): number {
  if (set.columns.length > 0)
    return Math.max(
      ROW + (set.name.length - 1) * NAME_LEADING,
      ...set.columns.map((one) => Math.max(1, one.rows.length) * ROW),
    );
  return keysTop(set) + Math.max(1, set.keyRows.length) * ROW;
}
function notesTall({ notes }: SetLine): number {
  return notes.length === 0 ? 0 : notes.length * NOTE_LEADING + 0.3;
}

/** The height of a line that was broken, in multiples of the type size. */
export function rowsHeight(set: SetLine): number {
  return rowsTall(set) + notesTall(set);
}

/** A text at its baseline, its letters in the faces that have them. */
export function text(value: string, face: MainFace, size: number, x: number, y: number, soft = false): Item[] {
  let at = x;
  return runsOf(value, face).map((run): Item => {
    const item: Item = {
      kind: 'text',
      x: at,
      y,
      size,
      face: run.face,
      text: run.text,
      width: run.width * size,
      ...(soft ? { soft: true as const } : {}),
    };
    at += run.width * size;
    return item;
  });
}

/** A text cut with an ellipsis where it is wider than it may be, in points. */
export function shorten(value: string, face: MainFace, size: number, width: number): string {
  if (widthOf(value, face) * size <= width) return value;
  const letters = [...value];
  while (letters.length > 1 && widthOf(`${letters.join('')}…`, face) * size > width) letters.pop();
  return `${letters.join('').trimEnd()}…`;
}

/** Keys beside each other from x, in a row whose top is y. @param small the size of what is on and between the caps. */
function keyRow(row: KeyRows[number], x: number, y: number, size: number, small: number): Item[] {
  const items: Item[] = [];
  let at = x;
  row.forEach((caps, i) => {
    if (i > 0) {
      items.push(...text('or', 'words', small, at + OR_GAP * small, y + size * BASELINE, true));
      at += (2 * OR_GAP + widthOf('or', 'words')) * small;
    }
    caps.forEach((cap, c) => {
      const wide = capWidth(cap) * small;
      if (c > 0) at += CAP_GAP * small;
      items.push({ kind: 'cap', x: at, y: y + size * 0.24, width: wide, height: CAP_HEIGHT * size });
      const inner = widthOf(cap, 'keys') * CAP_SIZE * small;
      items.push(...text(cap, 'keys', small * CAP_SIZE, at + (wide - inner) / 2, y + size * BASELINE));
      at += wide;
    });
  });
  return items;
}

/** Draws a line at its place; lengths in points. */
export function lineBlock(set: SetLine, x: number, top: number, width: number, size: number, height: number): Block {
  const items: Item[] = [];
  const indent = indentOf(set.line) * size;
  const baseline = top + size * BASELINE;
  const before = set.line.box ? BOX_ROOM * size : 0;
  if (set.line.box) {
    const side = BOX_SIDE * size;
    items.push({ kind: 'cap', x, y: baseline - side * 0.86, width: side, height: side, strong: true });
  }
  if (set.line.changed)
    items.push({ kind: 'dot', x: x + before + size * 0.4, y: baseline - size * 0.34, radius: size * 0.3 });
  if (set.line.mark) {
    const side = MARK_SIDE * size;
    items.push({ kind: 'mark', x: x + indent - MARK_ROOM * size, y: baseline - side * 0.86, side, ink: set.line.mark });
  }
  set.name.forEach((line, i) => {
    items.push(
      ...text(line, set.line.changed ? 'bold' : 'words', size, x + indent, baseline + i * size * NAME_LEADING),
    );
  });
  const small = size * set.shrink;
  set.keyRows.forEach((row, r) => {
    const left = x + width - keyRowWidth(row) * small;
    items.push(...keyRow(row, left, top + (keysTop(set) + r * ROW) * size, size, small));
  });
  const at = columnsAt(set.columns.length);
  set.columns.forEach(({ rows, shrink }, c) => {
    rows.forEach((row, r) => {
      items.push(...keyRow(row, x + width * (at[c] ?? 0), top + r * ROW * size, size, size * shrink));
    });
  });
  set.notes.forEach((line, i) => {
    const y = top + (rowsTall(set) + i * NOTE_LEADING + 0.62) * size;
    items.push(...text(line, 'words', size * NOTE_SIZE, x + indent, y, true));
  });
  items.push({ kind: 'rule', x, y: top + height, width, weight: 0.5, soft: true });
  return { role: 'line', items };
}
