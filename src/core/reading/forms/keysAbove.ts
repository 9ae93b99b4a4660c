import { readKeysCell } from '../readKeysCell';
import { type RawRow, tidyCell } from '../tables';
import { leftLine, partOf, rowWith, type Written } from './cells';
import type { Line } from './lines';

const COMMENT = /^\s*(?:#|;|\/\/)/u;
const isSetIn = (line: Line | undefined): boolean => line !== undefined && /^[ \t]+\S/u.test(line.text);
/** So many ways do braces stand for, at most. */
const MOST = 60;

/**
 * Keys in a line of their own with what they do set in below it, as `super + {h,l}` above `turn {left,right}`: what stands
 * in braces is one way each, of keys and of what they do. Null where lines are mostly otherwise.
 * @param lines those that are not empty.
 */
export function keysAbove(lines: readonly Line[]): RawRow[] | null {
  const told = lines.filter(({ text }) => !COMMENT.test(text));
  const heads = told.filter((line) => !isSetIn(line));
  const known = new Set(told.filter((line, i) => !isSetIn(line) && isSetIn(told[i + 1])));
  const keyed = [...known].filter(({ text }) => areKeys(text)).length;
  if (keyed < 3 || keyed < 0.6 * heads.length) return null;
  let above: Line | null = null;
  return lines.flatMap((line, at): RawRow[] => {
    const left = (why: string): RawRow[] => [leftLine(line, why)];
    if (COMMENT.test(line.text)) return left('A comment.');
    if (!isSetIn(line)) {
      above = known.has(line) ? line : null;
      return left(above ? 'Keys for what stands below.' : 'Binds no keys.');
    }
    if (!above) return left('Goes on with the line above.');
    const keys = partOf(above, 0);
    above = null;
    // What it does may take several lines.
    const after = lines.slice(at).findIndex((one) => !isSetIn(one) || COMMENT.test(one.text));
    const all = lines.slice(at, after < 0 ? undefined : at + after).map((one) => partOf(one, 0));
    const name: Written = {
      text: tidyCell(all.map(({ text }) => (text.endsWith('\\') ? text.slice(0, -1).trimEnd() : text)).join(' ')),
      span: [all[0]?.span[0] ?? 0, all.at(-1)?.span[1] ?? 0],
    };
    const [ways, names] = [waysIn(keys.text), waysIn(name.text)];
    // Rows are known by where they stand.
    const row = (called: string, pressed: readonly string[], i: number): RawRow => ({
      ...rowWith(line.number, [
        { text: '', span: [keys.span[0] + i, keys.span[0] + i] },
        { ...name, text: called },
        { ...keys, text: pressed.map(plain).join('\n') },
      ]),
      whole: [keys.span[0], name.span[1]],
    });
    return ways.length > 1 && ways.length === names.length
      ? names.map((called, i) => row(called, ways.slice(i, i + 1), i))
      : [row(name.text, ways, 0)];
  });
}

const areKeys = (text: string): boolean => {
  const [first = ''] = waysIn(text.trim());
  return readKeysCell(plain(first), 'windows').status === 'keys';
};

/** Keys without the signs that say when they count; one after the other where `;` or `:` leads on. */
const plain = (keys: string): string =>
  keys.replace(/(?<=^|[\s+])[@~]+(?=\S)/gu, '').replace(/(?<=[^\s+])\s*[;:]\s+(?=\S)/gu, ' then ');

/** All that a text says with one of the words in each of its braces; itself where it has none, or too many. */
function waysIn(text: string): readonly string[] {
  let ways = [''];
  let from = 0;
  for (const { 0: braces, 1: inside = '', index } of text.matchAll(/\{([^{}]{1,200})\}/gu)) {
    if (!/,|^\w-\w$/u.test(inside)) continue;
    const words = inside.split(',').flatMap(wordsOf);
    ways = ways.flatMap((way) => words.map((word) => way + text.slice(from, index) + word));
    if (ways.length > MOST) return [text];
    from = index + braces.length;
  }
  return ways.map((way) => way + text.slice(from));
}

/** What a part of braces stands for: nothing, as `_`, all of a range, or itself. */
function wordsOf(part: string): readonly string[] {
  const [, first = '', last = ''] = /^\s*(\d)-(\d)\s*$/u.exec(part) ?? [];
  if (first !== '' && first < last)
    return Array.from({ length: Number(last) - Number(first) + 1 }, (_, i) => `${Number(first) + i}`);
  return [part.trim() === '_' ? '' : part];
}
