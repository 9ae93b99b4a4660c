import { tooMany } from '../forms/tooMany';
import { MOST_ROWS, UnreadableList } from '../tables';
import { type Flow, flowsOf } from './flowsOf';
import { linesOfPage } from './linesOfPage';
import { type Piece, type PrintedLine, type PrintedPage, printsKeys, type Stretch } from './printed';

/** A row of a flow: what stands in each of its bands, or side by side in its one band. */
type Row = { readonly cells: (Piece | null)[]; readonly placed: boolean };

/** Lines nearer to each other than this part of what rows mostly are apart belong to one row. */
const [NEAR, EQUAL] = [0.78, 1.05];
/** Type so much larger than that of names is that of a heading. */
const LARGER = 1.04;
/** In a list of names with capitals, fewer begin with a small letter than this part of its lines. */
const [BEGINS_SMALL, FEW_SMALL] = [/^\p{Ll}/u, 0.2];
const LONGEST_CELL = 90;
/** So many lines at the top and at the bottom of a page may stand on all of them. */
const EDGE = 3;
const BETWEEN = '   ';
/** What a heading says that stands once more where its list goes on. */
const CONTINUED = /[([](?:continued|cont(?:inued)?\.?|forts(?:etzung|\.)?|fortgesetzt|suite|continuaci[oó]n)[)\]]$/iu;

/**
 * The text of printed pages as plain text in columns, which is read as any other: list after list instead of line across
 * line, what is broken in two put together, headings with a colon.
 * @throws UnreadableList for more rows than a list may have.
 */
export function printedText(pages: readonly PrintedPage[]): string {
  const sections = withoutRunning(pages.map(linesOfPage)).flatMap(sectionsOf);
  const usual = usualOf(sections.flat());
  const written: string[] = [];
  let last = '';
  for (const rows of sections) {
    if (written.length > 10 * MOST_ROWS) throw new UnreadableList(tooMany);
    const widths = (rows[0]?.cells ?? []).map((_, i) =>
      rows.reduce((most, row) => Math.max(most, lengthOf(row.cells[i])), 0),
    );
    for (const row of rows) {
      const [only] = row.cells.filter((one) => one !== null);
      const alone = row.cells.filter((one) => one !== null).length === 1;
      if (only && alone && isHeading(only, usual)) {
        const heading = only.text.replace(CONTINUED, '').trimEnd().replace(/:$/u, '');
        if (heading !== last) written.push('', `${heading}:`);
        last = heading;
      } else written.push(textOf(row, widths));
    }
    written.push('');
  }
  return written.join('\n');
}

const lengthOf = (cell: Piece | null | undefined): number => Math.min(LONGEST_CELL, cell?.text.length ?? 0);

function textOf({ cells, placed }: Row, widths: readonly number[]): string {
  if (!placed) return cells.flatMap((one) => one?.text ?? []).join(BETWEEN);
  return cells
    .map((one, i) => (one?.text ?? '').padEnd(widths[i] ?? 0))
    .join(BETWEEN)
    .trimEnd();
}

/** The rows of a page, flow by flow; what reaches across several of them stands between what is above and below it. */
function sectionsOf(lines: readonly PrintedLine[]): readonly (readonly Row[])[] {
  const flows = flowsOf(lines);
  const sections: Row[][] = [];
  let parts: PrintedLine[][] = flows.map(() => []);
  const end = (): void => {
    flows.forEach((flow, f) => {
      const rows = rowsOf(parts[f] ?? [], flow);
      if (rows.length > 0) sections.push(rows);
    });
    parts = flows.map(() => []);
  };
  for (const { y, pieces } of lines) {
    const of = pieces.map((one) => flowOf(one, flows));
    const within = (f: number): Piece[] => pieces.filter((_, i) => of[i] === f);
    const across = within(ACROSS);
    if (across.length > 0) {
      end();
      sections.push([{ cells: across, placed: false }]);
    }
    flows.forEach((_, f) => {
      const own = within(f);
      // Lists side by side have lines of their own, which meet on one by chance.
      if (own.length > 0) parts[f]?.push({ y: own[0]?.y ?? y, pieces: own });
    });
  }
  end();
  return sections;
}

