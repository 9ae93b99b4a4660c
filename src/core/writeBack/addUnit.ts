import type { FormRead, Span } from '../reading/tables';
import { commaAt, endsInComma, filledLength } from './commas';
import type { TextEdit } from './edits';
import { lineEnd } from './lineBounds';
import type { Place } from './placesOf';
import { isTable, type Unit, unitOf } from './unitOf';

type Text = { readonly text: string; readonly format: FormRead };

/** How lines of a text end. */
const endIn = (text: string): string => /\r\n|\n|\r/u.exec(text)?.[0] ?? '\n';

/** Another line, or record, behind one: written as a third is, with a name and keys of its own. */
export function addUnit({ text, format }: Text, behind: Place, like: Place, name: string, keys: string): TextEdit[] {
  const unit = unitOf(text, like, format);
  const fields = [
    { at: like.name, text: name },
    { at: like.keys, text: keys },
  ].sort((a, b) => a.at[0] - b.at[0]);
  let written = '';
  let from = unit.at[0];
  let before: (typeof fields)[number] | null = null;
  for (const field of fields) {
    const between = text.slice(from, field.at[0]);
    written += (before ? inColumn(between, before) : between) + field.text;
    from = field.at[1];
    before = field;
  }
  // What is remarked behind a line is remarked of that one alone.
  const rest = text.slice(from, unit.at[1]);
  const kept = unit.lines ? withoutNote(rest) : rest;
  const filled = written + kept;
  const counts = like.commentedOut ? usedAgain(filled, like.sign) : filled;
  return insertUnit(text, format, unitOf(text, behind, format), counts, unit);
}

/** What stands between two fields, so that the second begins in the column it has beside another text in the first. */
function inColumn(between: string, { at: [from, to], text }: { readonly at: Span; readonly text: string }): string {
  if (!/^ {2,}$/u.test(between)) return between;
  return ' '.repeat(Math.max(2, between.length + to - from - text.length));
}

/** Lines that say something while they are out of use, so that they count. */
function usedAgain(lines: string, sign: string): string {
  const bare = sign.trimEnd();
  return lines
    .replace(sign, '')
    .split('\n')
    .map((line, i) => (i > 0 && line.startsWith(bare) ? line.slice(bare.length) : line))
    .join('\n');
}

function withoutNote(rest: string): string {
  const found = /[ \t](?:#|\/\/|;)/u.exec(rest);
  if (!found) return rest;
  const end = lineEnd(rest, found.index);
  return rest.slice(0, found.index).trimEnd() + rest.slice(end);
}

function insertUnit(text: string, format: FormRead, after: Unit, unit: string, like: Unit): TextEdit[] {
  const at = after.at[1];
  if (!like.lines || !after.lines) {
    const comma = commaAt(text, at);
    return [{ from: at, to: at, text: (comma === '' ? (format === 'XML' ? '' : ', ') : comma) + unit.trimEnd() }];
  }
  const end = endIn(text);
  const body = unit.replace(/(?:\r\n|\r|\n)$/u, '');
  const own = text.slice(...after.at);
  const closed = /[\r\n]$/u.test(own);
  const placed = (line: string): TextEdit => ({ from: at, to: at, text: closed ? line + end : end + line });
  if (format !== 'JSON') return [placed(isTable(text, like, format) ? end + body : body)];
  const bare = endsInComma(body) ? body.slice(0, filledLength(body) - 1) : body;
  if (endsInComma(own)) return [placed(`${bare},`)];
  const filled = after.at[0] + filledLength(own);
  return [{ from: filled, to: filled, text: ',' }, placed(bare)];
}
