import type { Span } from '../tables';
import { BREAKS, DEEPEST, isElement, type Node, SKIPPED, shownOf, treeOf } from './readWebPage';

/** A line as a person sees it, and where a part of it stands in the source. */
export type SeenLine = {
  readonly text: string;
  readonly spanOf: (from: number, to: number) => Span;
  /** Whether it is a heading of the page. */
  readonly heads?: true;
};
type Piece = { readonly at: number; readonly text: string; readonly from: number; readonly to: number };

const BLOCKS = new Set([
  ...BREAKS,
  'tr',
  'table',
  'ul',
  'ol',
  'dl',
  'h1',
  'h2',
  'h3',
  'h4',
  'h5',
  'h6',
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
    const text = own
      .map((one) => one.text)
      .join('')
      .trimEnd();
    if (text.trim() !== '')
      lines.push({
        text,
        spanOf: (from, to) => [placeIn(own, from), placeIn(own, to, true)],
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
      if (/^h[1-6]$/u.test(node.tagName)) heads = true;
      if (/^t[dh]$/u.test(node.tagName) && length > 0) add('\t', place, place);
      walk(node.childNodes, depth + 1, kept || node.tagName === 'pre');
      if (own) end();
      if (/^h[1-6]$/u.test(node.tagName)) heads = false;
    }
  };
  walk(tree.childNodes, 0, false);
  end();
  return lines;
}

/** Where a place of a line stands in the source; where blanks or entities were folded, the whole text counts. */
function placeIn(pieces: readonly Piece[], place: number, end = false): number {
  const piece =
    pieces.find(
      ({ at, text }) =>
        (end ? place > at : place >= at) && (end ? place <= at + text.length : place < at + text.length),
    ) ?? pieces.at(-1);
  if (!piece) return 0;
  const { at, text, from, to } = piece;
  return to - from === text.length ? from + place - at : end ? to : from;
}
