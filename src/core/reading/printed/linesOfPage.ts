import { type Piece, type PrintedItem, type PrintedLine, type PrintedPage, printsKeys } from './printed';

/** Baselines nearer to each other than this part of the type's size are one: caps are set a little higher or smaller. */
const SAME_LINE = 0.4;
/** In parts of the type's size: less is no blank between two runs; more than a blank is; so much is no blank any more. */
const [BLANK, WIDE, APART] = [0.18, 0.55, 1.6];

/** So many signs are looked at for keys, and so many pieces of a line are taken: none of any list has as many. */
const [MOST_SIGNS, MOST_PIECES] = [120, 200];

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
  return lines.map(({ y, items: own }) => ({
    y,
    pieces: piecesOf(own.sort((a, b) => a.x - b.x)).slice(0, MOST_PIECES),
  }));
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
    const at = keysIn(parts);
    return at === 0 ? [pieceOf(parts)] : [pieceOf(parts.slice(0, at)), pieceOf(parts.slice(at))];
  });
}

/** Where the keys begin that stand close behind what they are for, where there is little room; 0 for nowhere. */
function keysIn(parts: readonly Part[]): number {
  const size = (some: readonly Part[]): number => some.reduce((sum, { text }) => sum + text.length + 1, 0);
  const areKeys = (some: readonly Part[], signs: number): boolean => signs <= MOST_SIGNS && printsKeys(said(some));
  const all = size(parts);
  if (areKeys(parts, all)) return 0;
  let [at, behind] = [0, 0];
  for (let i = parts.length - 1; i > 0 && behind <= MOST_SIGNS; i--) {
    behind += size(parts.slice(i, i + 1));
    if (!parts[i]?.soft || !areKeys(parts.slice(i), behind)) continue;
    if (!areKeys(parts.slice(0, i), all - behind)) at = i;
  }
  return at;
}

const said = (parts: readonly Part[]): string =>
  parts
    .map(({ text, joint }, i) => (i === 0 ? '' : joint) + text)
    .join('')
    .replace(/\s+/gu, ' ')
    .trim();

function pieceOf(parts: readonly Part[]): Piece {
  const [first] = parts;
  const end = parts.reduce((most, one) => Math.max(most, one.x + one.width), first?.x ?? 0);
  return { text: said(parts), x: first?.x ?? 0, end, size: first?.size ?? 0, font: first?.font ?? '' };
}
