import { Unzip, UnzipInflate } from 'fflate';
import { SaxesParser, type SaxesTagPlain } from 'saxes';
import { MOST_COLUMNS, MOST_ROWS, type RawRow, type RawTables, type Span, tidyCell, UnreadableList } from '../tables';
import { tooMany } from './tooMany';

/** So much may the parts of a workbook unpack to that are read: several times what 20,000 rows take. */
const MOST_UNPACKED = 48 * 1024 * 1024;
/** Packed so much at a time, of which each byte unpacks to a thousand at most. */
const PACKED_CHUNK = 4096;
/** The most that rows which repeat one after the other are written out to. */
const MOST_REPEATED = 200;

const TOO_LARGE =
  'This workbook unpacks to more than any list of commands needs, so it was left. Save only the list and try again.';
const DAMAGED =
  'This looks like a workbook but is damaged, or locked with a password. Save it again without one and try that.';
const NO_WORKBOOK =
  'This is a packed file, but no workbook that can be read. Save the list as XLSX, ODS or CSV and try that.';

type Cell = { readonly text: string; readonly span: Span };
type SheetRow = { readonly cells: readonly Cell[]; readonly merged: boolean };
type SheetRead = { readonly name: string; readonly part: string; readonly rows: readonly SheetRow[] };

/** Whether bytes are a packed file, as workbooks are. */
export const isPacked = (bytes: Uint8Array): boolean =>
  bytes[0] === 0x50 && bytes[1] === 0x4b && (bytes[2] === 3 || bytes[2] === 5);

/**
 * The sheets of a workbook (Office Open XML as in ECMA-376, or OpenDocument as in ISO 26300), each a table; the place of a
 * cell is where its element stands in its part of the file.
 * @throws UnreadableList where it is none, is damaged, or unpacks to more than any list needs.
 */
export function readWorkbook(bytes: Uint8Array): RawTables {
  const parts = unpacked(bytes);
  const sheets = parts.has('content.xml') ? sheetsOfDocument(parts) : sheetsOfBook(parts);
  const filled = sheets.filter(({ rows }) => rows.some((row) => row.cells.some((cell) => cell.text !== '')));
  let line = 0;
  return {
    title: null,
    format: 'workbook',
    tables: filled.map(({ name, part, rows }) => ({
      headings: filled.length > 1 ? [tidyCell(name)] : [],
      part,
      rows: rows.flatMap(({ cells, merged }): RawRow[] => {
        line++;
        const own = cells.slice(0, MOST_COLUMNS);
        if (!own.some((cell) => cell.text !== '')) return [];
        if (line > MOST_ROWS) throw new UnreadableList(tooMany);
        return [{ line, cells: own.map((cell) => cell.text), spans: own.map((cell) => cell.span), heading: merged }];
      }),
    })),
  };
}

const READ =
  /^(?:content\.xml|xl\/(?:workbook|sharedStrings)\.xml|xl\/_rels\/workbook\.xml\.rels|xl\/worksheets\/[^/]+\.xml)$/u;

/** The parts of a workbook that are read, unpacked bit by bit, so that it is left where it grows too large. */
function unpacked(bytes: Uint8Array): ReadonlyMap<string, readonly Uint8Array[]> {
  const parts = new Map<string, Uint8Array[]>();
  let size = 0;
  let open = 0;
  let trouble: string | null = null;
  const unzip = new Unzip((file) => {
    if (!READ.test(file.name) || parts.has(file.name)) return;
    const chunks: Uint8Array[] = [];
    parts.set(file.name, chunks);
    open++;
    file.ondata = (error, data, final) => {
      size += data?.length ?? 0;
      // What is thrown here comes back as an error of the package's own: the first one is meant.
      trouble ??= size > MOST_UNPACKED ? TOO_LARGE : error ? DAMAGED : null;
      if (trouble !== null) throw new UnreadableList(trouble);
      if (data.length > 0) chunks.push(data);
      if (final) open--;
    };
    file.start();
  });
  unzip.register(UnzipInflate);
  try {
    for (let from = 0; from < bytes.length; from += PACKED_CHUNK)
      unzip.push(bytes.subarray(from, from + PACKED_CHUNK), from + PACKED_CHUNK >= bytes.length);
  } catch (error) {
    throw error instanceof UnreadableList ? error : new UnreadableList(trouble ?? DAMAGED);
  }
  if (trouble !== null) throw new UnreadableList(trouble);
  if (open > 0 || !endsAsPacked(bytes)) throw new UnreadableList(DAMAGED);
  if (!parts.has('content.xml') && !parts.has('xl/workbook.xml')) throw new UnreadableList(NO_WORKBOOK);
  return parts;
}

