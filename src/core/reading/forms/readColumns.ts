import { trimEnd } from '../../text/trimEnd';
import { areSurelyKeys, readsAsKeys } from '../columnRoles';
import { keyRange } from '../keyRange';
import { readKeysCell } from '../readKeysCell';
import { HEADS, MOST_COLUMNS, type RawRow, type RawTables, type Span } from '../tables';
import { leftLine, partOf, rowWith, type Written } from './cells';
import { columnAt, indentOf, type Line, linesOf } from './lines';
import { underHeadings } from './underHeadings';

/** Blanks, the sides of a drawn box, leaders: what parts columns, where it is more than one blank. */
const GAP = /(?:[ \t]+(?:\.{3}|\|)(?=[ \t]|$)|[ \t│┃║]+|\.{4,}|…{2,}|_{3,})+/gu;
/** Behind a blank, a dash or an arrow with blanks around it does, too. */
const DASH = /(?:[–—→]|-{1,2}>?|=>|::)[ \t]+/uy;
const RULER = /^\s*[-=~^"'`*+#_.:<>]{3,}\s*$/u;
const DRAWN = /^[\s─━═┄│┃├┤┌┐└┘┬┴┼╔╗╚╝╠╣╦╩╬╒╕╘╛╞╡╤╧╪╓╖╙╜╟╢╥╨╫|+=-]+$/u;

/** A table between two lines of `|===`, whose cells each begin with a bar; as wide as its first line of cells, or as said. */
function barredTable(
  lines: readonly Line[],
  from: number,
): { readonly rows: readonly RawRow[]; readonly end: number } | null {
  const end = lines.findIndex((line, i) => i > from && /^\|={3,}\s*$/u.test(line.text));
  if (end < 0) return null;
  const cells: (Written & { readonly number: number })[] = [];
  let width = 0;
  for (const line of lines.slice(from + 1, end)) {
    if (line.text.trim() === '') {
      width ||= cells.length;
      continue;
    }
    // What stands right before a bar tells how its cell looks.
    const bars = [...line.text.matchAll(/(?:^|\s)(?:\d?[+aehlmsdv^<>.]{0,3})\|/gu)];
    for (const [k, { index, 0: bar }] of bars.entries())
      cells.push({ ...partOf(line, index + bar.length, bars[k + 1]?.index), number: line.number });
    if (bars.length > 1) width ||= cells.length;
  }
  if (width < 2) return null;
  const rows: RawRow[] = [];
  for (let at = 0; at + width <= cells.length; at += width) {
    const own = cells.slice(at, at + Math.min(width, MOST_COLUMNS));
    rows.push(rowWith(own[0]?.number ?? 0, own, at === 0));
  }
  return { rows, end };
}

/** A line as its parts, each with the column it begins in. */
type Parts = {
  readonly line: Line;
  readonly parts: readonly (Written & { readonly column: number })[];
};

/** A part of a line that begins in a column. */
function partIn(line: Line, column: number, from: number, to?: number): Parts['parts'][number] {
  const { text, span } = partOf(line, from, to);
  return { text, span, column };
}

/**
 * Plain text in columns: names and keys side by side, parted by blanks, tabs, leaders, dashes or the sides of a drawn box.
 * A line that begins where a later column does goes on with the line above; one that is underlined, in capitals, or ends
 * in a colon is a heading.
 */
export function readColumns(text: string): RawTables {
  const lines = linesOf(text);
  const found = underHeadings();
  let headings: readonly string[] = [];
  /** Where a ruler above says that the columns begin. */
  let ruler: readonly number[] | null = null;
  const seconds = secondColumns(lines);
  const edge = edgeOf(lines);
  /** How far terms above are set in. */
  let termsAt: number | null = null;
  /** The row above the one that was added last. */
  let before: RawRow | null = null;
  for (let i = 0; i < lines.length; i++) {
    const line = lines[i] as Line;
    if (line.text.trim() === '') continue;
    const next = lines[i + 1];
    const table = /^\|={3,}\s*$/u.test(line.text) ? barredTable(lines, i) : null;
    if (table) {
      for (const row of table.rows) found.add(row);
      i = table.end;
      continue;
    }
    const ruled = rulesOf(line);
    if (ruled || RULER.test(line.text) || DRAWN.test(line.text)) {
      found.add(leftLine(line, 'A line that is only drawn.'));
      if (!ruled) continue;
      // A line of rulers before an empty one ends what it parts.
      const ends: boolean = ruler !== null && (next?.text ?? '').trim() === '';
      ruler = ends ? null : ruled;
      if (ends) found.under(headings);
      continue;
    }
    // A heading stands alone: several lines that begin so are comments.
    if (/^\s*#/u.test(line.text) && [lines[i - 1], next].some((other) => /^\s*#/u.test(other?.text ?? ''))) {
      found.add(leftLine(line, 'A comment.'));
      continue;
    }
    const term = ruler === null ? termOf(line, next, termsAt) : null;
    if (term && next) {
      termsAt = indentOf(line.text);
      found.add(rowWith(line.number, [term, partOf(next, 0)]));
      i++;
      continue;
    }
    const read = ruler === null ? partedAsSet(line, next, edge, seconds) : partsOf(line, ruler);
    const pairs = ruler === null ? pairsIn(read) : null;
    if (pairs) {
      for (const pair of pairs) found.add(rowOf(pair));
      continue;
    }
    const heading = read.parts.length === 1 ? headingIn(read.parts[0]?.text ?? '', next) : null;
    if (heading !== null) {
      ruler = null;
      headings = [heading];
      found.under(headings);
      found.add(leftLine(line, HEADS, true));
      continue;
    }
    const above = found.last();
    // A new paragraph begins a new row, wherever it begins.
    const begins = lines[i - 1]?.text.trim() === '' || above?.left !== undefined;
    const goesOn = above && !begins ? (goesOnWith(read, above, lines) ?? nameGoesOn(read, above, before, lines)) : null;
    if (goesOn) found.goOn(goesOn);
    else {
      before = above;
      found.add(rowOf(read));
    }
  }
  return { title: null, format: 'text in columns', tables: found.tables() };
}

/**
 * A term that is told of in the next line, which is set in: `term::` or `term:` above it; null where the line is none.
 * @param termsAt how far terms above are set in: a word there that is a key's name is one, too, and no heading.
 */
function termOf(line: Line, next: Line | undefined, termsAt: number | null): Written | null {
  const body = line.text.trimEnd();
  if (!next || next.text.trim() === '' || indentOf(next.text) <= indentOf(body)) return null;
  if (/::$/u.test(body)) return partOf(line, 0, trimEnd(body, ':').length);
  // Keys alone in a line, as manuals have them.
  const alone = body.trim();
  const sure = surelyKeys(alone) || (indentOf(body) === termsAt && /^\p{L}{2,}$/u.test(alone) && !endsInKeys(next));
  return alone.length < 40 && sure && readsAsKeys(alone) ? partOf(line, 0) : null;
}

/** Whether a line has columns of which the last are keys, so that what it stands under heads it. */
function endsInKeys(line: Line): boolean {
  const { parts } = partsOf(line, null);
  return parts.length > 1 && readsAsKeys(parts.at(-1)?.text ?? '');
}

/** A sign or two, keys joined or marked, or several: no word of a sentence or a list. */
const surelyKeys = (text: string): boolean =>
  text.split(', ').every((part) => /^\S{1,30}(?: \S{1,12})?$/u.test(part)) &&
  /^\S{1,2}$|^F\d{1,2}$|, |[+^<⌘⌥⇧⌃-]/u.test(text);

/** The rows of a line in which keys and what they do stand several times side by side; null where it is none. */
function pairsIn({ line, parts: read }: Parts): Parts[] | null {
  const parts = read.length > 1 ? read.flatMap((part) => apart(line, part)) : read;
  if (parts.length < 4 || parts.length % 2 === 1) return null;
  const keys = parts.map((part) => readsAsKeys(part.text));
  if (!keys.every((one, i) => one === (i % 2 === 0))) return null;
  return parts.flatMap((_, i) => (i % 2 === 0 ? [{ line, parts: parts.slice(i, i + 2) }] : []));
}

/** Keys and a name that only one blank parts as two; anything else as it is. */
function apart(line: Line, part: Parts['parts'][number]): Parts['parts'] {
  const at = part.text.indexOf(' ');
  const keys = at < 0 ? '' : part.text.slice(0, at);
  if (!/^(?:\^.|[CMSA]-\S{1,8}|F\d{1,2}|<\S{1,12}>|\S{1,12}\+\S{1,8})$/u.test(keys) || !readsAsKeys(keys))
    return [part];
  const from = part.span[0] - line.from;
  const end = part.span[1] - line.from;
  return [partIn(line, part.column, from, from + at), partIn(line, part.column + at + 1, from + at, end)];
}

function rowOf({ line, parts }: Parts): RawRow {
  return rowWith(line.number, parts.slice(0, MOST_COLUMNS));
}

/** Where the columns begin that a line of rulers parts, as in `=====  ======`; null where the line is none. */
function rulesOf(line: Line): number[] | null {
  if (!/^\s*(?:=+|-+)(?:\s+(?:=+|-+))+\s*$/u.test(line.text)) return null;
  return [...line.text.matchAll(/[=-]+/gu)].map((one) => one.index);
}

function partsOf(line: Line, at: readonly number[] | null): Parts {
  if (at) {
    const parts = at.map((from, i) => ({
      ...partOf(line, from, Math.max(from, Math.min(at[i + 1] ?? line.text.length, line.text.length))),
      column: from,
    }));
    // A word that reaches over the edge of its column says that the ruler is not meant for this line.
    const cut = at
      .slice(1)
      .some((from) => /\S/u.test(line.text[from - 1] ?? ' ') && /\S/u.test(line.text[from] ?? ' '));
    if (!cut) return { line, parts };
  }
  const parts: (Written & { column: number })[] = [];
  const body = line.text.trimEnd();
  let from = body.length - body.trimStart().length;
  const boxed = /^[│┃║]/u.test(body.trimStart()) || (/^\|[ \t]/u.test(body.trimStart()) && body.endsWith('|'));
  if (boxed) from++;
  // A bullet is no part of what it stands before.
  else if (/^[*•·‣-] (?=\S)/u.test(body.slice(from, from + 3))) from += 2;
  GAP.lastIndex = from;
  for (let gap = GAP.exec(body); gap && parts.length < MOST_COLUMNS; gap = GAP.exec(body)) {
    DASH.lastIndex = gap.index + gap[0].length;
    const dash = /[ \t]$/u.test(gap[0]) ? (DASH.exec(body)?.[0].length ?? 0) : 0;
    if (gap[0] === ' ' && dash === 0) continue;
    parts.push(partIn(line, columnAt(line.text, from), from, gap.index));
    from = gap.index + gap[0].length + dash;
    GAP.lastIndex = from;
  }
  if (from < body.length) parts.push(partIn(line, columnAt(line.text, from), from, body.length));
  return { line, parts: withRange(line, parts) };
}

/** Parts of which the first two are the ends of a range of keys, such as `Alt-1 ... Alt-9`, with that as one. */
function withRange(line: Line, parts: Parts['parts']): Parts['parts'] {
  const [first, last, ...rest] = parts;
  if (!first || !last || rest.length === 0) return parts;
  const [from, to] = [first.span[0] - line.from, last.span[1] - line.from];
  const between = line.text.slice(first.span[1] - line.from, last.span[0] - line.from);
  if (!/\.{3}|…|\s[-–]\s/u.test(between) || keyRange(`${first.text} ... ${last.text}`) === null) return parts;
  return [partIn(line, first.column, from, to), ...rest];
}

const [FEW_LINES, MOST_SEEN] = [4, 4000];
/** The columns in which what stands second begins on many lines. */
function secondColumns(lines: readonly Line[]): ReadonlySet<number> {
  const counts = new Map<number, number>();
  for (const line of lines.slice(0, MOST_SEEN)) {
    const { column } = partsOf(line, null).parts[1] ?? {};
    if (column !== undefined) counts.set(column, (counts.get(column) ?? 0) + 1);
  }
  const all = [...counts.values()].reduce((sum, count) => sum + count, 0);
  return new Set([...counts].flatMap(([column, count]) => (count >= Math.max(FEW_LINES, 0.25 * all) ? [column] : [])));
}

/** Keys that fill their column, so that one blank parts them from what stands second on other lines. */
function partedAt({ line, parts }: Parts, seconds: ReadonlySet<number>): Parts {
  const [first, ...rest] = parts;
  if (!first || line.text.includes('\t')) return { line, parts };
  for (let at = first.text.indexOf(' '); at >= 0; at = first.text.indexOf(' ', at + 1)) {
    if (!seconds.has(first.column + at + 1)) continue;
    if (parts.some((one) => readsAsKeys(one.text))) break;
    const keys = first.text.slice(0, at);
    if (keys.length > LONGEST_KEYS || readKeysCell(keys, 'windows').status === 'unread') continue;
    const [from, end] = [first.span[0] - line.from, first.span[1] - line.from];
    return {
      line,
      parts: [
        partIn(line, first.column, from, from + at),
        partIn(line, first.column + at + 1, from + at, end),
        ...rest,
      ],
    };
  }
  return { line, parts };
}
const LONGEST_KEYS = 60;

/** Lines of sentences are as long as this and have so many words; so many lines make sure that it is their way. */
const [LONG_LINE, FEW_WORDS, SURE_LINES] = [60, 4, 6];
/** Words that are spread stand two or three blanks apart in several places, and nowhere farther. */
const WIDE_TWICE = /\S {2,3}\S.*\S {2,3}\S/u;
const WIDER = / {4}/u;
/** The column in which most lines of sentences end whose words are spread to fill the line; null where none are. */
function edgeOf(lines: readonly Line[]): number | null {
  const ends = new Map<number, number>();
  for (const { text } of lines.slice(0, MOST_SEEN)) {
    const { length } = text.trimEnd();
    if (length >= LONG_LINE && WIDE_TWICE.test(text)) ends.set(length, (ends.get(length) ?? 0) + 1);
  }
  const [edge, count] = [...ends].sort((a, b) => b[1] - a[1])[0] ?? [0, 0];
  const all = [...ends.values()].reduce((sum, one) => sum + one, 0);
  return count >= SURE_LINES && count > 0.5 * all ? edge : null;
}

/** The column in which the sentence of a line goes on below, where its words are spread to reach the edge; null otherwise. */
function setAgainst({ text }: Line, next: Line | undefined, edge: number | null): number | null {
  if (edge === null || text.trimEnd().length !== edge || !next || next.text.trim() === '') return null;
  const body = indentOf(next.text);
  const said = text.slice(body).trim();
  return !WIDER.test(said) && said.split(/ +/u).length >= FEW_WORDS ? body : null;
}

/** A line by what parts it: where its words are spread to fill it, only the column that it goes on in below does. */
function partedAsSet(line: Line, next: Line | undefined, edge: number | null, seconds: ReadonlySet<number>): Parts {
  const read = partsOf(line, null);
  const body = setAgainst(line, next, edge);
  return body === null ? partedAt(read, seconds) : partedAt(closedUp(read, body), new Set([body]));
}

/** A line of words that are spread: what stands before the column, and all from there on as one. */
function closedUp({ line, parts }: Parts, body: number): Parts {
  const at = parts.findIndex((one) => one.column === body);
  const as = (some: Parts['parts']): Parts['parts'] => {
    const [first, last] = [some[0], some.at(-1)];
    return first && last ? [partIn(line, first.column, first.span[0] - line.from, last.span[1] - line.from)] : [];
  };
  return { line, parts: at < 0 ? as(parts) : [...as(parts.slice(0, at)), ...as(parts.slice(at))] };
}

/** The column a cell of a row begins in, which may stand in a line below the row's first. */
function columnOf({ line, cells, spans }: RawRow, cell: number, lines: readonly Line[]): number {
  const [place = 0] = spans[cell] ?? [];
  let at = line - 1;
  // An empty one stands where its line would have it, be that as long or not.
  while (cells[cell] && (lines[at + 1]?.from ?? Number.POSITIVE_INFINITY) <= place) at++;
  const { text, from } = lines[at] ?? { text: '', from: 0 };
  return columnAt(text, Math.min(place - from, text.length));
}

/** The row above with what a line adds to it; null where the line begins a row of its own. */
function goesOnWith(read: Parts, above: RawRow, lines: readonly Line[]): RawRow | null {
  const first = read.parts.find((one) => one.text !== '');
  const upper = lines[above.line - 1];
  if (!first || !upper || above.cells.length < 2) return null;
  const starts = above.spans.map((_, i) => columnOf(above, i, lines));
  const [start = 0, second = 0] = starts;
  // What stands under the first column begins a row; what is set in from it goes on, under the column nearest to it.
  const empty = (read.parts[0]?.text ?? '') === '';
  if (!empty && first.column <= start + 1) return null;
  if (!empty && read.parts.length > 1 && first.column < second - 2) return null;
  const cells = [...above.cells];
  const spans = [...above.spans];
  for (const part of read.parts) {
    if (part.text === '') continue;
    let column = starts.length - 1;
    while (column > 0 && part.column < (starts[column] ?? 0) - 2) column--;
    cells[column] = joined(cells[column] ?? '', part.text);
    spans[column] = above.cells[column] === '' ? part.span : [spans[column]?.[0] ?? part.span[0], part.span[1]];
  }
  return { ...above, cells, spans };
}

/** Two lines as one, with a word whole that was broken in two by a hyphen that stands nowhere else. */
function joined(upper: string, lower: string): string {
  if (upper === '') return lower;
  return /\p{Ll}\u2010$/u.test(upper) && /^\p{Ll}/u.test(lower) ? `${upper.slice(0, -1)}${lower}` : `${upper} ${lower}`;
}

/**
 * A name of two lines whose keys stand beside the second, set in and beginning small; null where that is another row's. It
 * stands where the names of the rows above do, so that it heads nothing.
 */
function nameGoesOn({ parts }: Parts, above: RawRow, before: RawRow | null, lines: readonly Line[]): RawRow | null {
  const [first, ...rest] = parts;
  const begins = (row: RawRow): number => columnOf(row, 0, lines);
  const [name = '', ...more] = above.cells;
  if (!first || rest.length === 0 || more.length > 0) return null;
  if (!before || before.left !== undefined || before.cells.length < 2) return null;
  const small = /^\p{Ll}/u.test(first.text) && !/^\p{Ll}/u.test(name);
  if (!small || first.column <= begins(above) || begins(before) !== begins(above)) return null;
  if (readsAsKeys(name) || !rest.some((one) => readsAsKeys(one.text))) return null;
  const span: Span = [above.spans[0]?.[0] ?? first.span[0], first.span[1]];
  const { cells, spans } = rowWith(above.line, [{ text: `${name} ${first.text}`, span }, ...rest]);
  return { ...above, cells, spans };
}

/** What a line heads, if it is a heading. */
export function headingIn(text: string, next: Line | undefined): string | null {
  if (!/\p{L}{2}/u.test(text) || text.length > 100) return null;
  const underlined =
    next !== undefined &&
    /^\s*([-=~^"'`*+#_])\1{2,}\s*$/u.test(next.text) &&
    next.text.trim().length >= text.length * 0.6;
  const marked = /^(?:=+|#+)\s+\S/u.test(text) || /^\d+(?:\.\d+)*\.\s+\p{Lu}/u.test(text);
  const capitals =
    text === text.toUpperCase() && /\p{Lu}{3}/u.test(text) && !/[+<>|]/u.test(text) && !areSurelyKeys(text);
  if (!underlined && !marked && !capitals && !/[^:]:$/u.test(text)) return null;
  return trimEnd(text, ' :=*~').replace(/^(?:=+|#+|\d+(?:\.\d+)*\.)\s+/u, '');
}
