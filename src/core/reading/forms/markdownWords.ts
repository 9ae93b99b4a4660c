import { parseFragment } from 'parse5';
import { trimEnd } from '../../text/trimEnd';
import { type Span, tidyCell } from '../tables';
import type { Written } from './cells';
import type { MarkdownNode } from './markdownTree';

/** What a part of a text says, where that stands, and which parts of it are marked as code or keys. */
export type SaidWords = {
  readonly cell: Written;
  readonly marked: readonly (readonly [number, number])[];
  readonly placeOf: (from: number, to: number) => Span;
};

/** So deep do marks in marks go. */
const DEEPEST = 40;
/** Signs of the form itself, which say nothing. */
const SILENT = /Mark$|^(?:URL|LinkTitle|LinkLabel|Comment|ProcessingInstruction)$/u;

/** Tells of a text in Markdown what a part of it says. */
export function saidBy(root: MarkdownNode, source: string): (node: MarkdownNode) => SaidWords {
  // What nothing is said of is no link, however much it looks like one.
  const known = new Set<string>();
  const collect = (node: MarkdownNode, depth: number): void => {
    if (node.name === 'LinkReference') {
      const label = node.children.find((one) => one.name === 'LinkLabel');
      if (label) known.add(labelIn(source, label.from + 1, label.to - 1));
    } else if (depth < DEEPEST && BLOCKS.test(node.name)) for (const one of node.children) collect(one, depth + 1);
  };
  collect(root, 0);
  return (node) => plainly(node, source) ?? saidIn(node, source, known);
}
const BLOCKS = /^(?:Document|Blockquote|ListItem|.*List)$/u;
const labelIn = (source: string, from: number, to: number): string =>
  source.slice(from, to).trim().replace(/\s+/gu, ' ').toLowerCase();

/** What a part says that is written without any sign of the form, as most are. */
function plainly({ from, to, children }: MarkdownNode, source: string): SaidWords | null {
  const text = source.slice(from, to);
  if (children.length > 0 || /[\r\n]/u.test(text) || text !== text.trim() || tidyCell(text) !== text) return null;
  const cell: Written = { text, span: [from, to] };
  return { cell, marked: [], placeOf: (a, b) => (b > a ? [from + a, from + b] : cell.span) };
}

