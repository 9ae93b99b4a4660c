import { type DefaultTreeAdapterTypes, defaultTreeAdapter, parse } from 'parse5';
import { holdsKeys } from '../leaveOthersOut';
import {
  LONGEST_CELL,
  MOST_COLUMNS,
  MOST_ROWS,
  type RawRow,
  type RawTable,
  type RawTables,
  type Span,
  tidyCell,
  UnreadableList,
} from '../tables';
import { rowWith, type Written } from './cells';
import { sidesOfItem } from './listItem';
import { readColumns } from './readColumns';
import { tooMany } from './tooMany';

export type Node = DefaultTreeAdapterTypes.ChildNode;
type Element = DefaultTreeAdapterTypes.Element;
type Root = { readonly childNodes: readonly Node[] };

export const SKIPPED = new Set([
  'script',
  'style',
  'template',
  'noscript',
  'nav',
  'head',
  'svg',
  'math',
  'select',
  'button',
]);
export const BREAKS = new Set(['br', 'li', 'p', 'div', 'dd', 'dt']);
export const isElement = (node: Node): node is Element => 'tagName' in node;
export const DEEPEST = 400;
/** A page of 20,000 rows with four cells each, keys in caps, has about half as many elements and texts. */
const MOST_NODES = 400_000;
/** What is read of a cell before its spaces are folded and it is cut. */
const ENOUGH = 4 * LONGEST_CELL;

/**
 * The tables and lists of a web page, each under the headings that stand before it (its caption last). Only innermost
 * tables count, so that a page laid out with tables still gives its lists. Nothing of the page is run or fetched.
 * @throws UnreadableList past 20,000 rows, or for a page nested deeper than any real one.
 */
export function readWebPage({ tree, holdsTable }: ReturnType<typeof treeOf>): RawTables {
  return readPage(tree, (node) => holdsTable.has(node));
}

