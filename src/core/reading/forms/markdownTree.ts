import { parser, Table } from '@lezer/markdown';

/** A part of a text in Markdown by the names its parser has for them, and where it stands. */
export type MarkdownNode = {
  readonly name: string;
  readonly from: number;
  readonly to: number;
  readonly children: readonly MarkdownNode[];
};

const withTables = parser.configure([Table]);

/** A text in Markdown, tables among it, as a tree of what it is made of. */
export function markdownTree(text: string): MarkdownNode {
  type Open = MarkdownNode & { readonly children: MarkdownNode[] };
  const root: Open = { name: 'Document', from: 0, to: text.length, children: [] };
  const open: Open[] = [root];
  const { parsed, placeOf } = asParsed(text);
  withTables.parse(parsed).iterate({
    enter: ({ name, from, to }) => {
      if (name === 'Document') return;
      const node: Open = { name, from: placeOf(from), to: placeOf(to), children: [] };
      open.at(-1)?.children.push(node);
      open.push(node);
    },
    leave: ({ name }) => {
      if (name !== 'Document') open.pop();
    },
  });
  return root;
}

/** A text as the parser takes it, which knows one end of lines and no blanks behind the last bar of a row. */
function asParsed(text: string): { readonly parsed: string; readonly placeOf: (at: number) => number } {
  const lines = text.replace(/\r(?!\n)/gu, '\n');
  let parsed = '';
  let at = 0;
  /** Where something was left out, in what is parsed, and how much up to there. */
  const left: [place: number, much: number][] = [];
  for (const { 0: found, index } of lines.matchAll(/\|[ \t]+\r?(?=\n|$)|\r(?=\n)/gu)) {
    const begin = found.startsWith('|') ? index + 1 : index;
    parsed += lines.slice(at, begin);
    at = index + found.length;
    left.push([parsed.length, at - parsed.length]);
  }
  if (left.length === 0) return { parsed: lines, placeOf: (place) => place };
  const placeOf = (place: number): number => {
    let [low, high] = [0, left.length];
    while (low < high) {
      const middle = (low + high) >> 1;
      if ((left[middle]?.[0] ?? 0) < place) low = middle + 1;
      else high = middle;
    }
    return place + (left[low - 1]?.[1] ?? 0);
  };
  return { parsed: parsed + lines.slice(at), placeOf };
}
