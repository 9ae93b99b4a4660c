import { describe, expect, it } from 'vitest';
import { readWebPage, treeOf } from './readWebPage';

/** Each table as its headings and its rows, a heading row with a mark before it. */
const read = (html: string) => {
  const [placed, unplaced] = [true, false].map((places) =>
    readWebPage(treeOf(html, places)).tables.map(({ headings, rows }) => [
      headings.join(' › '),
      ...rows.map((row) => `${row.heading ? '# ' : ''}${row.cells.join(' | ')}`),
    ]),
  );
  // What a page says does not hang on whether somebody asks where.
  expect(unplaced).toEqual(placed);
  return placed;
};
const row = (...cells: readonly string[]) => `<tr>${cells.map((one) => `<td>${one}</td>`).join('')}</tr>`;

describe('tables of a web page', () => {
  it.each<readonly [what: string, html: string, tables: readonly (readonly string[])[]]>([
    ['cells as they stand', `<table>${row('Lift', 'F2')}</table>`, [['', 'Lift | F2']]],
    [
      'under the headings before them, which deeper ones take the place of',
      `<h2>Files</h2><h3>Old</h3><h3>New</h3><table>${row('A', 'F2')}</table><h2>View</h2><table>${row('B', 'F3')}</table>`,
      [
        ['Files › New', 'A | F2'],
        ['View', 'B | F3'],
      ],
    ],
    [
      'with the caption last, unless the heading said it already',
      `<h2>Files</h2><table><caption>Saving</caption>${row('A')}</table><h2>Tools</h2><table><caption>Tools</caption>${row('B')}</table>`,
      [
        ['Files › Saving', 'A'],
        ['Tools', 'B'],
      ],
    ],
    [
      'with the summary of what folds as a heading',
      `<details><summary>Brushes</summary><table>${row('A')}</table></details>`,
      [['Brushes', 'A']],
    ],
    [
      'a row of headings, and one cell across the table, are headings',
      `<table><tr><th>Command</th><th>Keys</th></tr><tr><td colspan="2">Mending</td></tr>${row('Lift', 'F2')}</table>`,
      [['', '# Command | Keys', '# Mending | ', 'Lift | F2']],
    ],
    [
      'a cell that reaches down stands in each of its rows',
      `<table><tr><td rowspan="2">Lift</td><td>F2</td></tr><tr><td>F3</td></tr>${row('Press', 'F4')}</table>`,
      [['', 'Lift | F2', 'Lift | F3', 'Press | F4']],
    ],
    [
      'only innermost tables, not those a page is laid out with',
      `<table><tr><td>Side</td><td><table>${row('Lift', 'F2')}</table></td></tr></table>`,
      [['', 'Lift | F2']],
    ],
    [
      'nothing hidden, nothing of scripts and styles',
      `<table hidden>${row('A')}</table><table>${row('B<script>x()</script><span hidden>C</span>')}</table>`,
      [['', 'B']],
    ],
    ['spaces folded, lines kept', `<table>${row('Lift  \n stain', 'F2<br>F3')}</table>`, [['', 'Lift stain | F2\nF3']]],
  ])('%s', (_, html, tables) => expect(read(html)).toEqual(tables));

  it('has the page’s title from a lone first heading, else from the page', () => {
    const one = `<table>${row('A')}</table>`;
    expect(readWebPage(treeOf(`<title>T</title><h1>Keys of it</h1>${one}`)).title).toBe('Keys of it');
    expect(readWebPage(treeOf(`<title>T</title><h1>Files</h1>${one}<h1>View</h1>${one}`))).toMatchObject({
      title: 'T',
      tables: [{ headings: ['Files'] }, { headings: ['View'] }],
    });
    expect(readWebPage(treeOf(one)).title).toBeNull();
  });

  it('numbers rows over all tables of the page', () => {
    const { tables } = readWebPage(treeOf(`<table>${row('A')}${row('B')}</table><table>${row('C')}</table>`));
    expect(tables.map((table) => table.rows.map((one) => one.line))).toEqual([[1, 2], [3]]);
  });
});