/** Whether a packed file has what its end is told by, in the last 64 KB as its form says. */
function endsAsPacked(bytes: Uint8Array): boolean {
  for (let at = bytes.length - 22; at >= Math.max(0, bytes.length - 65_557); at--)
    if (bytes[at] === 0x50 && bytes[at + 1] === 0x4b && bytes[at + 2] === 5 && bytes[at + 3] === 6) return true;
  return false;
}

type Heard = {
  readonly open: (tag: SaxesTagPlain, at: number) => void;
  readonly text?: (text: string) => void;
  readonly close?: (name: string, at: number) => void;
};

/** Hears the elements and texts of a part one after the other, so that no tree of it is built. */
function hear(chunks: readonly Uint8Array[] | undefined, { open, text, close }: Heard): void {
  if (!chunks) return;
  const parser = new SaxesParser({ position: true });
  parser.on('error', () => {
    throw new UnreadableList(DAMAGED);
  });
  // A tag has been read when it is heard; where it begins was noted at its sign.
  let begun = 0;
  parser.on('opentagstart', (tag) => {
    begun = parser.position - tag.name.length - 2;
  });
  parser.on('opentag', (tag) => open(tag as SaxesTagPlain, begun));
  if (text) {
    parser.on('text', text);
    parser.on('cdata', text);
  }
  if (close) parser.on('closetag', (tag) => close(tag.name, parser.position));
  const decoder = new TextDecoder('utf-8');
  for (const chunk of chunks) parser.write(decoder.decode(chunk, { stream: true }));
  parser.close();
}

const plain = (name: string): string => name.slice(name.indexOf(':') + 1);
const attribute = ({ attributes }: SaxesTagPlain, name: string): string | undefined => attributes[name];

/** The sheets of an Office Open XML workbook that are shown, in its order. */
function sheetsOfBook(parts: ReadonlyMap<string, readonly Uint8Array[]>): SheetRead[] {
  const targets = new Map<string, string>();
  hear(parts.get('xl/_rels/workbook.xml.rels'), {
    open: (tag) => {
      const target = attribute(tag, 'Target') ?? '';
      targets.set(attribute(tag, 'Id') ?? '', target.startsWith('/') ? target.slice(1) : `xl/${target}`);
    },
  });
  const named: { name: string; part: string }[] = [];
  hear(parts.get('xl/workbook.xml'), {
    open: (tag) => {
      if (plain(tag.name) !== 'sheet' || /hidden/iu.test(attribute(tag, 'state') ?? '')) return;
      const id = Object.entries(tag.attributes).find(([name]) => plain(name) === 'id')?.[1];
      named.push({ name: attribute(tag, 'name') ?? '', part: targets.get(`${id}`) ?? '' });
    },
  });
  const texts = sharedTexts(parts.get('xl/sharedStrings.xml'));
  if (named.some(({ part }) => !parts.has(part))) throw new UnreadableList(DAMAGED);
  return named.map(({ name, part }) => ({ name, part, rows: rowsOfSheet(parts.get(part), texts) }));
}

/** The texts that cells of several sheets share; how they are said aloud is left out. */
function sharedTexts(bytes: readonly Uint8Array[] | undefined): readonly string[] {
  const texts: string[] = [];
  let [own, inText, aside] = ['', false, false];
  hear(bytes, {
    open: (tag) => {
      const name = plain(tag.name);
      if (name === 'si') own = '';
      else if (name === 'rPh') aside = true;
      else if (name === 't') inText = true;
    },
    text: (text) => {
      if (inText && !aside && own.length < 4000) own += text;
    },
    close: (full) => {
      const name = plain(full);
      if (name === 'si') texts.push(tidyCell(own));
      else if (name === 'rPh') aside = false;
      else if (name === 't') inText = false;
    },
  });
  return texts;
}