const ACROSS = -1;
/** The flow a piece stands in, or nearest to; ACROSS for what reaches over several. */
function flowOf(piece: Piece, flows: readonly Flow[]): number {
  const within = flows.map(({ bands }) => Math.max(...bands.map((band) => shared(piece, band))));
  if (within.filter((one) => one > 0).length > 1) return ACROSS;
  return within.indexOf(Math.max(...within));
}
/** How much of a piece stands in a band, in points; under zero, how far it is from it. */
const shared = ({ x, end }: Piece, { from, to }: Stretch): number => Math.min(end, to) - Math.max(x, from);

function rowsOf(own: readonly PrintedLine[], { bands, placed }: Flow): Row[] {
  const apart = own.slice(1).map(({ y }, i) => y - (own[i]?.y ?? 0));
  const usual = apart.toSorted((a, b) => a - b)[apart.length >> 1] ?? 0;
  const small = own.filter(({ pieces }) => BEGINS_SMALL.test(nameIn(pieces)?.text ?? '')).length;
  const of: Manner = { capitals: small < FEW_SMALL * own.length, keysFirst: hasKeysFirst(own) };
  const rows: Row[] = [];
  own.forEach(({ y, pieces }, i) => {
    const above = rows.at(-1);
    const goesOn = above && continues(pieces, above, (y - (own[i - 1]?.y ?? 0)) / usual, of);
    const cells = goesOn ? above.cells : placed ? bands.map(() => null) : [];
    // A word of a name may be one for a key as well, where other keys stand beside it.
    const hasKeys = pieces.length > 1 || cells.some((one) => one !== null && printsKeys(one.text));
    for (const piece of pieces) {
      const below = placed ? bandOf(piece, bands) : cells.findIndex((one) => one !== null && overlap(one, piece));
      const at = goesOn ? cellOf(piece, cells, below) : below;
      const before = cells[at];
      const alike =
        !before ||
        printsKeys(before.text) === printsKeys(piece.text) ||
        (hasKeys && before.font === piece.font && before.size === piece.size);
      const free = alike ? at : cells.indexOf(null);
      if (free < 0) cells.push(piece);
      else cells[free] = alike && before ? { ...before, text: `${before.text} ${piece.text}` } : piece;
    }
    if (!placed) cells.sort((one, other) => (one?.x ?? 0) - (other?.x ?? 0));
    if (!goesOn) rows.push({ cells, placed });
  });
  return rows;
}

/** How a list is written: whether its names begin with capitals, and whether keys stand before them. */
type Manner = { readonly capitals: boolean; readonly keysFirst: boolean };
const nameIn = (pieces: readonly (Piece | null)[]): Piece | undefined =>
  pieces.find((one) => one !== null && !printsKeys(one.text)) ?? undefined;
const hasKeysFirst = (own: readonly PrintedLine[]): boolean => {
  const rows = own.filter(({ pieces }) => pieces.length > 1 && pieces.some((one) => printsKeys(one.text)));
  return rows.filter(({ pieces }) => printsKeys(pieces[0]?.text ?? '')).length > 0.8 * rows.length;
};
/** Which cell of a row a piece of the next line goes on with: the one above it, or the name where that has keys. */
function cellOf(piece: Piece, cells: readonly (Piece | null)[], above: number): number {
  const ofKeys = printsKeys(cells[above]?.text ?? '') && !printsKeys(piece.text);
  const name = cells.findIndex((one) => one !== null && !printsKeys(one.text));
  return ofKeys && name >= 0 ? name : above;
}

/**
 * Whether a line goes on with the row above: nearer to it than rows are to each other and in the same type, or with the
 * keys that had no room beside their name, or with a small letter in a list of capitals, or with more of a name where
 * keys would stand.
 * @param apart how far below it stands, in parts of what rows mostly are apart.
 */
