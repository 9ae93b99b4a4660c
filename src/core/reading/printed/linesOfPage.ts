import { MODIFIER_WORDS } from '../../chord/modifierWords';
import { readKeysCell, withoutAnyWord } from '../readKeysCell';
import { type Piece, type PrintedItem, type PrintedLine, type PrintedPage, printsKeys } from './printed';
import { stretchesOf } from './stretchesOf';

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
  // Lists stand closer to each other on some pages than words in others: where no line has anything, they are two.
  const gutters = guttersOf(items, lines.length);
  return lines.map(({ y, items: own }) => ({
    y,
    pieces: piecesOf(
      own.sort((a, b) => a.x - b.x),
      gutters,
    ).slice(0, MOST_PIECES),
  }));
}

/** A run in a piece, with what stands before it: nothing, a blank, or one where keys may begin. */
type Part = PrintedItem & { readonly joint: '' | ' '; readonly soft: boolean };

/** In fewer lines blanks may stand below each other by chance. */
const ENOUGH_LINES = 8;
/** Where lists that stand side by side meet, from the left in points. */
function guttersOf(items: readonly PrintedItem[], lines: number): readonly number[] {
  if (lines < ENOUGH_LINES) return [];
  const stretches = stretchesOf(
    items.map(({ x, width }) => ({ x, end: x + width })),
    lines,
  );
  return stretches.slice(1).map(({ from }, i) => (from + (stretches[i]?.to ?? from)) / 2);
}

function piecesOf(items: readonly PrintedItem[], gutters: readonly number[]): readonly Piece[] {
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
    const crossed = gap > WIDE * em && gutters.some((at) => item.x - gap <= at && at <= item.x);
    // Caps of one chord may stand apart as far, on many lines below each other.
    const apart = gap > APART * em || (crossed && !(before && oneChord(before.text, item.text)));
    if (!parts || apart) pieces.push([part]);
    else parts.push(part);
  }
  return pieces.flatMap((parts) => {
    const at = keysIn(parts) || keysBefore(parts);
    return at === 0 ? [pieceOf(parts)] : [pieceOf(parts.slice(0, at)), pieceOf(parts.slice(at))];
  });
}

/** Whether two runs are of one chord: a modifier and what follows it, keys and the word that says they are held. */
const oneChord = (before: string, after: string): boolean =>
  MODIFIER_WORDS[before.trim().toLowerCase()] !== undefined ||
  /^\(?(?:hold|held|halten|maintenir|mantener)\b/iu.test(after);

/** Where the keys begin that stand close behind what they are for, where there is little room; 0 for nowhere. */
function keysIn(parts: readonly Part[]): number {
  const size = (some: readonly Part[]): number => some.reduce((sum, { text }) => sum + text.length + 1, 0);
  // A word for any key ends a name as well as keys.
  const areKeys = (some: readonly Part[], signs: number): boolean =>
    signs <= MOST_SIGNS && withoutAnyWord(said(some)) !== '' && printsKeys(said(some));
  const all = size(parts);
  // Words that are no keys may stand before some.
  const wholly = (text: string): boolean =>
    withoutAnyWord(text) !== null || readKeysCell(text, 'windows').problems.length === 0;
  if (areKeys(parts, all) && wholly(said(parts))) return 0;
  let [at, behind] = [0, 0];
  for (let i = parts.length - 1; i > 0 && behind <= MOST_SIGNS; i--) {
    behind += size(parts.slice(i, i + 1));
    if (!parts[i]?.soft || !areKeys(parts.slice(i), behind)) continue;
    if (!areKeys(parts.slice(0, i), all - behind)) at = i;
  }
  return at;
}

/** Where the name begins that stands close behind its keys, which are in another type; 0 for nowhere. */
function keysBefore(parts: readonly Part[]): number {
  if (printsKeys(said(parts))) return 0;
  const at = parts.findIndex(({ soft, font }, i) => i > 0 && soft && font !== parts[i - 1]?.font);
  return at > 0 && printsKeys(said(parts.slice(0, at))) && !printsKeys(said(parts.slice(at))) ? at : 0;
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
  return {
    text: said(parts),
    x: first?.x ?? 0,
    y: first?.y ?? 0,
    end,
    size: first?.size ?? 0,
    font: first?.font ?? '',
  };
}
