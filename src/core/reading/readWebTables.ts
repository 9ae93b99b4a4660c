import { type DefaultTreeAdapterTypes, parse } from 'parse5';
import { tooMany } from './readTextTable';
import {
  MOST_COLUMNS,
  MOST_ROWS,
  type RawRow,
  type RawTable,
  type RawTables,
  tidyCell,
  UnreadableList,
} from './tables';

type Node = DefaultTreeAdapterTypes.ChildNode;
type Element = DefaultTreeAdapterTypes.Element;

const SKIPPED = new Set(['script', 'style', 'template', 'noscript', 'nav', 'head', 'svg', 'math', 'select', 'button']);
const BREAKS = new Set(['br', 'li', 'p', 'div', 'dd', 'dt']);
const isElement = (node: Node): node is Element => 'tagName' in node;
const DEEPEST = 400;

/**
 * The tables of a web page, each under the headings that stand before it (its caption last). Only innermost tables count,
 * so that a page laid out with tables still gives its lists. Nothing of the page is run or fetched.
 * @throws UnreadableList past 20,000 rows, or for a page nested deeper than any real one.
 */
export function readWebTables(html: string): RawTables {
  const found: { level: number; text: string }[] = [];
  const tables: { trail: typeof found; caption: string; rows: RawRow[] }[] = [];
  let stack: typeof found = [];
  let line = 0;

  const walk = (nodes: readonly Node[], depth: number): void => {
    if (depth > DEEPEST) throw new UnreadableList('This page is nested too deeply to be a list of commands.');
    for (const node of nodes) {
      if (!isElement(node) || SKIPPED.has(node.tagName) || isHidden(node)) continue;
      const level = /^h([1-6])$/.exec(node.tagName)?.[1] ?? (node.tagName === 'summary' ? '6' : undefined);
      if (level !== undefined) {
        const text = tidyCell(textOf(node, 0)).replace(/\n/g, ' ');
        if (text !== '') {
          stack = [...stack.filter((one) => one.level < Number(level)), { level: Number(level), text }];
          if (level === '1') found.push({ level: 1, text });
        }
      } else if (node.tagName === 'table' && !hasTableInside(node)) {
        const rows = rowsOfTable(node, () => ++line);
        if (line > MOST_ROWS) throw new UnreadableList(tooMany);
        if (rows.rows.length > 0) tables.push({ trail: stack, ...rows });
      } else walk(node.childNodes, depth + 1);
    }
  };
  const tree = parse(html);
  walk(tree.childNodes, 0);

  // A lone h1 titles the page; where there are several, they are part of the paths.
  const title = found.length === 1 ? (found[0]?.text ?? null) : titleOf(tree.childNodes);
  return {
    title,
    format: 'web page',
    tables: tables.map(({ trail, caption, rows }): RawTable => {
      const headings = trail.filter((one) => found.length !== 1 || one.level > 1).map((one) => one.text);
      return { headings: caption !== '' && caption !== headings.at(-1) ? [...headings, caption] : headings, rows };
    }),
  };
}

function rowsOfTable(table: Element, nextLine: () => number): { caption: string; rows: RawRow[] } {
  let caption = '';
  const rows: RawRow[] = [];
  // Cells that reach down from rows above, by column: rows still to cover, and the text.
  let below: ({ rows: number; text: string } | undefined)[] = [];
  const visit = (element: Element): void => {
    for (const child of element.childNodes) {
      if (!isElement(child)) continue;
      if (child.tagName === 'caption') caption = tidyCell(textOf(child, 0)).replace(/\n/g, ' ');
      else if (child.tagName !== 'tr') visit(child);
      else {
        const cells: string[] = [];
        const next: typeof below = [];
        const fillFromAbove = (): void => {
          for (let from = below[cells.length]; from; from = below[cells.length]) {
            if (from.rows > 1) next[cells.length] = { rows: from.rows - 1, text: from.text };
            cells.push(from.text);
          }
        };
        let own = 0;
        let headingCells = 0;
        let widest = 1;
        for (const cell of child.childNodes) {
          if (!isElement(cell) || !/^t[dh]$/.test(cell.tagName)) continue;
          fillFromAbove();
          own++;
          if (cell.tagName === 'th') headingCells++;
          const text = tidyCell(textOf(cell, 0));
          const across = span(cell, 'colspan');
          widest = Math.max(widest, across);
          const down = span(cell, 'rowspan');
          for (let i = 0; i < across && cells.length < MOST_COLUMNS; i++) {
            if (down > 1) next[cells.length] = { rows: down - 1, text };
            cells.push(i === 0 ? text : '');
          }
        }
        fillFromAbove();
        below = next;
        const heading = own > 0 && (headingCells === own || (own === 1 && widest > 1));
        if (cells.some((cell) => cell !== '')) rows.push({ line: nextLine(), cells, heading });
      }
    }
  };
  visit(table);
  return { caption, rows };
}

function span(cell: Element, name: string): number {
  const value = Number.parseInt(cell.attrs.find((attr) => attr.name === name)?.value ?? '1', 10);
  return Number.isFinite(value) ? Math.min(Math.max(value, 1), 1000) : 1;
}

function isHidden(element: Element): boolean {
  return element.attrs.some(
    ({ name, value }) =>
      name === 'hidden' ||
      (name === 'style' && /display\s*:\s*none/i.test(value)) ||
      (name === 'aria-hidden' && value === 'true'),
  );
}

function hasTableInside(element: Element, depth = 0): boolean {
  if (depth > DEEPEST) return false;
  return element.childNodes.some(
    (child) => isElement(child) && (child.tagName === 'table' || hasTableInside(child, depth + 1)),
  );
}

/** Text of an element as a reader sees it: breaks as line ends, pictures by their text, key caps joined, note marks left out. */
function textOf(element: Element, depth: number): string {
  if (depth > DEEPEST) return '';
  let text = '';
  let lastWasKey = false;
  for (const node of element.childNodes) {
    if (!isElement(node)) {
      const value = 'value' in node && node.nodeName === '#text' ? node.value : '';
      if (value.trim() !== '') lastWasKey = false;
      text += value.replace(/\s+/g, ' ');
      continue;
    }
    if (SKIPPED.has(node.tagName) || isHidden(node)) continue;
    if (node.tagName === 'img') text += node.attrs.find((attr) => attr.name === 'alt')?.value ?? '';
    else if (node.tagName === 'sup' && isNoteMark(textOf(node, depth + 1))) continue;
    else if (BREAKS.has(node.tagName)) text += `\n${textOf(node, depth + 1)}${node.tagName === 'br' ? '' : '\n'}`;
    else {
      const isKey = node.tagName === 'kbd' || node.tagName === 'key';
      const inner = textOf(node, depth + 1);
      // Two key caps side by side with nothing between them are one chord.
      if (isKey && lastWasKey) text = `${text.trimEnd()}+`;
      text += inner;
      lastWasKey = isKey;
      continue;
    }
    lastWasKey = false;
  }
  return text;
}

function isNoteMark(text: string): boolean {
  return /^\s*[[(]?(\d{1,2}|[*†‡§]+|[a-z])[\])]?\s*$/iu.test(text);
}

function titleOf(nodes: readonly Node[], depth = 0): string | null {
  for (const node of nodes) {
    if (!isElement(node) || depth > 3) continue;
    if (node.tagName === 'title') return tidyCell(textOf(node, 0)) || null;
    const inside = node.tagName === 'html' || node.tagName === 'head' ? titleOf(node.childNodes, depth + 1) : null;
    if (inside) return inside;
  }
  return null;
}
