import { trimEnd } from '../../text/trimEnd';
import type { Span } from '../tables';
import type { Written } from './cells';

/** What may stand between keys that are one cell. */
const BESIDE = /^(?:[\s+\-/,]|\b(?:or|oder|ou|o|and|then)\b){0,6}$/iu;
/** Between a name and its keys, or keys and what they do. */
const BETWEEN = /\s*(?::\s|\s[-–—=→]\s|\t|\s{3,}|\s\|\s|::|=>)\s*/u;

/**
 * A line of a list as two cells where it has two sides: what is marked as keys or code at one end and the rest, or what
 * stands on both sides of the first colon, dash or tab.
 * @param marked where marks begin and end in the text, in order.
 * @param placeOf where a part of the text stands in the file; without it, where all of it does.
 */
export function sidesOfItem(
  item: Written,
  marked: readonly (readonly [number, number])[] = [],
  placeOf?: (from: number, to: number) => Span,
): readonly Written[] {
  const { text, span } = item;
  const part = (from: number, to: number): Written => {
    const raw = text.slice(from, to);
    const start = from + raw.length - raw.trimStart().length;
    const bare = raw.trim();
    return { text: bare, span: placeOf?.(start, start + bare.length) ?? span };
  };
  const [first, last] = [marked[0], marked.at(-1)];
  if (first && text.slice(0, first[0]).trim() === '') {
    // Marks that follow each other with little between them are one cell of keys.
    let end = first[1];
    for (const [from, to] of marked.slice(1)) {
      if (!BESIDE.test(text.slice(end, from))) break;
      end = to;
    }
    const rest = text.slice(end);
    const skip = /^\s*(?:[:–—=→|-]+|[.,])?\s*/u.exec(rest)?.[0].length ?? 0;
    if (rest.slice(skip).trim() !== '') return [part(0, end), part(end + skip, text.length)];
  } else if (
    last &&
    text
      .slice(last[1])
      .replace(/[.)\]]/gu, '')
      .trim() === '' &&
    first
  ) {
    let begin = last[0];
    for (const [from, to] of marked.slice(0, -1).reverse()) {
      if (!BESIDE.test(text.slice(to, begin))) break;
      begin = from;
    }
    const name = trimEnd(text.slice(0, begin), ' \n\t:–—=→|([-');
    if (name.trim() !== '') return [part(0, name.length), part(begin, last[1])];
  }
  const found = BETWEEN.exec(text);
  if (!found || found.index === 0) return [item];
  return [part(0, found.index), part(found.index + found[0].length, text.length)];
}
