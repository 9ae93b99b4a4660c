import type { RawRow, RawTables } from '../tables';
import { leftLine, partOf, rowWith, unquoted, type Written } from './cells';
import { type Line, lineAt, linesOf } from './lines';
import { readRecords } from './readRecords';
import { sectionRecords } from './sectionRecords';
import { underHeadings } from './underHeadings';

const SECTION = /^\[{1,3}([^[\]]{1,120})\]{1,3}(?: ?[#;].*)?$/u;
const COMMENT = /^\s*(?:[#;]|\/\/|--(?!\S))/u;

/**
 * Lines of `name = value` under sections in brackets, as most programs keep settings; `:=` and `+=` are read alike. Which
 * side holds the keys is for whoever looks at both. A line that is one once its comment sign is taken away is read, too,
 * and marked so.
 */
export function readSettings(text: string): RawTables {
  const all = linesOf(text);
  const records = sectionRecords(all);
  const found = underHeadings();
  for (const line of records?.rest ?? all) {
    if (line.text.trim() === '') continue;
    const section = SECTION.exec(line.text.trim())?.[1];
    if (section === undefined) {
      found.add(settingOf(line));
      continue;
    }
    found.under(
      section
        .split(/[.:/\\]/u)
        .map((step) => step.trim().replace(/^"(.*)"$/u, '$1'))
        .filter((step) => step !== ''),
    );
    found.add(leftLine(line, 'Names a section.', true));
  }
  const inRecords = records ? readRecords(records.tree, lineAt(text)) : [];
  const told = inRecords.map((table) => ({
    ...table,
    rows: table.rows.map((row) =>
      row.whole && records?.unclear.has(row.whole[0]) ? { ...row, apart: true as const } : row,
    ),
  }));
  return { title: null, format: 'settings', tables: [...told, ...found.tables()] };
}

function settingOf(line: Line): RawRow {
  const sign = COMMENT.exec(line.text)?.[0];
  const bullet = /^\s*[•·‣▪◦●]\s+/u.exec(line.text)?.[0].length;
  const read = sidesOf(line, sign?.length ?? bullet ?? 0);
  // A sentence may hold a sign of equality, but no name of a setting has so many words.
  if (read && !(sign !== undefined && (read[0].text.split(' ').length > 3 || /^[([]|[,;:]$/u.test(read[0].text))))
    return sign === undefined ? rowWith(line.number, read) : { ...rowWith(line.number, read), commentedOut: true };
  return leftLine(line, sign === undefined ? 'No name with a value.' : 'A comment.');
}

/** What stands on both sides of the sign of equality; a sign that is itself a key, as in `= = zoom`, is stepped over. */
function sidesOf(line: Line, from: number): [Written, Written] | null {
  const rest = line.text.slice(from);
  const begin = rest.length - rest.trimStart().length;
  // The sign that parts is not the first thing that stands there, and no other sign of equality follows it at once.
  let at = rest.indexOf('=', begin + 1);
  while (at >= 0 && rest[at + 1] === '=') at = rest.indexOf('=', at + 2);
  const colon = /^(?:[\w.-]{2,60}|"[^"\n]{1,58}"):(?=\s)/u.exec(rest.slice(begin, begin + 64))?.[0].length;
  if (colon !== undefined && (at < 0 || begin + colon - 1 < at)) at = begin + colon - 1;
  if (at < 0) return null;
  // `+=` adds; but what ends in two of them is a key.
  const adds = at - 1 > begin && /[:+?]/u.test(rest[at - 1] ?? '') && !/[+-]/u.test(rest[at - 2] ?? '');
  const joint = adds ? at - 1 : at;
  const begins = at + (/^=>(?:\s|$)/u.test(rest.slice(at)) ? 2 : 1);
  const value = rest.slice(begins);
  const note = noteIn(value);
  return [unquoted(partOf(line, from, from + joint)), unquoted(partOf(line, from + begins, from + begins + note))];
}

/** Where what is remarked behind a value begins: a comment sign with blanks on both sides. */
function noteIn(value: string): number {
  const found = ['#', ';', '//'].map((sign) => {
    for (let at = value.indexOf(sign, 1); at >= 0; at = value.indexOf(sign, at + 1))
      if (
        /\s/u.test(value[at - 1] ?? '') &&
        /\s/u.test(value[at + sign.length] ?? '') &&
        (value.slice(0, at).trim() !== '' || /^\s\p{L}{2}/u.test(value.slice(at + sign.length)))
      )
        return at;
    return value.length;
  });
  return Math.min(...found);
}
