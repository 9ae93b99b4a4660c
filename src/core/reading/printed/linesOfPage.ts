import { readsAsKeys } from '../columnRoles';
import type { Piece, PrintedItem, PrintedLine, PrintedPage } from './printed';

/** Baselines nearer to each other than this part of the type's size are one: caps are set a little higher or smaller. */
const SAME_LINE = 0.4;
/** In parts of the type's size: less is no blank between two runs; more than a blank is; so much is no blank any more. */
const [BLANK, WIDE, APART] = [0.18, 0.55, 1.6];

/** The lines of a page from top to bottom, each with what stands in it from left to right. */
export function linesOfPage(page: PrintedPage): readonly PrintedLine[] {
  const items = page.filter((one) => one.text.trim() !== '' && one.size > 0).sort((a, b) => a.y - b.y || a.x - b.x);
  const lines: { y: number; size: number; items: PrintedItem[] }[] = [];
  for (const item of items) {
    const line = lines.at(-1);
    if (line && item.y - line.y <= SAME_LINE * Math.max(line.size, item.size)) {
      line.items.push(item);
      line.size = Math.max(line.size, item.size);
    } else lines.push({ y: item.y, size: item.size, items: [item] });
  }
  return lines.map(({ y, items: own }) => ({ y, pieces: piecesOf(own.sort((a, b) => a.x - b.x)) }));
}

/** A run in a piece, with what stands before it: nothing, a blank, or one where keys may begin. */
type Part = PrintedItem & { readonly joint: '' | ' '; readonly soft: boolean };

function piecesOf(items: readonly PrintedItem[]): readonly Piece[] {
  const pieces: Part[][] = [];
  for (const item of items) {
    const parts = pieces.at(-1);
    const before = parts?.at(-1);
    const em = before ? Math.min(before.size, item.size) : item.size;
    const gap = before ? item.x - (before.x + before.width) : 0;
    // Some print bold type by printing it twice, a hair apart.
    if (before && gap < -0.5 * item.width && before.text.trim() === item.text.trim()) continue;
    const blank = gap > BLANK * em || item.text.startsWith(' ') || (before?.text.endsWith(' ') ?? false);
    const soft = gap > WIDE * em || (blank && before?.font !== item.font);
    const part: Part = { ...item, joint: blank ? ' ' : '', soft };
    if (!parts || gap > APART * em) pieces.push([part]);
    else parts.push(part);
  }
  return pieces.flatMap((parts) => {
    // Keys stand close to what they are for where there is little room.
    const at = readsAsKeys(said(parts))
      ? -1
      : parts.findIndex(
          ({ soft }, i) => i > 0 && soft && readsAsKeys(said(parts.slice(i))) && !readsAsKeys(said(parts.slice(0, i))),
        );
    return at < 0 ? [pieceOf(parts)] : [pieceOf(parts.slice(0, at)), pieceOf(parts.slice(at))];
  });
}

const said = (parts: readonly Part[]): string =>
  parts
    .map(({ text, joint }, i) => (i === 0 ? '' : joint) + text)
    .join('')
    .replace(/\s+/gu, ' ')
    .trim();

function pieceOf(parts: readonly Part[]): Piece {
  const [first] = parts;
  const end = Math.max(...parts.map((one) => one.x + one.width));
  return { text: said(parts), x: first?.x ?? 0, end, size: first?.size ?? 0, font: first?.font ?? '' };
}
