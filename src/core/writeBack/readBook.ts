import { strFromU8, strToU8, type Unzipped, unzipSync, type Zippable, zipSync } from 'fflate';
import type { Choices } from '../reading/choices';
import { type Corrections, correctRows } from '../reading/correctRows';
import { readWorkbook } from '../reading/forms/readWorkbook';
import { type Reading, readTables } from '../reading/readCommandList';
import type { ReadRow } from '../reading/readTable';
import { placeOfKey } from '../reading/rowKey';
import { type Span, UnreadableList } from '../reading/tables';
import type { TextEdit } from './edits';
import { placesOf } from './placesOf';
import type { SourceText } from './sourceText';

/** So much may all parts of a workbook unpack to together for it to be packed again, in the memory a thread has. */
const MOST_UNPACKED = 24 * 1024 * 1024;

/** A cell of a workbook that holds keys, or is to: its element, or the place before which it stands. */
type BookCell = { readonly part: string; readonly element: Span; readonly column: number };

/**
 * Understands a workbook so that keys can be written into it, as a text of one line a row, its name and keys; what is
 * edited in that is put into the cells. @throws UnreadableList where it is none.
 */
export function readBook(
  bytes: Uint8Array,
  choices: Choices,
  corrections: Corrections = {},
  as?: SourceText,
): SourceText {
  const how = as ? { ...choices, roles: as.reading.groups.map((one) => one.roles) } : choices;
  const read = readTables(readWorkbook(bytes), how, as?.reading);
  const rows = correctRows(read.rows, as ? byLine(read.rows, corrections) : corrections);
  const cells: { readonly keys: Span; readonly cell: BookCell }[] = [];
  let known: Unpacked | null = null;
  const unpacked = (): Unpacked => {
    known ??= unpack(bytes);
    return known;
  };
  let text = '';
  const laid = rows.map((row): ReadRow => {
    const { at } = row;
    const name = row.cells.join(' \t ');
    if (!at?.part || !at.cell) {
      text += `${name}\n`;
      return { ...row, at: null };
    }
    const called = row.command?.name ?? name;
    const from = text.length;
    const keys: Span = [from + called.length + 1, from + called.length + 1 + at.cell.text.length];
    text += `${called}\t${at.cell.text}\n`;
    if (at.keys) cells.push({ keys, cell: { part: at.part, element: at.keys, column: at.cell.column } });
    return { ...row, at: { ...at, name: [from, from + called.length], keys: at.keys ? keys : null } };
  });
  const reading: Reading = { ...read, rows: laid };
  return {
    text,
    reading,
    places: placesOf(text, reading),
    choices,
    corrections,
    pack: (edits) => packed(unpacked, text, cells, edits),
  };
}

/** What was said of rows of an earlier state of a workbook, whose cells stood elsewhere in its parts. */
function byLine(rows: readonly ReadRow[], corrections: Corrections): Corrections {
  const said = new Map(Object.entries(corrections).map(([key, one]) => [placeOfKey(key).line, one]));
  return Object.fromEntries(
    rows.flatMap(({ line, key }) => {
      const one = said.get(line);
      return one ? [[key, one] as const] : [];
    }),
  );
}

/** A workbook with the cells that edits touch written anew; null where one can't be. */
function packed(
  unpacked: () => Unpacked,
  text: string,
  cells: readonly { readonly keys: Span; readonly cell: BookCell }[],
  edits: readonly TextEdit[],
): Uint8Array | null {
  const changes = new Map<string, { readonly element: Span; readonly column: number; readonly text: string }[]>();
  for (const one of edits) {
    const found = cells.find(({ keys: [from, to] }) => one.from >= from && one.to <= to);
    if (!found) return null;
    const [from, to] = found.keys;
    const written = text.slice(from, one.from) + one.text + text.slice(one.to, to);
    const { part, element, column } = found.cell;
    changes.set(part, [...(changes.get(part) ?? []), { element, column, text: written }]);
  }
  const { parts, levels } = unpacked();
  const all: Zippable = {};
  for (const [name, part] of Object.entries(parts)) {
    const own = changes.get(name);
    const written = own ? withCells(strFromU8(part), own) : part;
    if (written === null) return null;
    all[name] = [written, { level: levels.get(name) ?? 6, mtime: PACKED_AT }];
  }
  return zipSync(all);
}

