import { trimEnd } from '../text/trimEnd';

/** A name without note marks, leaders, the dots that announce a dialog, and the colon of a heading. */
export function cleanName(text: string): string {
  const bare = withoutNoteMarks(unmarked(text.trim()))
    .replace(/^(?:[•·‣▪◦●*\-–—]|\[[ xX]?\])\s+/u, '')
    .replace(/\s+/g, ' ');
  const dots = trimEnd(bare, '.');
  const open = dots.endsWith('…') ? dots.slice(0, -1) : bare.length - dots.length > 2 ? dots : null;
  const name = open === null ? bare : `${open.trimEnd()}…`;
  return (name.endsWith(':') ? name.slice(0, -1) : name).trim();
}

/** A text without the stars around all of it that set it in bold. */
const unmarked = (text: string): string => /^\*\*([^*]+)\*\*:?$/u.exec(text)?.[1]?.trim() ?? text;

/** A text without the marks at its end that lead to notes below: `*`, `†`, `²`, `[12]`. */
function withoutNoteMarks(text: string): string {
  // Between two of them stands a part of the name.
  if (text.endsWith('*') && /[^*]/u.test(text.slice(text.indexOf('*')))) return text;
  for (let rest = text; ; ) {
    const shorter = trimEnd(rest, ' \n¹²³⁴⁵⁶⁷⁸⁹†‡*');
    const number = /\[\d{1,2}\]$/.exec(shorter.slice(-4))?.[0];
    if (number === undefined) return shorter;
    rest = shorter.slice(0, -number.length);
  }
}
