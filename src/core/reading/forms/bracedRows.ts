import { trimEnd } from '../../text/trimEnd';
import type { RawRow } from '../tables';
import { leftLine, partOf, rowWith, unquoted, type Written } from './cells';
import { reads } from './keysInLine';
import { indentOf, type Line } from './lines';

const COMMENT = /^\s*(?:#|\/\/|;)/u;
/** What opens a block: a word that binds, keys in quotes or bare, and what they do within braces, in one line or several. */
const OPENS =
  /^((?:\p{L}[\w-]{0,30}(?:[ \t]{0,4}=)?[ \t]{1,8})?)((?:"[^"]{1,60}"[ \t]{0,8}){1,4}|[^\s"{}]\S{0,60}[ \t]{1,8})(?:[\w-]{1,40}=(?:"[^"]{0,80}"|[^\s"{}]{1,40})[ \t]{1,8}){0,4}\{/u;
/** A part of the file, such as `Global {`. */
const PART = /^\s*(\p{L}[\w -]{0,60}?)\s*\{\s*$/u;
/** What a block does, where it is said as `Actions = "…"`. */
const SAID = /^\p{L}\w{0,30}[ \t]{0,4}=[ \t]{0,4}(?="[^"]*"$)/u;
const FEWEST = 3;
const MOST_INSIDE = 12;

type Opened = { readonly keys: Written; readonly from: number; readonly quoted: boolean };
function openedBy(line: Line): Opened | null {
  const set = indentOf(line.text);
  const found = COMMENT.test(line.text) ? null : OPENS.exec(line.text.slice(set));
  if (!found) return null;
  const [whole, lead = '', keys = ''] = found;
  const own = partOf(line, set + lead.length, set + lead.length + keys.length);
  // A word without quotes names a part, however much it is one for a key.
  if (!own.text.startsWith('"') && !/\S[+-]\S|^<|^F\d{1,2}$/u.test(own.text)) return null;
  // Several in quotes are one way each.
  const bare = /^"[^"]*"$/u.test(own.text)
    ? unquoted(own)
    : { ...own, text: own.text.replace(/"\s+"/gu, '\n').replace(/"/gu, '') };
  return { keys: bare, from: set + whole.length, quoted: own.text.startsWith('"') };
}

/**
 * Keys with what they do in braces behind them, as `bind "Ctrl g" { Lock; }`, in one line or in several; blocks within
 * blocks are strokes that follow. Null where lines are mostly otherwise.
 * @param lines those that are not empty.
 */
export function bracedRows(lines: readonly Line[]): RawRow[] | null {
  const opened = lines.map(openedBy);
  const some = opened.filter((one) => one !== null);
  const keyed = some.filter((one) => reads(one.keys.text)).length;
  if (keyed < FEWEST || keyed < 0.6 * some.length) return null;
  const rows: RawRow[] = [];
  /** What is open: strokes that lead on, or a part of the file. */
  const open: { readonly strokes: string | null; readonly part: Written | null }[] = [];
  const left = (line: Line, why: string, heading = false): void => {
    rows.push(leftLine(line, why, heading));
  };
  for (let i = 0; i < lines.length; i++) {
    const [line, own] = [lines[i] as Line, opened[i] ?? null];
    if (COMMENT.test(line.text)) {
      left(line, 'A comment.');
      continue;
    }
    // What is in quotes is meant as keys where it binds as the others do, whether it can be read or not.
    const meant = own !== null && (reads(own.keys.text) || (own.quoted && line.text.trimEnd().endsWith('}')));
    if (own && meant) {
      const inside = insideOf(lines, i, own.from);
      const strokes = [...open.flatMap((one) => one.strokes ?? []), own.keys.text].join(' then ');
      if (inside === 'blocks') {
        open.push({ strokes: own.keys.text, part: null });
        left(line, 'Keys that lead on to those below.');
        continue;
      }
      const [name, last] = inside;
      const place = open.findLast((one) => one.part !== null)?.part ?? {
        text: '',
        span: [own.keys.span[0], own.keys.span[0]],
      };
      if (name.text === '') left(line, 'Binds nothing.');
      else
        rows.push({
          ...rowWith(line.number, [place, name, { ...own.keys, text: strokes }]),
          ...(strokes === own.keys.text && !strokes.includes('\n') ? {} : { apart: true as const }),
          whole: [line.from, (lines[last]?.from ?? line.from) + (lines[last]?.text.length ?? 0)],
        });
      i = last;
      continue;
    }
    const part = PART.exec(line.text)?.[1];
    if (part !== undefined) {
      open.push({ strokes: null, part: partOf(line, line.text.indexOf(part), line.text.indexOf(part) + part.length) });
      left(line, 'Names a part of the file.', true);
      continue;
    }
    if (/^\s*\}/u.test(line.text)) open.pop();
    left(line, 'Binds no keys.');
  }
  return rows;
}

/** What stands in a block, as one, and the line it ends in; or that there are blocks in it. */
function insideOf(lines: readonly Line[], at: number, from: number): readonly [Written, number] | 'blocks' {
  const line = lines[at] as Line;
  const close = line.text.lastIndexOf('}');
  if (close >= from) return [said(line, from, close), at];
  const inner: Written[] = line.text.slice(from).trim() === '' ? [] : [said(line, from, line.text.length)];
  for (let i = at + 1; i < lines.length && i <= at + MOST_INSIDE; i++) {
    const next = lines[i] as Line;
    if (/\{\s*$/u.test(next.text) || openedBy(next)) return 'blocks';
    const end = next.text.indexOf('}');
    if (end >= 0 || i === lines.length - 1) {
      if (end > 0 && next.text.slice(0, end).trim() !== '') inner.push(said(next, 0, end));
      const [first, last] = [inner[0], inner.at(-1)];
      const empty: Written = { text: '', span: [next.from, next.from] };
      return [
        first && last ? { text: inner.map(({ text }) => text).join('; '), span: [first.span[0], last.span[1]] } : empty,
        i,
      ];
    }
    if (!COMMENT.test(next.text)) inner.push(said(next, 0, next.text.length));
  }
  return 'blocks';
}

/** What is done, without the word that says so and the sign that ends it. */
function said(line: Line, from: number, to: number): Written {
  const body = trimEnd(line.text.slice(from, to), ' \t;');
  const set = indentOf(body);
  const lead = SAID.exec(body.slice(set))?.[0].length ?? 0;
  return unquoted(partOf(line, from + set + lead, from + body.length));
}
