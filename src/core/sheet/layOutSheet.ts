import { counted } from '../text/sentence';
import { balanceColumns, type Flowing, type Placed, pagesOf } from './flowColumns';
import { canSet, type MainFace, runsOf, widthOf } from './measure';
import {
  type Block,
  type Item,
  PAPERS,
  type Page,
  type Paper,
  type SheetContents,
  type SheetLayout,
  type SheetLine,
  type Way,
} from './sheet';
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
const NARROWEST_NAME = 5;
const HEADING = 2.3;
const GROUP_GAP = 0.9;
const GUTTER = 2.6;
const MARGIN_POINTS = 34;
const LARGEST = 11;
/** Type is not set smaller than this to save a page; below 6.5 pt paper is hard to read. */
const SMALLEST_ONE_PAGE = 7.5;
const SEVERAL_PAGES = 9;

/** What a row of a line shows once it is broken to the column's width. */
type SetLine = {
  readonly line: SheetLine;
  readonly name: readonly string[];
  readonly keyRows: readonly (readonly (readonly string[])[])[];
  /** Whether the keys stand below the name, and how much they are made smaller where even that is too narrow. */
  readonly below: boolean;
  readonly shrink: number;
};
type Piece = Flowing & { readonly set: SetLine | null; readonly title: string };

/**
 * Sets a sheet on paper: the largest type, up to 11 pt, at which all fits one page in one to four columns; if even
 * 7.5 pt does not, 9 pt on as many pages as it takes. Columns of the last page are evened out.
 *
 * @param date as it is to stand in the footer.
 */
export function layOutSheet(contents: SheetContents, paper: Paper, way: Way, date: string): SheetLayout {
  const upright = PAPERS[paper];
  const [width, height] = way === 'across' ? [upright.height, upright.width] : [upright.width, upright.height];
  const most = way === 'across' ? 4 : 3;
  let best: Fit | null = null;
  for (let columns = 1; columns <= most; columns++) {
    const fit = largestOnOnePage(contents, width, height, columns);
    if (fit && (!best || fit.size > best.size + 0.05)) best = fit;
  }
  best ??= fitAt(contents, width, height, most, SEVERAL_PAGES);
  return assemble(contents, width, height, best, date);
}

type Fit = {
  readonly columns: number;
  readonly size: number;
  readonly pieces: readonly Piece[];
  readonly placed: readonly Placed[];
};

function largestOnOnePage(contents: SheetContents, width: number, height: number, columns: number): Fit | null {
  // The rows alone tell soon when there are far too many for a page.
  const lines = contents.groups.reduce((sum, group) => sum + group.lines.length, 0);
  if (lines * ROW * SMALLEST_ONE_PAGE > columns * height) return null;
  let found: Fit | null = null;
  let low = SMALLEST_ONE_PAGE;
  let high = LARGEST;
  for (let size = high, step = 0; step < 7; step++, size = (low + high) / 2) {
    const fit = fitAt(contents, width, height, columns, step === 0 ? LARGEST : Math.floor(size * 10) / 10);
    if (pagesOf(fit.placed) === 1) {
      found = fit;
      low = fit.size;
      if (step === 0) break;
    } else high = fit.size;
  }
  return found;
}

function fitAt(contents: SheetContents, width: number, height: number, columns: number, size: number): Fit {
  const columnWidth = (width - 2 * MARGIN_POINTS - (columns - 1) * GUTTER * size) / columns / size;
  const pieces: Piece[] = contents.groups.flatMap((group, g): Piece[] => [
    { height: HEADING * size, heading: true, group: g, set: null, title: group.title },
    ...group.lines.map((line): Piece => {
      const set = breakLine(line, columnWidth);
      return { height: rowsHeight(set) * size, heading: false, group: g, set, title: '' };
    }),
  ]);
  const heights = (page: number) => height - MARGIN_POINTS * 2 - headHeight(contents, page) - 18;
  return { columns, size, pieces, placed: balanceColumns(pieces, columns, heights, GROUP_GAP * size) };
}

