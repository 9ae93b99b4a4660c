import { MOST_ROWS, type RawRow, type RawTable, type RawTables, type Span, UnreadableList } from '../tables';
import { rowWith, type Written } from './cells';
import { lineAt } from './lines';
import { sidesOfItem } from './listItem';
import { type MarkdownNode, markdownTree } from './markdownTree';
import { saidBy } from './markdownWords';
import { readColumns } from './readColumns';
import { tooMany } from './tooMany';

/** Whether a text has signs of Markdown: heads with `#`, the line under the head of a table, items of a list. */
export const looksLikeMarkdown = (text: string): boolean =>
  (/^#{1,6} \S/mu.test(text) ||
    /^ {0,8}\|? {0,8}:?-{3,}:? {0,8}\|[ \t:|-]*$/mu.test(text) ||
    /^ {0,3}[*+-] \S/mu.test(text)) &&
  !nestsTooDeep(text) &&
  !leavesOpen(text) &&
  !bracketsTooMuch(text);

/** What the parser looks for the end of to the end of a paragraph, each time it is begun. */
const OPENED: readonly (readonly [opens: string, closes: string])[] = [
  ['<!--', '-->'],
  ['<![CDATA[', ']]>'],
  ['<?', '?>'],
  ['<!', '>'],
  ['<', '>'],
];
const MOST_OPEN = 40;

/** Whether far more is begun in a text than ended, as nobody writes it. */
const leavesOpen = (text: string): boolean =>
  OPENED.some(([opens, closes]) => text.split(opens).length > MOST_OPEN + 2 * text.split(closes).length);

/** What the parser joins to pairs within a paragraph costs the square of how many there are. */
const MOST_BRACKETS = 1000;

