import { MOST_ROWS, type RawRow, type RawTables, tidyCell, UnreadableList } from '../tables';
import { linesOf } from './lines';
import { tooMany } from './tooMany';

const ENTRY = /\(\s*([\w-]+)\s+"((?:[^"\\]|\\.)*)"\s+"((?:[^"\\]|\\.)*)"\s*\)/gu;

/**
 * Lists of entries in parentheses, `(word "path/of/name" "keys")`, as toolkits write accelerator maps: the path gives the
 * place and the name, and an entry behind a semicolon is commented out. @returns no tables where there are no entries.
 */
export function readAccelerators(text: string): RawTables {
  const rows: RawRow[] = [];
  for (const line of linesOf(text)) {
    if (line.text.trim() === '') continue;
    if (rows.length > MOST_ROWS) throw new UnreadableList(tooMany);
    const base = { line: line.number, heading: false };
    const commentedOut = /^\s*;/u.test(line.text);
    let entries = 0;
    for (const found of line.text.matchAll(ENTRY)) {
      entries++;
      const [, word = '', path = '', keys = ''] = found;
      const start = line.from + found.index + found[0].indexOf('"', word.length) + 1;
      const steps = path
        .replace(/^<[^>]*>\/?/u, '')
        .split('/')
        .filter((step) => step !== '');
      const name = steps.pop() ?? path;
      const nameFrom = start + path.lastIndexOf(name);
      const keysFrom = line.from + found.index + found[0].lastIndexOf('"') - keys.length;
      rows.push({
        ...base,
        cells: [steps.join(' › '), name, keys].map((cell) => tidyCell(unescaped(cell))),
        spans: [
          [start, start + path.length],
          [nameFrom, nameFrom + name.length],
          [keysFrom, keysFrom + keys.length],
        ],
        ...(commentedOut ? { commentedOut } : {}),
      });
    }
    if (entries === 0)
      rows.push({
        ...base,
        cells: [tidyCell(line.text)],
        spans: [[line.from, line.from + line.text.length]],
        left: commentedOut ? 'A comment.' : 'No entry with a path and keys.',
      });
  }
  const entries = rows.some((row) => row.left === undefined);
  return {
    title: null,
    format: 'accelerator map',
    tables: entries ? [{ headings: [], header: ['Path', 'Name', 'Keys'], rows }] : [],
  };
}

const unescaped = (text: string): string => text.replace(/\\(.)/gu, '$1');