/** Points taken by the title and its notes: on the first page whole, on later ones a single small line. */
function headHeight(contents: SheetContents, page: number): number {
  return page > 0 ? 20 : contents.notes.length > 0 ? 58 : 42;
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

function breakLine(line: SheetLine, width: number): SetLine {
  const keyRows: (readonly string[])[][] = [];
  for (const caps of line.keys) {
    const row = keyRows.at(-1);
    if (row && keyRowWidth([...row, caps]) <= width * 0.6) row.push(caps);
    else keyRows.push([caps]);
  }
  const keysWide = Math.max(0, ...keyRows.map(keyRowWidth));
  const indent = indentOf(line);
  const face = line.changed ? 'bold' : 'words';
  const room = width - indent - keysWide - 0.6;
  const below = keysWide > 0 && room < NARROWEST_NAME;
  const name = wrapText(line.name, face, below ? width - indent : room);
  return { line, name, keyRows, below, shrink: Math.min(1, width / Math.max(keysWide, 1e-9)) };
}

/** The room before a name for what is noted of its line. */
function indentOf({ changed, mark }: SheetLine): number {
  return (changed ? DOT_ROOM : 0) + (mark ? MARK_ROOM : 0);
}

/** Keys stand level with the last line of the name, so that a broken name is read to its end before them. */
function keysTop({ name, below }: SetLine): number {
  return (below ? name.length : name.length - 1) * NAME_LEADING;
}

function rowsHeight(set: SetLine): number {
  return keysTop(set) + Math.max(1, set.keyRows.length) * ROW;
}

function assemble(contents: SheetContents, width: number, height: number, fit: Fit, date: string): SheetLayout {
  const { size, columns, placed, pieces } = fit;
  const count = pagesOf(placed);
  const columnWidth = (width - 2 * MARGIN_POINTS - (columns - 1) * GUTTER * size) / columns;
  const pages: Block[][] = Array.from({ length: count }, (_, page) => head(contents, page));
  let lines = 0;
  for (const { piece, page, column, y, again } of placed) {
    const one = pieces[piece];
    if (!one) continue;
    const x = MARGIN_POINTS + column * (columnWidth + GUTTER * size);
    const top = MARGIN_POINTS + headHeight(contents, page) + y;
    if (one.set) lines++;
    pages[page]?.push(
      one.set
        ? lineBlock(one.set, x, top, columnWidth, size, one.height)
        : headingBlock(one.title, again, x, top, columnWidth, size),
    );
  }
  const letters = [
    contents.title,
    ...contents.groups.flatMap((g) => [g.title, ...g.lines.flatMap((l) => [l.name, ...l.keys.flat()])]),
  ];
  const missing = letters.filter((text) => !canSet(text, 'words')).length;
  return {
    width,
    height,
    columns,
    size,
    lines,
    pages: pages.map(
      (blocks, page): Page => ({ blocks: [...blocks, footer(contents, date, page, count, width, height)] }),
    ),
    warnings:
      missing > 0
        ? [`${counted(missing, 'text has', 'texts have')} letters that the sheet's fonts lack; a box stands for each.`]
        : [],
  };
}

function text(value: string, face: MainFace, size: number, x: number, y: number, soft = false): Item[] {
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

function shorten(value: string, face: MainFace, size: number, width: number): string {
  if (widthOf(value, face) * size <= width) return value;
  const letters = [...value];
  while (letters.length > 1 && widthOf(`${letters.join('')}…`, face) * size > width) letters.pop();
  return `${letters.join('').trimEnd()}…`;
}

function head(contents: SheetContents, page: number): Block[] {
  if (page > 0)
    return [
      {
        role: 'note',
        items: text(shorten(contents.title, 'bold', 9, 500), 'bold', 9, MARGIN_POINTS, MARGIN_POINTS + 8),
      },
    ];
  const title: Block = {
    role: 'title',
    items: text(shorten(contents.title, 'bold', 18, 520), 'bold', 18, MARGIN_POINTS, MARGIN_POINTS + 17),
  };
  let x = MARGIN_POINTS;
  const notes = contents.notes.flatMap((note, i): Item[] => {
    const dot: Item[] =
      i === 0 && note.startsWith('●') ? [{ kind: 'dot', x: x + 3, y: MARGIN_POINTS + 32.2, radius: 2.7 }] : [];
    const words = note.replace(/^● ?/, '');
    const at = x + (dot.length > 0 ? 10 : 0);
    x = at + widthOf(words, 'words') * 9 + 16;
    return [...dot, ...text(words, 'words', 9, at, MARGIN_POINTS + 35, true)];
  });
  return notes.length > 0 ? [title, { role: 'note', items: notes }] : [title];
}

function headingBlock(title: string, again: boolean, x: number, top: number, width: number, size: number): Block {
  const words = shorten(again ? `${title} (continued)` : title, 'bold', size * 1.05, width);
  return {
    role: 'heading',
    items: [
      ...text(words, 'bold', size * 1.05, x, top + size * 1.35),
      { kind: 'rule', x, y: top + size * 1.95, width, weight: 1.2 },
    ],
  };
}

function lineBlock(set: SetLine, x: number, top: number, width: number, size: number, height: number): Block {
  const items: Item[] = [];
  const indent = indentOf(set.line) * size;
  const baseline = top + size * BASELINE;
  if (set.line.changed) items.push({ kind: 'dot', x: x + size * 0.4, y: baseline - size * 0.34, radius: size * 0.3 });
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
    let at = x + width - keyRowWidth(row) * small;
    const y = top + (keysTop(set) + r * ROW) * size;
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
  });
  items.push({ kind: 'rule', x, y: top + height, width, weight: 0.5, soft: true });
  return { role: 'line', items };
}

function footer(
  contents: SheetContents,
  date: string,
  page: number,
  count: number,
  width: number,
  height: number,
): Block {
  const y = height - MARGIN_POINTS + 4;
  const right = `${date} · ${page + 1} of ${count}`;
  return {
    role: 'footer',
    items: [
      ...text(shorten(contents.footer, 'words', 7.5, width / 2), 'words', 7.5, MARGIN_POINTS, y, true),
      ...text(right, 'words', 7.5, width - MARGIN_POINTS - widthOf(right, 'words') * 7.5, y, true),
    ],
  };
}