/** Whether a paragraph has more brackets than anybody writes. */
function bracketsTooMuch(text: string): boolean {
  let many = 0;
  for (let at = text.indexOf('['), before = 0; at >= 0; before = at, at = text.indexOf('[', at + 1)) {
    many = BEGINS_ANEW.test(text.slice(before, at)) ? 1 : many + 1;
    if (many > MOST_BRACKETS) return true;
  }
  return false;
}
/** A line without anything, one of a list or of a table. */
const BEGINS_ANEW = /[\n\r][ \t]*(?:[-*+#>|\n\r]|\d+[.)])|\|/u;

/** Whether lines begin with more signs of lists and quotations than anybody nests. */
export const nestsTooDeep = (text: string): boolean => /^[-*+>#\d.) \t[{|]{120}/mu.test(text);

/** Languages of code blocks in which lists are told, not programs. */
const TOLD = /^(?:|te?xt|plain|plaintext|keys|ini|conf|config|properties)$/iu;
/** Whether most lines of a block have keys in them. */
const tellsKeys = (code: string): boolean => {
  const lines = code.split('\n').filter((line) => line.trim() !== '');
  return (
    lines.filter((line) => /\b(?:ctrl|alt|shift|cmd|F\d{1,2})\b|^\s*\S{1,2}\s{2}/iu.test(line)).length >=
    0.5 * lines.length
  );
};

/** So deep do lists in lists go. */
const DEEPEST = 40;

/** Tables and lists of Markdown, each under the headings before it; text in code blocks as text in columns. */
export function readMarkdown(text: string): RawTables {
  const root = markdownTree(text);
  const said = saidBy(root, text);
  const lineOf = lineAt(text);
  const tables: RawTable[] = [];
  let stack: { level: number; text: string }[] = [];
  const tops: string[] = [];
  let all = 0;
  const add = (rows: RawRow[], more: readonly string[] = []): void => {
    all += rows.length;
    if (all > MOST_ROWS) throw new UnreadableList(tooMany);
    if (rows.length > 0)
      tables.push({
        headings: [...stack.filter((one) => one.level > 1 || tops.length > 1).map((one) => one.text), ...more],
        rows,
      });
  };
  const rowOf = (row: MarkdownNode): RawRow =>
    rowWith(
      lineOf(row.from),
      cellsOf(row, text).map((one) => ('name' in one ? said(one).cell : one)),
      row.name === 'TableHeader',
    );
  const addList = (list: MarkdownNode, depth: number): void => {
    const rows: RawRow[] = [];
    for (const item of list.children) {
      const [first, ...rest] = item.children.filter((one) => !MARKS.test(one.name));
      if (!first) continue;
      const plain = first.name === 'Paragraph';
      if (plain) {
        const { cell, marked, placeOf } = said(first);
        rows.push(rowWith(lineOf(first.from), sidesOfItem(cell, marked, placeOf)));
      }
      if (rest.length > 0 || !plain) {
        add(rows.splice(0));
        walk(plain ? rest : [first, ...rest], depth + 1);
      }
    }
    add(rows);
  };
  const addCode = (block: MarkdownNode): void => {
    const slice = ({ from, to }: MarkdownNode): string => text.slice(from, to);
    const lang = block.children.filter((one) => one.name === 'CodeInfo').map(slice);
    const code = block.children.filter((one) => one.name === 'CodeText');
    const value = code.map(slice).join('');
    if (!TOLD.test(lang.join('').split(/\s/u)[0] ?? '') || !tellsKeys(value)) return;
    const placeOf = placesIn(code);
    for (const { headings, rows } of readColumns(value).tables)
      add(
        rows.map((row) => ({
          ...row,
          line: lineOf(placeOf(row.spans[0]?.[0] ?? 0)),
          spans: row.spans.map(([a, b]): Span => [placeOf(a), b > a ? placeOf(b - 1) + 1 : placeOf(a)]),
        })),
        headings,
      );
  };
  const walk = (nodes: readonly MarkdownNode[], depth: number): void => {
    for (const node of nodes) {
      const { name } = node;
      const level = Number(/^(?:ATX|Setext)Heading(\d)$/u.exec(name)?.[1] ?? 0);
      if (level > 0) {
        const words = said(node).cell.text;
        stack = [...stack.filter((one) => one.level < level), { level, text: words }];
        if (level === 1) tops.push(words);
      } else if (name === 'Table')
        add(node.children.filter((one) => /^Table(?:Row|Header)$/u.test(one.name)).map(rowOf));
      else if (/List$/u.test(name) && depth < DEEPEST) addList(node, depth);
      else if (name === 'FencedCode' || name === 'CodeBlock') addCode(node);
      else if (name === 'Blockquote' && depth < DEEPEST) walk(node.children, depth + 1);
      else if (/^(?:Paragraph|Blockquote|.*List)$/u.test(name)) {
        const { cell } = said(node);
        if (cell.text !== '') add([{ ...rowWith(lineOf(node.from), [cell]), left: 'A text between the lists.' }]);
      }
    }
  };
  walk(root.children, 0);
  return { title: tops.length === 1 ? (tops[0] ?? null) : null, format: 'Markdown', tables };
}

/** Tells where in the source a place of parts stands that are put together. */
function placesIn(parts: readonly MarkdownNode[]): (place: number) => number {
  let length = 0;
  const begins = parts.map(({ from, to }) => {
    const piece = { at: length, from };
    length += to - from;
    return piece;
  });
  return (place) => {
    const { at, from } = begins.findLast((one) => one.at <= place) ?? { at: 0, from: 0 };
    return from + place - at;
  };
}

/** Signs of the form itself among what a block holds. */
const MARKS = /Mark$/u;

/** The cells of a row of a table: what stands between its bars, or the place where something would. */
function cellsOf({ from, to, children }: MarkdownNode, source: string): readonly (MarkdownNode | Written)[] {
  const cells: (MarkdownNode | Written)[] = [];
  let open = from;
  let cell: MarkdownNode | null = null;
  const close = (end: number): void => {
    // Before the first bar and behind the last one there may be no cell.
    if (cell) cells.push(cell);
    else if (open > from && end < to) {
      const at = open + (source[open] === ' ' ? 1 : 0);
      cells.push({ text: '', span: [at, at] });
    }
  };
  for (const one of children)
    if (one.name === 'TableDelimiter') {
      close(one.from);
      cell = null;
      open = one.to;
    } else cell = one;
  close(to);
  return cells;
}