/** The same for a tree of elements that is there already, such as that of a manual in XML. */
export function readPage(tree: Root, holdsTable: (element: Element) => boolean): RawTables {
  const found: { level: number; text: string }[] = [];
  const tables: { trail: typeof found; caption: string; rows: RawRow[] }[] = [];
  /** Text that is set in columns. */
  const pre: typeof tables = [];
  let stack: typeof found = [];
  let line = 0;
  /** How many of these are of text that is set in columns: most of that is no list. */
  let set = 0;
  const row = (cells: readonly Written[], left?: string): RawRow => {
    if (++line - set > MOST_ROWS) throw new UnreadableList(tooMany);
    return left === undefined ? rowWith(line, cells) : { ...rowWith(line, cells), left };
  };
  const add = (rows: RawRow[]): void => {
    if (rows.length > 0) tables.push({ trail: stack, caption: '', rows });
  };

  const walk = (nodes: readonly Node[], depth: number): void => {
    if (depth > DEEPEST) throw new UnreadableList('This page is nested too deeply to be a list of commands.');
    for (const node of shownOf(nodes)) {
      if (!isElement(node) || SKIPPED.has(node.tagName)) continue;
      const level = /^h([1-6])$/.exec(node.tagName)?.[1] ?? (node.tagName === 'summary' ? '6' : undefined);
      if (level !== undefined) {
        const text = tidyCell(textOf(node, 0)).replace(/\n/g, ' ');
        if (text !== '') {
          stack = [...stack.filter((one) => one.level < Number(level)), { level: Number(level), text }];
          if (level === '1') found.push({ level: 1, text });
        }
      } else if (node.tagName === 'table' && !holdsTable(node)) {
        if (leadsAway(node)) continue;
        const rows = rowsOfTable(node, () => ++line);
        if (line - set > MOST_ROWS) throw new UnreadableList(tooMany);
        if (rows.rows.length > 0) tables.push({ trail: stack, ...rows });
      } else if (node.tagName === 'pre' && !holdsTable(node)) {
        const span = placeOf(node);
        for (const { headings, rows } of readColumns(writtenOut(node, 0)).tables) {
          set += rows.length;
          const own = rows.map((one): RawRow => ({ ...one, line: ++line, spans: one.cells.map(() => span) }));
          pre.push({ trail: stack, caption: headings.at(-1) ?? '', rows: own });
        }
      } else if (node.tagName === 'dl') add(pairsOfList(node, row));
      else if ((node.tagName === 'ul' || node.tagName === 'ol') && !holdsTable(node)) {
        const rows = itemsOfList(node, row);
        add(rows);
        if (rows.length === 0) walk(node.childNodes, depth + 1);
      } else walk(node.childNodes, depth + 1);
    }
  };
  walk(tree.childNodes, 0);
  // Samples of code are no lists; a page that has nothing else may be one.
  const lists = pre.filter(({ rows }) => tables.length === 0 || holdsKeys({ headings: [], rows }, LEAST));
  if (lists.reduce((sum, { rows }) => sum + rows.length, line - set) > MOST_ROWS) throw new UnreadableList(tooMany);
  tables.push(...lists);
  tables.sort((a, b) => (a.rows[0]?.line ?? 0) - (b.rows[0]?.line ?? 0));

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

/**
 * The tree of a page, and which elements have a table inside them. How deep and how large it grows is looked at while it
 * is built: a page of five million characters can nest deep enough to take all memory there is before it is whole.
 * @param places whether anybody asks where its cells stand; without that a page is read in two thirds of the time.
 * @throws UnreadableList where it grows deeper or larger than any real one.
 */
export function treeOf(html: string, places = true) {
  const holdsTable = new Set<object>();
  let nodes = 0;
  const placed = (parent: Parent & Placed, child: Node & Placed): void => {
    if (++nodes > MOST_NODES)
      throw new UnreadableList('This page is too large to be a list of commands. Save only the list and try again.');
    if (!('tagName' in child)) return;
    const depth = (parent[DEPTH] ?? 0) + 1;
    if (depth > DEEPEST) throw new UnreadableList('This page is nested too deeply to be a list of commands.');
    child[DEPTH] = depth;
    if (child.tagName !== 'table') return;
    for (let one: unknown = parent; one && !holdsTable.has(one); one = (one as { parentNode?: unknown }).parentNode)
      holdsTable.add(one);
  };
  const tree = parse(html, {
    sourceCodeLocationInfo: places,
    treeAdapter: {
      ...defaultTreeAdapter,
      appendChild: (parent: Parent, child: Node) => {
        placed(parent, child);
        defaultTreeAdapter.appendChild(parent, child);
      },
      insertBefore: (parent: Parent, child: Node, before: Node) => {
        placed(parent, child);
        defaultTreeAdapter.insertBefore(parent, child, before);
      },
    },
  });
  return { tree, holdsTable: holdsTable as ReadonlySet<object> };
}
type Parent = DefaultTreeAdapterTypes.ParentNode;
/** How deep an element stands, noted in itself: a map of hundreds of thousands of them takes longer than the tree. */
const DEPTH = Symbol('depth');
type Placed = { [DEPTH]?: number };

const FEW_ROWS = 4;
/** Whether a table is the links to the pages before and after, whose words are names of keys as well (Up, Home). */
function leadsAway(table: Element): boolean {
  const said = ({ attrs }: Element): string =>
    attrs.flatMap(({ name, value }) => (/^(?:class|id|role|summary)$/.test(name) ? value : [])).join(' ');
  const parent = table.parentNode && 'tagName' in table.parentNode ? said(table.parentNode) : '';
  let [rows, leads] = [0, /\bnav(?:igation|bar|header|footer)?\b/iu.test(`${said(table)} ${parent}`)];
  const visit = (element: Element, depth: number): void => {
    for (const one of element.childNodes) {
      if (!isElement(one) || depth > DEEPEST || rows > FEW_ROWS) continue;
      if (one.tagName === 'tr') rows++;
      if (one.tagName === 'a')
        leads ||= one.attrs.some(
          ({ name, value }) => name === 'accesskey' || (name === 'rel' && /^(?:prev|next|up)$/iu.test(value)),
        );
      visit(one, depth + 1);
    }
  };
  visit(table, 0);
  return leads && rows <= FEW_ROWS;
}

function rowsOfTable(table: Element, nextLine: () => number): { caption: string; rows: RawRow[] } {
  let caption = '';
  const rows: RawRow[] = [];
  // Cells that reach down from rows above, by column: rows still to cover, and the text.
  let below: ((Written & { rows: number }) | undefined)[] = [];
  const visit = (element: Element): void => {
    for (const child of element.childNodes) {
      if (!isElement(child)) continue;
      if (child.tagName === 'caption') caption = tidyCell(textOf(child, 0)).replace(/\n/g, ' ');
      else if (child.tagName !== 'tr') visit(child);
      else {
        const cells: Written[] = [];
        const next: typeof below = [];
        const fillFromAbove = (): void => {
          for (let from = below[cells.length]; from; from = below[cells.length]) {
            if (from.rows > 1) next[cells.length] = { ...from, rows: from.rows - 1 };
            cells.push(from);
          }
        };
        let own = 0;
        let headingCells = 0;
        let widest = 1;
        for (const cell of shownOf(child.childNodes)) {
          if (!isElement(cell) || !/^t[dh]$/.test(cell.tagName)) continue;
          fillFromAbove();
          own++;
          if (cell.tagName === 'th') headingCells++;
          const written = writtenIn(cell);
          const across = span(cell, 'colspan');
          widest = Math.max(widest, across);
          const down = span(cell, 'rowspan');
          for (let i = 0; i < across && cells.length < MOST_COLUMNS; i++) {
            if (down > 1) next[cells.length] = { ...written, rows: down - 1 };
            cells.push(i === 0 ? written : { text: '', span: [written.span[1], written.span[1]] });
          }
        }
        fillFromAbove();
        below = next;
        const heading = own > 0 && (headingCells === own || (own === 1 && widest > 1));
        if (cells.some((cell) => cell.text !== '')) rows.push(rowWith(nextLine(), cells, heading));
      }
    }
  };
  visit(table);
  return { caption, rows };
}

/** So much of text that is set in columns has to read as keys, on a page that has lists otherwise. */
const LEAST = 0.5;
/** The text of an element with its blanks and ends of lines as they stand. */
function writtenOut(element: Element, depth: number): string {
  if (depth > DEEPEST) return '';
  return shownOf(element.childNodes)
    .map((one) =>
      isElement(one) ? (one.tagName === 'br' ? '\n' : writtenOut(one, depth + 1)) : 'value' in one ? one.value : '',
    )
    .join('');
}

/** What an element says, and where between its tags it stands in the source. */
function writtenIn(element: Element): Written {
  return { text: tidyCell(textOf(element, 0)), span: placeOf(element) };
}

function placeOf(element: Element): Span {
  const at = element.sourceCodeLocation;
  if (!at) return [0, 0];
  return [at.startTag?.endOffset ?? at.startOffset, at.endTag?.startOffset ?? at.endOffset];
}

/** The pairs of a definition list: each term with what it means; several terms before one meaning are one. */
function pairsOfList(list: Element, row: (cells: readonly Written[], left?: string) => RawRow): RawRow[] {
  const rows: RawRow[] = [];
  let terms: Written[] = [];
  const term = (): Written => ({
    text: terms.map((one) => one.text).join('\n'),
    span: [terms[0]?.span[0] ?? 0, terms.at(-1)?.span[1] ?? 0],
  });
  let meant = true;
  const visit = (nodes: readonly Node[], depth: number): void => {
    for (const node of shownOf(nodes)) {
      if (!isElement(node) || depth > DEEPEST) continue;
      if (node.tagName === 'dt') {
        if (meant) terms = [];
        terms.push(writtenIn(node));
        meant = false;
      } else if (node.tagName === 'dd') {
        if (terms.length > 0 && !meant) rows.push(row([term(), writtenIn(node)]));
        meant = true;
      } else if (node.tagName === 'div') visit(node.childNodes, depth + 1);
    }
  };
  visit(list.childNodes, 0);
  return rows;
}

/** The items of a list that have two sides, such as keys in caps and what they do; none where few have. */
function itemsOfList(list: Element, row: (cells: readonly Written[], left?: string) => RawRow): RawRow[] {
  const items = list.childNodes.filter((one): one is Element => isElement(one) && one.tagName === 'li');
  if (items.some((one) => holdsList(one, 0))) return [];
  const marks = items.map(keyMarks);
  const read = items.map((item, i) => sidesOfItem(writtenIn(item), marks[i] ?? []));
  const sided = read.filter((cells) => cells.length > 1).length;
  // Links that lead to the parts of a page are a list, too, but none of commands; in one alone keys have to be marked.
  if (sided < (marks.flat().length > 0 ? 1 : 2) || sided < 0.5 * items.length) return [];
  return read.map((cells) => row(cells));
}

const holdsList = (element: Element, depth: number): boolean =>
  depth < DEEPEST &&
  element.childNodes.some(
    (one) => isElement(one) && (/^(?:ul|ol|dl|table)$/.test(one.tagName) || holdsList(one, depth + 1)),
  );

/** Where in the text of an item keys or code are marked. */
function keyMarks(item: Element): readonly (readonly [number, number])[] {
  const whole = tidyCell(textOf(item, 0));
  const marks: [number, number][] = [];
  let from = 0;
  const visit = (element: Element, depth: number): void => {
    for (const one of element.childNodes) {
      if (depth > DEEPEST) continue;
      if (!isElement(one)) {
        // What is said before a mark may hold the same signs.
        const said = 'value' in one ? one.value.replace(/\s+/g, ' ').trim() : '';
        const at = said === '' ? -1 : whole.indexOf(said, from);
        if (at >= 0) from = at + said.length;
      } else if (/^(?:kbd|key|code|tt|strong|b)$/.test(one.tagName)) {
        const text = tidyCell(textOf(one, 0));
        const at = text === '' ? -1 : whole.indexOf(text, from);
        if (at < 0) continue;
        marks.push([at, at + text.length]);
        from = at + text.length;
      } else visit(one, depth + 1);
    }
  };
  visit(item, 0);
  return marks;
}

function span(cell: Element, name: string): number {
  const value = Number.parseInt(cell.attrs.find((attr) => attr.name === name)?.value ?? '1', 10);
  return Number.isFinite(value) ? Math.min(Math.max(value, 1), 1000) : 1;
}

/**
 * What is shown of nodes beside each other. Where all elements of some are hidden, the page shows one of them, told by the
 * reader's platform: then that for others than the Mac is.
 */
export function shownOf(nodes: readonly Node[]): readonly Node[] {
  if (!nodes.some((one) => isElement(one) && isHidden(one))) return nodes;
  const elements = nodes.filter(isElement);
  const hidden = elements.filter(isHidden);
  if (hidden.length > 1 && hidden.length === elements.length) {
    const told = (element: Element): string => element.attrs.map(({ value }) => value).join(' ');
    const others = hidden.filter((one) => !/mac|osx|apple|darwin/iu.test(told(one)));
    const chosen =
      others.find((one) => /default|win|pc|linux|other/iu.test(told(one))) ?? others.at(-1) ?? hidden.at(-1);
    return nodes.filter((one) => !isElement(one) || one === chosen);
  }
  return nodes.filter((one) => !isElement(one) || !isHidden(one));
}

function isHidden(element: Element): boolean {
  return element.attrs.some(
    ({ name, value }) =>
      name === 'hidden' ||
      (name === 'style' && /display\s*:\s*none/i.test(value)) ||
      (name === 'aria-hidden' && value === 'true') ||
      // In manuals: only where the help is read on another desktop than usual.
      (name === 'if:test' && value.startsWith('platform:')),
  );
}

/** Text of an element as a reader sees it: breaks as line ends, pictures by their text, key caps joined, note marks left out. */
function textOf(element: Element, depth: number): string {
  if (depth > DEEPEST) return '';
  let text = '';
  let lastWasKey = false;
  for (const node of shownOf(element.childNodes)) {
    if (text.length > ENOUGH) break;
    if (!isElement(node)) {
      const value = 'value' in node ? node.value : '';
      if (value.trim() !== '') lastWasKey = false;
      text += value.replace(/\s+/g, ' ');
      continue;
    }
    if (SKIPPED.has(node.tagName)) continue;
    const inner = textOf(node, depth + 1);
    if (node.tagName === 'img') text += node.attrs.find((attr) => attr.name === 'alt')?.value ?? '';
    else if (node.tagName === 'sup' && isNoteMark(inner)) continue;
    // What only leads to the place itself says nothing.
    else if (node.tagName === 'a' && /^(?:[¶§#🔗⚓]|&para;)?$/u.test(inner.trim())) continue;
    else if (BREAKS.has(node.tagName)) text += `\n${inner}${node.tagName === 'br' ? '' : '\n'}`;
    else {
      const isKey = node.tagName === 'kbd' || node.tagName === 'key';
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
