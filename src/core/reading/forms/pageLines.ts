import type { Span } from '../tables';
import { BREAKS, DEEPEST, isElement, type Node, SKIPPED, shownOf, treeOf } from './readWebPage';

/** A line as a person sees it, with the parts of the source it is put together from. */
export type SeenLine = {
  readonly text: string;
  readonly pieces: readonly Piece[];
  /** Whether it is a heading of the page. */
  readonly heads?: true;
};
type Piece = { readonly at: number; readonly text: string; readonly from: number; readonly to: number };

const HEADINGS = new Set(['h1', 'h2', 'h3', 'h4', 'h5', 'h6']);
const BLOCKS = new Set([
  ...BREAKS,
  ...HEADINGS,
  'tr',
  'table',
  'ul',
  'ol',
  'dl',
  'section',
  'article',
  'main',
  'header',
  'footer',
  'pre',
  'blockquote',
  'caption',
  'summary',
  'details',
  'figure',
  'hr',
]);

const SEEN_APART = new Set(['span', 'kbd', 'code', 'b', 'strong', 'em', 'i', 'a', 'samp', 'label']);

/** The lines of a web page as it shows them; the cells of a table are parted by tabs. */
export function pageLines(html: string): SeenLine[] {
  return linesOfTree(treeOf(html).tree);
}

/** The same for a page whose tree is there already. */
export function linesOfTree(tree: { readonly childNodes: readonly Node[] }): SeenLine[] {
  const lines: SeenLine[] = [];
  let pieces: Piece[] = [];
  let length = 0;
  let heads = false;
  const end = (): void => {
    const own = pieces;
    let written = '';
    for (const one of own) written += one.text;
    const text = written.trimEnd();
    if (text !== '')
      lines.push({
        text,
        pieces: own,
        ...(heads ? { heads } : {}),
      });
    pieces = [];
    length = 0;
  };
  const add = (text: string, from: number, to: number): void => {
    if (text === '' || (length === 0 && text.trim() === '')) return;
    pieces.push({ at: length, text, from, to });
    length += text.length;
  };
  const walk = (nodes: readonly Node[], depth: number, kept: boolean): void => {
    if (depth > DEEPEST) return;
    let before: string | null = null;
    for (const node of shownOf(nodes)) {
      // Two parts that nothing stands between are seen apart, but for the keys of one chord.
      const last = before;
      before = isElement(node) ? node.tagName : null;
      if (
        isElement(node) &&
        last !== null &&
        SEEN_APART.has(last) &&
        SEEN_APART.has(node.tagName) &&
        last + node.tagName !== 'kbdkbd'
      ) {
        const place = node.sourceCodeLocation?.startOffset ?? 0;
        if (length > 0) add(' ', place, place);
      }
      if (!isElement(node)) {
        const value = 'value' in node ? node.value : '';
        const at = node.sourceCodeLocation;
        const from = at?.startOffset ?? 0;
        if (!kept) {
          const folded = value.replace(/\s+/gu, ' ');
          const bare = length === 0 || pieces.at(-1)?.text.endsWith(' ') ? folded.trimStart() : folded;
          add(bare, from + (value.length - value.trimStart().length && bare !== folded ? 1 : 0), at?.endOffset ?? from);
          continue;
        }
        let place = 0;
        for (const [i, part] of value.split('\n').entries()) {
          if (i > 0) end();
          add(part, from + place, from + place + part.length);
          place += part.length + 1;
        }
        continue;
      }
      if (SKIPPED.has(node.tagName)) continue;
      const own = BLOCKS.has(node.tagName);
      const place = node.sourceCodeLocation?.startOffset ?? 0;
      if (own) end();
      const heading = HEADINGS.has(node.tagName);
      if (heading) heads = true;
      if ((node.tagName === 'td' || node.tagName === 'th') && length > 0) add('\t', place, place);
      walk(node.childNodes, depth + 1, kept || node.tagName === 'pre');
      if (own) end();
      if (heading) heads = false;
    }
  };
  walk(tree.childNodes, 0, false);
  end();
  return lines;
}

/** Where a part of a line stands in the source. */
export const spanIn = ({ pieces }: SeenLine, from: number, to: number): Span => [
  placeIn(pieces, from, false),
  placeIn(pieces, to, true),
];

/** Where a place of a line stands in the source; where blanks or entities were folded, the whole text counts. */
function placeIn(pieces: readonly Piece[], place: number, end: boolean): number {
  let piece = pieces.at(-1);
  for (const one of pieces) {
    const last = one.at + one.text.length;
    if (end ? place <= one.at || place > last : place < one.at || place >= last) continue;
    piece = one;
    break;
  }
  if (!piece) return 0;
  const { at, text, from, to } = piece;
  return to - from === text.length ? from + place - at : end ? to : from;
}
