import { MOST_ROWS, UnreadableList } from '../tables';
import { tooMany } from './tooMany';

/** A line of a text, without its end; `from` is where it begins, `number` counts from 1. */
export type Line = { readonly number: number; readonly from: number; readonly text: string };

/** Lines with nothing in them count as well. */
const MOST_LINES = 10 * MOST_ROWS;

const END = /\r\n|\r|\n/g;

/** @throws UnreadableList for more lines than a list may have; some packages take long for lines with nothing in them. */
export function refuseTooManyLines(text: string): void {
  END.lastIndex = 0;
  for (let lines = 1; END.test(text); ) if (++lines > MOST_LINES) throw new UnreadableList(tooMany);
}

/** The lines of a text, whatever ends them. @throws UnreadableList for more lines than a list may have. */
export function linesOf(text: string): Line[] {
  refuseTooManyLines(text);
  const lines: Line[] = [];
  const end = new RegExp(END);
  for (let from = 0; from <= text.length; ) {
    const found = end.exec(text);
    const to = found ? found.index : text.length;
    lines.push({ number: lines.length + 1, from, text: text.slice(from, to) });
    if (!found) break;
    from = end.lastIndex;
  }
  return lines;
}

/** Tells the number of the line that a place of a text is in. */
export function lineAt(text: string): (place: number) => number {
  const ends: number[] = [];
  for (let at = text.indexOf('\n'); at >= 0; at = text.indexOf('\n', at + 1)) ends.push(at);
  return (place) => {
    let [low, high] = [0, ends.length];
    while (low < high) {
      const middle = (low + high) >> 1;
      if ((ends[middle] ?? 0) < place) low = middle + 1;
      else high = middle;
    }
    return low + 1;
  };
}

/** How far a line is set in, in signs. */
export const indentOf = (text: string): number => text.length - text.trimStart().length;

const TAB = 8;
/** The column after a sign that stands in another: tabs lead to the next eighth. */
const after = (sign: string | undefined, column: number): number =>
  sign === '\t' ? (Math.floor(column / TAB) + 1) * TAB : column + 1;

/** The column a place in a line is seen in. */
export function columnAt(text: string, place: number): number {
  if (!text.includes('\t')) return place;
  let column = 0;
  for (let i = 0; i < place; i++) column = after(text[i], column);
  return column;
}

/** The place of a line that is seen in a column; null where none begins there. */
export function placeAt(text: string, column: number): number | null {
  let seen = 0;
  let place = 0;
  while (seen < column && place < text.length) seen = after(text[place++], seen);
  return seen === column && place < text.length ? place : null;
}
