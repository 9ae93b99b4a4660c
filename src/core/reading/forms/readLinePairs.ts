import { mayBegin } from '../mayBeKeys';
import { HEADS, type RawTable } from '../tables';
import { leftLine, partOf, rowWith } from './cells';
import { isSure, reads } from './keysInLine';
import type { Line } from './lines';
import { underHeadings } from './underHeadings';

/** A line of a text or of a page, and whether it is known to be a heading. */
export type HeadedLine = Line & { readonly heads?: true };

/** Names have at most so many signs, keys so many. */
const [LONGEST_NAME, LONGEST_KEYS] = [120, 60];
const FEWEST = 3;
/** What a heading begins with in Markdown. */
const HASHES = /^#{1,6}\s+/u;

const areKeys = (text: string): boolean => mayBegin(/^\S*/u.exec(text)?.[0] ?? '') && reads(text);

/**
 * A list with each name in one line and its keys in the next, or the other way around, as what is copied out of a page
 * often comes; null where lines are mostly otherwise.
 */
export function readLinePairs(lines: readonly HeadedLine[]): RawTable[] | null {
  const filled = lines.filter((line) => line.text.trim() !== '');
  const isKeys = (line: Line | undefined): boolean =>
    line !== undefined && line.text.trim().length <= LONGEST_KEYS && areKeys(line.text.trim());
  // Most lines are told from keys by their length alone.
  const short = filled.filter((line) => line.text.trim().length <= LONGEST_KEYS).length;
  if (short < 0.4 * filled.length || filled.length < 2 * FEWEST) return null;
  const keyed = new Set(filled.filter(isKeys));
  if (keyed.size < FEWEST || keyed.size < 0.35 * filled.length || keyed.size > 0.6 * filled.length) return null;
  const sure = [...keyed].filter(({ text }) => isSure(text)).length;
  if (sure < 0.3 * keyed.size) return null;
  const [first, last] = [filled[0], filled.at(-1)];
  const keysFirst = first !== undefined && keyed.has(first) && last !== undefined && !keyed.has(last);
  const found = underHeadings();
  let paired = 0;
  // An empty line between them is one between all.
  const near = (line: Line, next: Line | undefined): boolean => next?.number === line.number + 1;
  const apart = !filled.some((line, i) => near(line, filled[i + 1]) && keyed.has(line) !== isKeys(filled[i + 1]));
  for (let i = 0; i < filled.length; i++) {
    const [line, next] = [filled[i] as Line, filled[i + 1]];
    const one = keyed.has(line);
    const isPair =
      next !== undefined && one === keysFirst && keyed.has(next) !== keysFirst && (apart || near(line, next));
    const [name, keys] = keysFirst ? [next, line] : [line, next];
    if (isPair && name && keys && name.text.trim().length <= LONGEST_NAME) {
      found.add({
        ...rowWith(line.number, [partOf(name, HASHES.exec(name.text)?.[0].length ?? 0), partOf(keys, 0)]),
        whole: [line.from, next.from + next.text.length],
      });
      paired++;
      i++;
      continue;
    }
    // A line before a name is what the names below it belong to.
    const heads = !one && next !== undefined && (keysFirst ? keyed.has(next) : !keyed.has(next));
    if (heads) found.under([partOf(line, 0).text.replace(HASHES, '')]);
    found.add(leftLine(line, heads ? HEADS : one ? 'Keys without a name beside them.' : 'A name without keys.', heads));
  }
  return paired < 0.7 * keyed.size ? null : found.tables().map((table) => ({ ...table, header: ['Name', 'Keys'] }));
}
