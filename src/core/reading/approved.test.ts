import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { shownLineOf } from '../testing/shownLineOf';
import { NO_CHOICES } from './choices';
import { decodeText } from './decodeText';
import { findTables } from './findTables';
import { readTables } from './readCommandList';
import type { ReadRow } from './readTable';
import { rowKey } from './rowKey';
import { readShown } from './shown/readShown';
import type { RawTables, Span } from './tables';

/*
 * Made-up lists as somebody has held what is read of them against what stands in them: every row with what became of it, why,
 * and where in the file each cell stands. Whoever changes how lists are read looks at what becomes of these, and keeps them
 * anew with `npx vitest run src/core/reading/approved.test.ts -u`. Of a list in `NAME.shown` the lines there are shown.
 */

const folder = join(import.meta.dirname, 'fixtures/approved');
const lists = readdirSync(folder).filter((name) => !/\.(?:read|shown)$/.test(name));

/** What a list is read as, in lines for people. */
function told(text: string, raw: RawTables): string {
  const reading = readTables(raw, NO_CHOICES);
  const rows = new Map(reading.rows.map((row) => [row.key, row]));
  const quoted = (part: string): string => JSON.stringify(part).slice(1, -1);
  const place = (cell: string, [from, to]: Span): string =>
    text.slice(from, to) === cell ? `${from}` : `${from}-${to}${to > from ? ` “${quoted(text.slice(from, to))}”` : ''}`;
  const called = (command: NonNullable<ReadRow['command']>): string =>
    `${[...command.path, command.name].join(' › ')}${command.kind ? ` (${command.kind})` : ''}: ${command.keys.join(', ')}`;
  const columns = reading.groups.map(
    ({ header, roles, tables, sample, otherKeys }) =>
      ` ${roles.map((role, i) => `${header?.[i] ?? '?'} = ${role}`).join(' | ')} in ${tables}, as ${sample.length}${otherKeys.length > 0 ? `, also ${otherKeys}` : ''}`,
  );
  const { capitals, strokes, apart, commas, signs } = reading.manner;
  const manner = Object.entries({ capitals, strokes, commas, signs }).flatMap(([name, so]) => (so ? name : []));
  const head = [
    [reading.format, reading.dialect, ...manner, ...(apart ? [apart] : [])].join(', '),
    ...(reading.title === null ? [] : [`title ${reading.title}`]),
    ...(reading.doubt === null ? [] : [`doubt ${reading.doubt}`]),
    `${reading.clashes} clashes, ${reading.signs.cells} lone signs${reading.commentsKept ? ', comments tell what holds' : ''}`,
    ...columns,
  ];
  const body = raw.tables.flatMap((table) => [
    `under ${table.headings.join(' › ')}`,
    ...table.rows.map((row) => {
      const read = rows.get(rowKey(row.line, row.spans[0]?.[0] ?? 0));
      const cells = row.cells.map((cell, i) =>
        cell === '' ? '' : `${quoted(cell)} @${place(cell, row.spans[i] ?? [0, 0])}`,
      );
      const parts = [
        `${row.line} ${read?.result}`,
        read?.command ? called(read.command) : '',
        cells.join(' | '),
        read?.why ?? '',
        read?.would ? `else ${called(read.would)}` : '',
        read?.at?.of ? `of ${read.at.of}` : '',
        read?.at?.own && read.command?.keys.join() !== read.at.own.join() ? `own ${read.at.own.join(', ')}` : '',
        read?.at?.commentedOut ?? '',
        row.whole ? `whole ${row.whole.join('-')}` : '',
      ];
      return `  ${parts.filter((part) => part !== '').join('\n      ')}`;
    }),
  ]);
  return [...head, ...body, ''].join('\n');
}

describe('lists as they were found right', () => {
  it.each(lists)('%s', async (name) => {
    const decoded = decodeText(readFileSync(join(folder, name)));
    if (!decoded.ok) throw new Error(decoded.message);
    const marks = join(folder, `${name}.shown`);
    const shown = existsSync(marks) ? readFileSync(marks, 'utf8').split('\n').filter(Boolean).map(shownLineOf) : [];
    const raw = shown.length > 0 ? readShown(decoded.text, shown) : findTables(decoded.text);
    await expect(told(decoded.text, raw)).toMatchFileSnapshot(`fixtures/approved/${name}.read`);
  });
});
