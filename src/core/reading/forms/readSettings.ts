import { MOST_ROWS, type RawRow, type RawTable, type RawTables, UnreadableList } from '../tables';
import { partOf, rowCells, unquoted, type Written } from './cells';
import { type Line, linesOf } from './lines';
import { tooMany } from './tooMany';

const SECTION = /^\s*\[+([^\]]{1,120})\]+\s*(?:[#;].*)?$/u;
const COMMENT = /^\s*(?:[#;]|\/\/|--(?!\S))/u;

/**
 * Lines of `name = value` under sections in brackets, as most programs keep settings; `:=` and `+=` are read alike. Which
 * side holds the keys is for whoever looks at both. A line that is one once its comment sign is taken away is read, too,
 * and marked so.
 */
export function readSettings(text: string): RawTables {
  const tables: RawTable[] = [];
  let [headings, rows]: [string[], RawRow[]] = [[], []];
  const close = (): void => {
    if (rows.length > 0) tables.push({ headings, rows });
    rows = [];
  };
  let all = 0;
  for (const line of linesOf(text)) {
    if (line.text.trim() === '') continue;
    if (++all > MOST_ROWS) throw new UnreadableList(tooMany);
    const section = SECTION.exec(line.text)?.[1];
    if (section !== undefined) {
      close();
      headings = section
        .split(/[.:/\\]/u)
        .map((step) => step.trim().replace(/^"(.*)"$/u, '$1'))
        .filter((step) => step !== '');
      rows.push({ line: line.number, ...rowCells([partOf(line, 0)]), heading: true, left: 'Names a section.' });
      continue;
    }
    rows.push(settingOf(line));
  }
  close();
  return { title: null, format: 'settings', tables };
}

function settingOf(line: Line): RawRow {
  const base = { line: line.number, heading: false };
  const sign = COMMENT.exec(line.text)?.[0];
  const read = sidesOf(line, sign?.length ?? 0);
  // A sentence may hold a sign of equality, but no name of a setting has so many words.
  if (read && !(sign !== undefined && (read[0].text.split(' ').length > 3 || /^[([]|[,;:]$/u.test(read[0].text))))
    return { ...base, ...rowCells(read), ...(sign === undefined ? {} : { commentedOut: true }) };
  return {
    ...base,
    ...rowCells([partOf(line, 0)]),
    left: sign === undefined ? 'No name with a value.' : 'A comment.',
  };
}

/** What stands on both sides of the sign of equality; a sign that is itself a key, as in `= = zoom`, is stepped over. */
function sidesOf(line: Line, from: number): [Written, Written] | null {
  const rest = line.text.slice(from);
  const found = /(?<=\S)\s*[:+?]?=(?!=)\s*|^\s*=\s*(?==)|(?<=^\s*[\w.-]{2,60}):\s+/u.exec(rest);
  if (!found || rest.slice(0, found.index).trim() === '') return null;
  const value = rest.slice(found.index + found[0].length);
  const note = /(?<=\s)(?:#|;|\/\/)\s.*$/u.exec(value)?.index ?? value.length;
  const start = from + found.index + found[0].length;
  return [unquoted(partOf(line, from, from + found.index)), unquoted(partOf(line, start, start + note))];
}
