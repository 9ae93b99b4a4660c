import { describe, expect, it } from 'vitest';
import { readMarkdown } from './readMarkdown';

/** The cells of all rows, and what stands where they are said to. */
function rowsIn(text: string) {
  const rows = readMarkdown(text).tables.flatMap((table) => table.rows);
  return rows.map(({ cells, spans }) => [cells, spans.map(([from, to]) => text.slice(from, to))]);
}
/** The same, of what is written as it is said. */
const asSaid = (...rows: (readonly string[])[]) => rows.map((cells) => [cells, cells]);

describe('text in Markdown', () => {
  const table = ['# Keys', '', '| Name | Keys |', '| --- | :-: |', '| Mend | F5 |', '| Wash | |', 'Dot | `Ctrl+D`', ''];
  const cells = [
    ['Name', 'Keys'],
    ['Mend', 'F5'],
    ['Wash', ''],
    ['Dot', 'Ctrl+D'],
  ] as const;

  it.each([
    ['ends of lines of two signs', '\r\n'],
    ['ends of lines of another sign', '\r'],
    ['blanks behind every line', '  \n'],
  ])('has its cells where they stand, with %s', (_, end) => {
    expect(rowsIn(table.join(end))).toEqual(asSaid(...cells));
    expect(readMarkdown(table.join('\n')).title).toBe('Keys');
  });

  it.each([
    ['- **Mend** – `F5`', ['Mend', 'F5'], ['Mend', 'F5']],
    ['- Mend: <kbd>Ctrl</kbd><kbd>M</kbd>', ['Mend', 'Ctrl+M'], ['Mend', 'Ctrl</kbd><kbd>M']],
    ['- Mend: [ / ]', ['Mend', '[ / ]'], ['Mend', '[ / ]']],
    ['- Mend: [F5](#five)', ['Mend', 'F5'], ['Mend', 'F5']],
    ['- Mend: [F5]\n\n[f5]: #five', ['Mend', 'F5'], ['Mend', 'F5']],
    ['- Mend: \\*', ['Mend', '*'], ['Mend', '\\*']],
    ['- Mend: &lt;', ['Mend', '<'], ['Mend', '&lt;']],
    ['- Mend: `` ` ``', ['Mend', '`'], ['Mend', '`']],
    ['|a|b|\n|-|-|\n|Mend|`\\|`|', ['Mend', '|'], ['Mend', '|']],
  ])('says in %s what a reader of it sees', (text, said, places) => {
    expect(rowsIn(text).at(-1)).toEqual([said, places]);
  });

  it('has lists in lists and in quotations, and tells what stands between them', () => {
    const [list, words] = readMarkdown('> - Mend: F5\n>   - Wash: F6\n\nSome words.\n').tables.map((one) => one.rows);
    expect(list?.map((row) => row.cells)).toEqual([['Mend', 'F5']]);
    expect(words?.map((row) => row.cells)).toEqual([['Wash', 'F6']]);
    expect(readMarkdown('Some words.').tables[0]?.rows[0]?.left).toBe('A text between the lists.');
  });
});
