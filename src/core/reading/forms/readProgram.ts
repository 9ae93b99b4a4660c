import type { RawRow, RawTables, Span } from '../tables';
import { leftLine } from './cells';
import { lineAt, linesOf } from './lines';
import { literalTree } from './literalTree';
import { readRecords } from './readRecords';

/** Keys with a modifier, or of a row of their own, in quotes. */
const QUOTED_KEYS = /["'`](?:(?:ctrl|control|alt|shift|cmd|strg|meta|super)[+-][^"'`\n]{1,40}|F\d{1,2})["'`]/iu;

/**
 * The lists that a program has written out, and the lines with keys that are in none of these, left out with the reason:
 * what a program works out can't be read. Null where it has no lists.
 * @throws UnreadableList past 20,000 rows.
 */
export function readProgram(text: string): RawTables | null {
  const tree = literalTree(text);
  if (!tree) return null;
  const read: readonly Span[] =
    tree.kind === 'map' && tree.entries[0]?.name === '' ? tree.entries.map((one) => one.value.span) : [tree.span];
  let at = 0;
  const rows = linesOf(text).flatMap((line): RawRow[] => {
    while ((read[at]?.[1] ?? Number.POSITIVE_INFINITY) <= line.from) at++;
    const isRead = (read[at]?.[0] ?? Number.POSITIVE_INFINITY) < line.from + line.text.length;
    if (isRead || !QUOTED_KEYS.test(line.text)) return [];
    return [leftLine(line, 'Holds keys, but in no list that is written out.')];
  });
  return {
    title: null,
    format: 'program text',
    tables: [...readRecords(tree, lineAt(text)), ...(rows.length > 0 ? [{ headings: [], rows }] : [])],
  };
}
