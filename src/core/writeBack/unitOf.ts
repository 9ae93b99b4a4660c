import type { FormRead, Span } from '../reading/tables';
import { lineEnd, lineStart } from './lineBounds';
import type { Place } from './placesOf';

/** All that is said of one command: its lines, with the end of the last; or, where others share these, its record. */
export type Unit = { readonly at: Span; readonly lines: boolean };

const TREES: ReadonlySet<FormRead> = new Set(['JSON', 'XML', 'YAML', 'TOML', 'property list']);

/** The lines, or the record, of a command. */
export function unitOf(
  text: string,
  { name, keys, whole }: Pick<Place, 'name' | 'keys' | 'whole'>,
  format: FormRead,
): Unit {
  const from = Math.min(name[0], keys[0], whole?.[0] ?? Infinity);
  const to = Math.max(name[1], keys[1], whole?.[1] ?? 0);
  const [start, end] = [lineStart(text, from), lineEnd(text, to)];
  const lines = [start, afterEnd(text, end)] as const;
  if (!TREES.has(format)) return { at: lines, lines: true };
  const alone = /^(?:- ?)?(?:\[{1,2}[\w."' -]{1,80}\]{1,2})?$/u.test(text.slice(start, from).trim());
  const behind = text.slice(to, end).trimStart().replace(/^[,;]/u, '').trimStart();
  const nothing = behind === '' || /^(?:\/\/|#|\/\*|<!--)/u.test(behind);
  return alone && nothing ? { at: lines, lines: true } : { at: [from, to], lines: false };
}

function afterEnd(text: string, end: number): number {
  return text.startsWith('\r\n', end) ? end + 2 : Math.min(text.length, end + 1);
}

/** Whether a record has a head of its own, with a blank line before it. */
export const isTable = (text: string, { at }: Unit, format: FormRead): boolean =>
  format === 'TOML' && /^\s*\[/u.test(text.slice(...at));