function continues(pieces: readonly Piece[], { cells }: Row, apart: number, { capitals, keysFirst }: Manner): boolean {
  const above = cells.filter((one) => one !== null);
  const ofKeys = (one: Piece): boolean => printsKeys(one.text);
  if (pieces.every(ofKeys) && !above.some(ofKeys)) return apart < EQUAL;
  // Names with keys beside them are rows, however near they stand.
  const isRow = (some: readonly Piece[]): boolean => some.some(ofKeys) && !some.every(ofKeys);
  if (isRow(pieces) && isRow(above)) return false;
  // One of the two has the keys, or neither.
  const once = !pieces.some(ofKeys) || !above.some(ofKeys);
  if (capitals && once && BEGINS_SMALL.test(pieces[0]?.text ?? '')) return apart < EQUAL;
  if (apart < NEAR && above[0]?.font === pieces[0]?.font) return true;
  const [more, name] = [nameIn(pieces), nameIn(above)];
  return (
    keysFirst &&
    pieces.length === 1 &&
    above.length > 1 &&
    more !== undefined &&
    name !== undefined &&
    apart < EQUAL &&
    more.font === name.font &&
    more.size === name.size &&
    more.x < name.x - more.size
  );
}

/** The band that a piece stands in for the most part: long ones reach out of theirs. */
function bandOf(piece: Piece, bands: readonly Stretch[]): number {
  const within = bands.map((band) => shared(piece, band));
  return within.indexOf(Math.max(...within));
}
const overlap = (one: Piece, other: Piece): boolean => one.x < other.end && other.x < one.end;

type Usual = { readonly size: number; readonly fonts: ReadonlySet<string> };

/** Pages without what stands at the same place of most of them, numbers aside; a head stays where it stands first. */
function withoutRunning(pages: readonly (readonly PrintedLine[])[]): readonly (readonly PrintedLine[])[] {
  const wordsOf = ({ text }: Piece): string => text.replace(/\d+/gu, '#');
  const keyOf = (piece: Piece, y: number): string => `${Math.round(y / 4)} ${wordsOf(piece)}`;
  const edges = pages.map((lines) => ({ head: new Set(lines.slice(0, EDGE)), foot: new Set(lines.slice(-EDGE)) }));
  const counts = new Map<string, number>();
  for (const { head, foot } of edges)
    for (const { y, pieces } of new Set([...head, ...foot]))
      for (const piece of pieces) counts.set(keyOf(piece, y), (counts.get(keyOf(piece, y)) ?? 0) + 1);
  const runs = (piece: Piece, y: number): boolean =>
    (counts.get(keyOf(piece, y)) ?? 0) >= Math.max(2, 0.5 * pages.length);
  const seen = new Set<string>();
  return pages.map((lines, p) => {
    const { head, foot } = edges[p] ?? { head: new Set(), foot: new Set() };
    const left = lines.filter((line) => {
      const edge = head.has(line) || foot.has(line);
      // A row of the list may have the keys of others at its place, never their names.
      if (!edge || !line.pieces.every((piece) => runs(piece, line.y))) return true;
      return head.has(line) && !line.pieces.every((piece) => seen.has(wordsOf(piece)));
    });
    for (const { pieces } of head) for (const piece of pieces) seen.add(wordsOf(piece));
    return left;
  });
}

/** How names are printed that have keys beside them. */
function usualOf(rows: readonly Row[]): Usual | null {
  const names = rows.flatMap(({ cells }) => {
    const filled = cells.filter((one) => one !== null);
    const [name] = filled.filter((one) => !printsKeys(one.text));
    return name && filled.length > 1 && filled.some((one) => printsKeys(one.text)) ? [name] : [];
  });
  if (names.length === 0) return null;
  const sizes = names.map((one) => one.size).sort((a, b) => a - b);
  return { size: sizes[sizes.length >> 1] ?? 0, fonts: new Set(names.map((one) => one.font)) };
}

const isHeading = ({ text, size, font }: Piece, usual: Usual | null): boolean =>
  usual !== null &&
  text.length <= LONGEST_CELL &&
  !printsKeys(text) &&
  (size >= LARGER * usual.size || (size >= 0.95 * usual.size && !usual.fonts.has(font)));
