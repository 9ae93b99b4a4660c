import type { Nodes, Root, RootContent, TableRow } from 'mdast';
import { fromMarkdown } from 'mdast-util-from-markdown';
import { gfmTableFromMarkdown } from 'mdast-util-gfm-table';
import { gfmTable } from 'micromark-extension-gfm-table';
import { MOST_ROWS, type RawRow, type RawTable, type RawTables, type Span, tidyCell, UnreadableList } from '../tables';
import { rowCells, type Written } from './cells';
import { sidesOfItem } from './listItem';
import { readColumns } from './readColumns';
import { tooMany } from './tooMany';

/** Whether a text has signs of Markdown: heads with `#`, the line under the head of a table, items of a list. */
export const looksLikeMarkdown = (text: string): boolean =>
  (/^#{1,6} \S/mu.test(text) ||
    /^ {0,8}\|? {0,8}:?-{3,}:? {0,8}\|[ \t:|-]*$/mu.test(text) ||
    /^ {0,3}[*+-] \S/mu.test(text)) &&
  !nestsTooDeep(text);

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
  const root: Root = fromMarkdown(text, { extensions: [gfmTable()], mdastExtensions: [gfmTableFromMarkdown()] });
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
  const left = (node: RootContent, why: string): void => {
    const cell = writtenOf(node, text);
    if (cell.text !== '') add([{ line: lineOf(node), ...rowCells([cell]), heading: false, left: why }]);
  };
  const walk = (nodes: readonly RootContent[], depth: number): void => {
    for (const node of nodes) {
      if (node.type === 'heading') {
        const words = writtenOf(node, text).text;
        stack = [...stack.filter((one) => one.level < node.depth), { level: node.depth, text: words }];
        if (node.depth === 1) tops.push(words);
      } else if (node.type === 'table') add(node.children.map((row, i) => rowOf(row, i, text)));
      else if (node.type === 'list' && depth < DEEPEST) {
        const rows: RawRow[] = [];
        for (const item of node.children) {
          const [first, ...rest] = item.children;
          if (!first) continue;
          const marks = marksIn(first, text);
          if (first.type === 'paragraph')
            rows.push({
              line: lineOf(first),
              ...rowCells(sidesOfItem(marks.cell, marks.marked, marks.placeOf)),
              heading: false,
            });
          if (rest.length > 0 || first.type !== 'paragraph') {
            add(rows.splice(0));
            walk(first.type === 'paragraph' ? rest : item.children, depth + 1);
          }
        }
        add(rows);
      } else if (node.type === 'code' && TOLD.test(node.lang ?? '') && tellsKeys(node.value)) {
        const from = text.indexOf(node.value, node.position?.start.offset ?? 0);
        for (const { headings, rows } of readColumns(node.value).tables)
          add(
            rows.map((row) => ({
              ...row,
              line: row.line + lineOf(node),
              spans: row.spans.map(([a, b]) => (from < 0 ? [0, 0] : [a + from, b + from]) as Span),
            })),
            headings,
          );
      } else if (node.type === 'blockquote' && depth < DEEPEST) walk(node.children, depth + 1);
      else left(node, 'A text between the lists.');
    }
  };
  walk(root.children, 0);
  return { title: tops.length === 1 ? (tops[0] ?? null) : null, format: 'Markdown', tables };
}

const lineOf = (node: Nodes): number => node.position?.start.line ?? 1;

function rowOf(row: TableRow, index: number, source: string): RawRow {
  return {
    line: lineOf(row),
    ...rowCells(row.children.map((cell) => marksIn(cell, source).cell)),
    heading: index === 0,
  };
}

const writtenOf = (node: Nodes, source: string): Written => marksIn(node, source).cell;

/** What a node says, where that stands, and which parts of it are marked as code or keys. */
function marksIn(
  node: Nodes,
  source: string,
): {
  readonly cell: Written;
  readonly marked: readonly (readonly [number, number])[];
  readonly placeOf: (from: number, to: number) => Span;
} {
  let text = '';
  const marked: [number, number][] = [];
  /** Where each text begins in what is said, and in the source. */
  const pieces: [said: number, source: number][] = [];
  let [from, to] = [Number.POSITIVE_INFINITY, 0];
  let open: number | null = null;
  const walk = (one: Nodes, depth: number): void => {
    const [start, end] = [one.position?.start.offset ?? 0, one.position?.end.offset ?? 0];
    if (one.type === 'html') {
      // Keys in `<kbd>` beside each other are one chord.
      if (/^<kbd/iu.test(one.value)) {
        const last = marked.at(-1);
        if (last && text.slice(last[1]) === '') text += '+';
        open = text.length;
      } else if (/^<\/kbd/iu.test(one.value) && open !== null) {
        marked.push([open, text.length]);
        open = null;
      } else if (/^<br/iu.test(one.value)) text += '\n';
      return;
    }
    if (one.type === 'text' || one.type === 'inlineCode') {
      const begin = text.length;
      text += one.value;
      if (one.type === 'inlineCode') marked.push([begin, text.length]);
      const inner = one.type === 'inlineCode' ? (/^`+ ?/u.exec(source.slice(start, end))?.[0].length ?? 0) : 0;
      pieces.push([begin, start + inner]);
      from = Math.min(from, start + inner);
      to = Math.max(to, end - inner);
    } else if (one.type === 'break') text += '\n';
    else if (one.type === 'image') text += one.alt ?? '';
    else if (one.type === 'strong' || one.type === 'emphasis') {
      const begin = text.length;
      for (const child of one.children) walk(child, depth + 1);
      marked.push([begin, text.length]);
    } else if ('children' in one && depth < DEEPEST) for (const child of one.children) walk(child, depth + 1);
  };
  walk(node, 0);
  const start = node.position?.start.offset ?? 0;
  const span: Span = from > to ? [start, start] : [from, to];
  const lead = text.length - text.trimStart().length;
  const plain = tidyCell(text) === text.trim();
  const inSource = (at: number): number => {
    const piece = pieces.findLast(([said]) => said <= at + lead) ?? [0, start];
    return piece[1] + at + lead - piece[0];
  };
  return {
    cell: { text: tidyCell(text), span },
    placeOf: (a: number, b: number): Span => (plain && b > a ? [inSource(a), inSource(b - 1) + 1] : span),
    // Places no longer fit where blanks were folded.
    marked: (plain ? marked : [])
      .map(([a, b]) => [Math.max(0, a - lead), Math.max(0, b - lead)] as const)
      .sort((a, b) => a[0] - b[0]),
  };
}