function saidIn(node: MarkdownNode, source: string, known: ReadonlySet<string>): SaidWords {
  let text = '';
  const marked: [number, number][] = [];
  /** Where each text begins in what is said, and in the source, and where it ends there if it is longer there. */
  const pieces: [said: number, source: number, end: number | null][] = [];
  let [first, last] = [Number.POSITIVE_INFINITY, 0];
  let open: number | null = null;
  /** @param end where what is said ends in the source, where that is longer than it. */
  const say = (words: string, at: number, end = at + words.length): void => {
    if (words.trim() !== '') {
      first = Math.min(first, at + words.length - words.trimStart().length);
      last = Math.max(last, end - (words.length - words.trimEnd().length));
    }
    pieces.push([text.length, at, end > at + words.length ? end : null]);
    text += words;
  };
  const plain = (from: number, to: number): void => {
    // What is set in behind a sign of the form itself is no more than that.
    const set = text.endsWith('\n') ? (/^[ \t]*/u.exec(source.slice(from, to))?.[0].length ?? 0) : 0;
    const begin = from + set;
    let at = begin;
    for (const { 0: end, index } of source.slice(at, to).matchAll(/(?:\r\n?|\n)[ \t]*/gu)) {
      say(trimEnd(source.slice(at, begin + index), ' \t'), at);
      text += '\n';
      at = begin + index + end.length;
    }
    if (at < to) say(source.slice(at, to), at);
  };
  const code = ({ from, to, children }: MarkdownNode): void => {
    const [begin, end] = [children[0]?.to ?? from, children.at(-1)?.from ?? to];
    const raw = source.slice(begin, end);
    const padded = /^ .* $/su.test(raw) && raw.trim() !== '' ? 1 : 0;
    const start = text.length;
    let at = begin + padded;
    // A bar in a cell of a table is written with a backslash, in code too.
    for (const part of raw.slice(padded, raw.length - padded).split(/(?=\\\|)/u)) {
      const bar = part.startsWith('\\|') ? 1 : 0;
      say(part.slice(bar).replace(/\r?\n|\r/gu, ' '), at + bar, at + part.length);
      at += part.length;
    }
    marked.push([start, text.length]);
  };
  const tag = (words: string): void => {
    // Keys in `<kbd>` beside each other are one chord.
    if (/^<kbd/iu.test(words)) {
      const before = marked.at(-1);
      if (before && text.slice(before[1]) === '') text += '+';
      open = text.length;
    } else if (/^<\/kbd/iu.test(words) && open !== null) {
      marked.push([open, text.length]);
      open = null;
    } else if (/^<br/iu.test(words)) text += '\n';
  };
  const inside = (from: number, to: number, children: readonly MarkdownNode[], depth: number): void => {
    let at = from;
    for (const one of children) {
      if (one.from < from || one.to > to) continue;
      if (at < one.from) plain(at, one.from);
      walk(one, depth + 1);
      at = one.to;
    }
    if (at < to) plain(at, to);
  };
  const link = ({ from, to, children }: MarkdownNode, depth: number): void => {
    const marks = children.filter((one) => one.name === 'LinkMark');
    const [begins = { from, to: from }, ends = { from: to, to }] = marks;
    const label = children.find((one) => one.name === 'LinkLabel');
    const named = label && label.to - label.from > 2 ? [label.from + 1, label.to - 1] : [begins.to, ends.from];
    const led = marks.length > 2 || known.has(labelIn(source, named[0] ?? 0, named[1] ?? 0));
    if (!led) plain(from, begins.to);
    inside(begins.to, ends.from, children, depth);
    if (!led) plain(ends.from, to);
  };
  const walk = (one: MarkdownNode, depth: number): void => {
    const { name, from, to, children } = one;
    if (SILENT.test(name) || depth > DEEPEST) return;
    if (name === 'InlineCode') code(one);
    else if (name === 'HTMLTag') tag(source.slice(from, to));
    else if (name === 'HardBreak') text += '\n';
    else if (name === 'Escape') say(source.slice(from + 1, to), from, to);
    else if (name === 'Entity') say(decoded(source.slice(from, to)), from, to);
    else if (name === 'Link' || name === 'Image') link(one, depth);
    else if (name === 'Autolink') plain(from + 1, to - 1);
    else if (name === 'Emphasis' || name === 'StrongEmphasis') {
      const begin = text.length;
      inside(from, to, children, depth);
      marked.push([begin, text.length]);
    } else inside(from, to, children, depth);
  };
  walk(node, 0);
  const span: Span = first > last ? [node.from, node.from] : [first, last];
  const lead = text.length - text.trimStart().length;
  const tidy = tidyCell(text) === text.trim();
  const pieceAt = (at: number) => pieces.findLast(([begin]) => begin <= at + lead) ?? ([0, node.from, null] as const);
  const inSource = (at: number): number => {
    const [said, begin] = pieceAt(at);
    return begin + at + lead - said;
  };
  return {
    cell: { text: tidyCell(text), span },
    placeOf: (a, b) => (tidy && b > a ? [inSource(a), pieceAt(b - 1)[2] ?? inSource(b - 1) + 1] : span),
    // Places no longer fit where blanks were folded.
    marked: (tidy ? marked : [])
      .map(([a, b]) => [Math.max(0, a - lead), Math.max(0, b - lead)] as const)
      .sort((a, b) => a[0] - b[0]),
  };
}

/** The sign that an entity stands for. */
function decoded(entity: string): string {
  const [node] = parseFragment(entity).childNodes;
  return node && 'value' in node ? node.value : entity;
}