function rowsOfSheet(bytes: readonly Uint8Array[] | undefined, texts: readonly string[]): SheetRow[] {
  const rows: { cells: Cell[]; merged: boolean; number: number; end: number }[] = [];
  const merged = new Set<number>();
  let [value, inValue, type, column, start] = ['', false, '', 0, 0];
  hear(bytes, {
    open: (tag, at) => {
      const name = plain(tag.name);
      if (name === 'row') {
        if (rows.length > MOST_ROWS) throw new UnreadableList(tooMany);
        rows.push({ cells: [], merged: false, number: Number(attribute(tag, 'r') ?? rows.length + 1), end: 0 });
        column = 0;
      } else if (name === 'c') {
        const letters = /^[A-Z]{1,3}/u.exec(attribute(tag, 'r') ?? '')?.[0];
        if (letters !== undefined) column = columnOf(letters);
        [value, type, start] = ['', attribute(tag, 't') ?? 'n', at];
      } else if (name === 'v' || name === 't') inValue = true;
      else if (name === 'mergeCell') {
        const [, from, row, to, lower] = /^([A-Z]+)(\d+):([A-Z]+)(\d+)$/u.exec(attribute(tag, 'ref') ?? '') ?? [];
        if (from !== to && row === lower) merged.add(Number(row));
      }
    },
    text: (text) => {
      if (inValue && value.length < 4000) value += text;
    },
    close: (full, at) => {
      const name = plain(full);
      if (name === 'v' || name === 't') inValue = false;
      else if (name === 'row') {
        const row = rows.at(-1);
        if (row) row.end = at - full.length - 3;
      } else if (name === 'c') {
        const cells = rows.at(-1)?.cells;
        const text = type === 's' ? (texts[Number(value)] ?? '') : type === 'e' ? '' : tidyCell(value);
        if (cells && column < MOST_COLUMNS) {
          while (cells.length < column) cells.push({ text: '', span: [start, start] });
          cells[column] = { text, span: [start, at] };
        }
        column++;
      }
    },
  });
  // What a row leaves out at its end would stand there.
  const width = rows.reduce((most, { cells }) => Math.max(most, cells.length), 0);
  for (const { cells, end } of rows)
    while (end > 0 && cells.length > 0 && cells.length < width) cells.push({ text: '', span: [end, end] });
  return rows.map(({ cells, number }) => ({ cells, merged: merged.has(number) && filledIn(cells) === 1 }));
}
const filledIn = (cells: readonly Cell[]): number => cells.filter((cell) => cell.text !== '').length;

/** The number of a column from 0, by its letters. */
const columnOf = (letters: string): number =>
  [...letters].reduce((sum, letter) => 26 * sum + letter.charCodeAt(0) - 64, 0) - 1;

/** The sheets of an OpenDocument spreadsheet. */
function sheetsOfDocument(parts: ReadonlyMap<string, readonly Uint8Array[]>): SheetRead[] {
  const sheets: { name: string; part: string; rows: SheetRow[] }[] = [];
  let cells: Cell[] = [];
  let [text, paragraphs, repeated, rowsRepeated, start, across, aside] = ['', 0, 1, 1, 0, 1, 0];
  let [inText, merged] = [0, false];
  const times = (tag: SaxesTagPlain, name: string): number => Math.max(1, Number(attribute(tag, name) ?? 1) || 1);
  hear(parts.get('content.xml'), {
    open: (tag, at) => {
      if (tag.name === 'table:table')
        sheets.push({ name: attribute(tag, 'table:name') ?? '', part: 'content.xml', rows: [] });
      else if (tag.name === 'table:table-row') {
        [cells, merged, rowsRepeated] = [[], false, times(tag, 'table:number-rows-repeated')];
      } else if (/^table:(?:covered-)?table-cell$/u.test(tag.name)) {
        [text, paragraphs, start] = ['', 0, at];
        repeated = times(tag, 'table:number-columns-repeated');
        across = times(tag, 'table:number-columns-spanned');
      } else if (tag.name === 'office:annotation') aside++;
      else if (tag.name === 'text:p' || tag.name === 'text:h') {
        if (paragraphs++ > 0) text += '\n';
        inText++;
      } else if (tag.name === 'text:s') text += ' ';
      else if (tag.name === 'text:tab') text += '\t';
      else if (tag.name === 'text:line-break') text += '\n';
    },
    text: (own) => {
      if (inText > 0 && aside === 0 && text.length < 4000) text += own;
    },
    close: (name, at) => {
      if (name === 'office:annotation') aside--;
      else if (name === 'text:p' || name === 'text:h') inText--;
      else if (/^table:(?:covered-)?table-cell$/u.test(name)) {
        const cell: Cell = { text: tidyCell(text), span: [start, at] };
        if (cell.text !== '' && across > 1) merged = true;
        for (let i = 0; i < repeated && cells.length < MOST_COLUMNS; i++) cells.push(cell);
      } else if (name === 'table:table-row') {
        const rows = sheets.at(-1)?.rows;
        const filled = filledIn(cells);
        if (!rows) return;
        if (rows.length > MOST_ROWS) throw new UnreadableList(tooMany);
        for (let i = 0; i < Math.min(rowsRepeated, filled > 0 ? MOST_REPEATED : 1); i++)
          rows.push({ cells, merged: merged && filled === 1 });
      }
    },
  });
  return sheets;
}
