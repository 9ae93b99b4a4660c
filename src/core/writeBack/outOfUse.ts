import type { TextEdit } from './edits';
import { lineEnd } from './lineBounds';
import type { Place } from './placesOf';
import { type Unit, unitOf } from './unitOf';
import type { Writing } from './writing';

/** Takes the sign of a comment from the lines of a command, so that they count again. */
export function usedAgain({ text, format }: Writing, place: Place): TextEdit[] {
  if (place.commentedOut === null) return [];
  const sign = place.sign.trimEnd();
  return lineStarts(text, unitOf(text, place, format)).flatMap((from, i) => {
    // Further lines are set in behind the sign.
    const own = i === 0 ? place.sign : sign;
    return text.startsWith(own, from) ? [{ from, to: from + own.length, text: '' }] : [];
  });
}

/** Puts the sign of a comment before the lines of a command; nothing where it has none of its own. */
export function outOfUse({ text, format }: Writing, place: Place, sign: string): TextEdit[] {
  const unit = unitOf(text, place, format);
  if (!unit.lines) return [];
  return lineStarts(text, unit).map((from, i) => ({ from, to: from, text: i === 0 ? sign : sign.trimEnd() }));
}

/** Where the lines of a command begin: the first behind its blanks. */
function lineStarts(text: string, { at: [from, to] }: Unit): number[] {
  const starts = [startOf(text, from)];
  for (let end = lineEnd(text, from); end + 1 < to; end = lineEnd(text, end + 1)) starts.push(end + 1);
  return starts.filter((start) => !/[\r\n]/u.test(text[start] ?? '\n'));
}

/** Where a line begins behind its blanks. */
function startOf(text: string, at: number): number {
  let from = at;
  while (text[from] === ' ' || text[from] === '\t') from++;
  return from;
}