/** All parts of a workbook, and how they were packed. */
type Unpacked = { readonly parts: Unzipped; readonly levels: ReadonlyMap<string, 0 | 6> };

/** @throws UnreadableList where they are more than may be packed again, or not what they say. */
function unpack(bytes: Uint8Array): Unpacked {
  const levels = new Map<string, 0 | 6>();
  let size = 0;
  try {
    const parts = unzipSync(bytes, {
      filter: ({ name, originalSize, compression }) => {
        size += originalSize;
        levels.set(name, compression === 0 ? 0 : 6);
        return size <= MOST_UNPACKED;
      },
    });
    if (size <= MOST_UNPACKED) return { parts, levels };
  } catch {
    throw new UnreadableList(
      'A part of this workbook is damaged, so it can’t be packed again. Save it anew and try that.',
    );
  }
  throw new UnreadableList(
    'This workbook holds too much beside its list to be packed again. Save only the list and try that.',
  );
}
/** The first day packed files know; when they were packed is nobody's business. */
const PACKED_AT = '1980-01-02T00:00:00';

/** A part of a workbook with other texts in some of its cells; null where one of these stands for several. */
function withCells(
  text: string,
  cells: readonly { readonly element: Span; readonly column: number; readonly text: string }[],
): Uint8Array | null {
  let result = '';
  let at = 0;
  for (const one of [...cells].sort((a, b) => a.element[0] - b.element[0])) {
    const [from, to] = one.element;
    if (from < at) return null;
    const written = from === to ? newCell(text, from, one) : cellWith(text.slice(from, to), one.text);
    if (written === null) return null;
    result += text.slice(at, from) + written;
    at = to;
  }
  return strToU8(result + text.slice(at));
}

const escaped = (text: string): string =>
  text.replace(/[<>&]/gu, (sign) => ({ '<': '&lt;', '>': '&gt;', '&': '&amp;' })[sign] ?? sign);

/** The element of a cell with another text, its style and place kept. */
function cellWith(element: string, text: string): string | null {
  const tag = /^<([\w:.-]{1,40})((?:\s[^<>]{0,2000})?)>/u.exec(element);
  const [, name = '', all = ''] = tag ?? [];
  if (name === '') return null;
  const attributes = [...all.matchAll(/\s([\w:.-]{1,60})="([^"]{0,400})"/gu)].map(([, key = '', value = '']) => [
    key,
    value,
  ]);
  const kept = (gone: RegExp): string =>
    attributes.flatMap(([key = '', value]) => (gone.test(key) ? [] : [` ${key}="${value}"`])).join('');
  if (name.endsWith('table-cell')) {
    if (attributes.some(([key, value]) => key === 'table:number-columns-repeated' && Number(value) > 1)) return null;
    const style = kept(/^(?:office:|calcext:)/u);
    return text === ''
      ? `<${name}${style}/>`
      : `<${name}${style} office:value-type="string"><text:p>${escaped(text)}</text:p></${name}>`;
  }
  const prefix = name.slice(0, name.lastIndexOf(':') + 1);
  const style = kept(/^t$/u);
  return text === ''
    ? `<${name}${style}/>`
    : `<${name}${style} t="inlineStr"><${prefix}is><${prefix}t xml:space="preserve">${escaped(text)}</${prefix}t></${prefix}is></${name}>`;
}

/** A cell that stands nowhere yet, in its row. */
function newCell(
  part: string,
  at: number,
  { column, text }: { readonly column: number; readonly text: string },
): string | null {
  const row = part.lastIndexOf('<row', at);
  const number = /^<row\s[^<>]{0,400}?\br="(\d{1,7})"/u.exec(part.slice(row, row + 420))?.[1];
  if (row < 0 || number === undefined) return null;
  return cellWith(`<c r="${letters(column)}${number}">`, text);
}

/** The letters of a column by its number from 0. */
const letters = (column: number): string =>
  column < 26 ? String.fromCharCode(65 + column) : letters(Math.floor(column / 26) - 1) + letters(column % 26);
