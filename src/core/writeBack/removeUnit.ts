import type { FormRead } from '../reading/tables';
import { commaAt, endsInComma, filledLength, NEAR } from './commas';
import type { TextEdit } from './edits';
import type { Place } from './placesOf';
import { isTable, unitOf } from './unitOf';

type Text = { readonly text: string; readonly format: FormRead };

/** Takes all that is said of a command out, with the comma behind it. */
export function removeUnit({ text, format }: Text, place: Place): TextEdit[] {
  const { at, lines } = unitOf(text, place, format);
  if (!lines) {
    const comma = commaAt(text, at[1]).length;
    return [{ from: at[0], to: at[1] + comma, text: '' }];
  }
  // The last line of a file without an end of line takes that of the line before with it.
  const noEnd = at[1] === text.length && !/[\r\n]$/u.test(text) && at[0] > 0;
  const start = noEnd ? at[0] - (text.slice(0, at[0]).endsWith('\r\n') ? 2 : 1) : at[0];
  const blank = isTable(text, { at, lines }, format)
    ? (/^(?:[ \t]*(?:\r\n|\r|\n))+/u.exec(text.slice(at[1]))?.[0].length ?? 0)
    : 0;
  return [{ from: start, to: at[1] + blank, text: '' }];
}

/** Commas that lead to nothing once what stood behind them is taken out, where the last has none. */
export function commasLeft({ text, format }: Text, edits: readonly TextEdit[]): TextEdit[] {
  if (format !== 'JSON') return [];
  return edits.flatMap((one, i): TextEdit[] => {
    if (one.text !== '' || one.to === one.from || edits[i + 1]?.from === one.to) return [];
    const own = text.slice(one.from, one.to);
    if (!/[\]}]/u.test(signAfter(text, one.to)) || endsInComma(own) || !/[}\]"]/u.test(own)) return [];
    let from = one.from;
    for (let k = i - 1; edits[k]?.to === from && edits[k]?.text === ''; k--) from = edits[k]?.from ?? from;
    const start = Math.max(0, from - NEAR);
    const comma = start + filledLength(text.slice(start, from)) - 1;
    return text[comma] === ',' ? [{ from: comma, to: comma + 1, text: '' }] : [];
  });
}

/** The next sign of a text that is no blank, nor of a comment. */
function signAfter(text: string, at: number): string {
  let from = at;
  for (;;) {
    while (/\s/u.test(text[from] ?? '')) from++;
    const end = text.startsWith('//', from) ? '\n' : text.startsWith('/*', from) ? '*/' : null;
    if (end === null) return text[from] ?? '';
    const found = text.indexOf(end, from);
    if (found < 0) return '';
    from = found + end.length;
  }
}
