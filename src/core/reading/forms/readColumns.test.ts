import { describe, expect, it } from 'vitest';
import { readColumns } from './readColumns';

/** What is read of a text: headings with what stands under them, cells with bars between, what is left out in brackets. */
const read = (text: string): string[] =>
  readColumns(text).tables.flatMap(({ headings, rows }) => [
    ...headings.map((one) => `# ${one}`),
    ...rows.map((row) => (row.left === undefined ? row.cells.join(' | ') : `(${row.left})`)),
  ]);

describe('text in columns', () => {
  it.each<readonly [what: string, text: string, read: readonly string[]]>([
    ['several blanks', 'Fold      Ctrl+K\nLift      F9', ['Fold | Ctrl+K', 'Lift | F9']],
    ['tabs', 'Fold\tCtrl+K\nLift\t\tF9', ['Fold | Ctrl+K', 'Lift | F9']],
    ['leaders', 'Fold ........ Ctrl+K\nLift…………F9\nTurn____F5', ['Fold | Ctrl+K', 'Lift | F9', 'Turn | F5']],
    [
      'dashes and arrows behind a blank',
      'Ctrl+K – Fold\nF9 -> Lift\nF5 => Turn\nF6 :: Wash',
      ['Ctrl+K | Fold', 'F9 | Lift', 'F5 | Turn', 'F6 | Wash'],
    ],
    [
      'a drawn box',
      '┌──────┬────────┐\n│ Fold │ Ctrl+K │\n├──────┼────────┤\n│ Lift │ F9     │\n└──────┴────────┘',
      [
        '(A line that is only drawn.)',
        'Fold | Ctrl+K',
        '(A line that is only drawn.)',
        'Lift | F9',
        '(A line that is only drawn.)',
      ],
    ],
    ['bullets', '* Fold   Ctrl+K\n• Lift   F9\n- Turn   F5', ['Fold | Ctrl+K', 'Lift | F9', 'Turn | F5']],
  ])('is parted by %s', (_, text, rows) => {
    expect(read(text)).toEqual(rows);
  });

  it.each<readonly [what: string, text: string, read: readonly string[]]>([
    [
      'underlined',
      'Sheet\n=====\nFold   F2',
      ['# Sheet', '(A heading: the rows below it live there.)', '(A line that is only drawn.)', 'Fold | F2'],
    ],
    [
      'in capitals',
      'ON THE SHEET\nFold   F2',
      ['# ON THE SHEET', '(A heading: the rows below it live there.)', 'Fold | F2'],
    ],
    [
      'with a colon',
      'On the sheet:\nFold   F2\n\nMask:\nPaper   F3',
      [
        '# On the sheet',
        '(A heading: the rows below it live there.)',
        'Fold | F2',
        '# Mask',
        '(A heading: the rows below it live there.)',
        'Paper | F3',
      ],
    ],
    [
      'marked and numbered',
      '== Sheet ==\nFold   F2\n2.1. Mask\nPaper   F3',
      [
        '# Sheet',
        '(A heading: the rows below it live there.)',
        'Fold | F2',
        '# Mask',
        '(A heading: the rows below it live there.)',
        'Paper | F3',
      ],
    ],
  ])('has headings that are %s', (_, text, rows) => {
    expect(read(text)).toEqual(rows);
  });

  it('takes several lines that begin with a sign for comments, and one alone for a heading', () => {
    expect(read('# By hand\n# and more\nFold   F2')).toEqual(['(A comment.)', '(A comment.)', 'Fold | F2']);
    expect(read('# Sheet\nFold   F2')[0]).toBe('# Sheet');
  });

  it('goes on with the line above where a line begins under a later column', () => {
    expect(read('Ctrl+K    Fold the sheet\n          in two\nF9        Lift the stain')).toEqual([
      'Ctrl+K | Fold the sheet in two',
      'F9 | Lift the stain',
    ]);
    expect(read('Fold the sheet    Ctrl+K\n  in two\nLift              F9')).toEqual([
      'Fold the sheet in two | Ctrl+K',
      'Lift | F9',
    ]);
    // A new paragraph begins a row, wherever it begins.
    expect(read('Ctrl+K    Fold\n\n          Alone')).toEqual(['Ctrl+K | Fold', 'Alone']);
  });

  it('is parted where a line of rulers says, but where a word reaches over', () => {
    expect(read('======  ========\nFold    Ctrl+K\nLift it F9\n======  ========\n')).toEqual([
      '(A line that is only drawn.)',
      'Fold | Ctrl+K',
      'Lift it | F9',
      '(A line that is only drawn.)',
    ]);
    expect(read('----  ------\nFold  F2\nTurning   F5')).toContain('Turning | F5');
  });

  it('is not parted where the words of a sentence are spread to fill the line, nor is a broken word', () => {
    const spread = (key: string) =>
      [
        `   ${key.padEnd(5)}Tag  the sheet that is shown and the  sheets  beside  it.  What`,
        '        works on many sheets at once then works on all that are tagged,  in‐',
        '        stead of on the one that is shown.',
      ]
        .map((line, i) => (i < 2 ? line.slice(0, -1).padEnd(75, 'x') + line.at(-1) : line))
        .join('\n');
    const rows = read(['c', 'd', 'e', 'f', 'End', 'Home'].map(spread).join('\n\n'));
    expect(rows.map((one) => one.replace(/x{2,}/gu, ''))).toEqual(
      ['c', 'd', 'e', 'f', 'End', 'Home'].map(
        (key) =>
          `${key} | Tag the sheet that is shown and the sheets beside it. What works on many sheets at once then works on all that are tagged, instead of on the one that is shown.`,
      ),
    );
    // Columns that end at one edge are columns.
    const edged = ['Fold', 'Lift it', 'Turn it over', 'Mask', 'Press', 'Wash', 'Gild'].map(
      (name, i) => `${name.padEnd(69)}Ctrl+${i}`,
    );
    expect(read(edged.join('\n'))).toContain('Turn it over | Ctrl+2');
  });

  it('has terms with what they mean below them, set in', () => {
    expect(read('Ctrl+K::\n   Fold the sheet\nF9::\n   Lift the stain')).toEqual([
      'Ctrl+K | Fold the sheet',
      'F9 | Lift the stain',
    ]);
    expect(read('q, Q\n   Quit\n\nCtrl-F\n   One page on')).toEqual(['q, Q | Quit', 'Ctrl-F | One page on']);
    // As long as what is said of it is.
    expect(read('Tab, F2\n   Turn to the next sheet\n   of the book\n\nq\n   Quit')).toEqual([
      'Tab, F2 | Turn to the next sheet of the book',
      'q | Quit',
    ]);
    // A word that could be a key is a word where nothing else tells it, as terms above do that stand where it does.
    expect(read('q, Q\n   Quit\n\nSpace\n   Tag it\n\n  End\n   Of all')).toEqual([
      'q, Q | Quit',
      'Space | Tag it',
      'End',
      'Of all',
    ]);
    expect(read('q, Q\n   Quit\n\nInsert\n   A sheet   F2')).not.toContain('Insert | A sheet F2');
    expect(read('Home\n   Where all begins')).not.toContain('Home | Where all begins');
  });

  it('has rows several times side by side, keys and what they do by turns', () => {
    expect(read('^G Help     ^O Write     ^W Find')).toEqual(['^G | Help', '^O | Write', '^W | Find']);
    expect(read('F2  Fold   F3  Lift')).toEqual(['F2 | Fold', 'F3 | Lift']);
    expect(read('Fold  F2   Lift  F3')).toEqual(['Fold | F2 | Lift | F3']);
  });

  it('takes what one blank parts where the second column begins on other lines', () => {
    const lines = [
      'f         FIRE',
      'q         QUAFF',
      'w         WIELD',
      'Shift+Tab TURN',
      '<unbound> REST',
      'e         EAT',
    ];
    expect(read(lines.join('\n'))).toEqual([
      'f | FIRE',
      'q | QUAFF',
      'w | WIELD',
      'Shift+Tab | TURN',
      '<unbound> | REST',
      'e | EAT',
    ]);
    // Words that are no keys stay together, and so do keys of several words.
    expect(read([...lines, 'Some long SENTENCE'].join('\n')).at(-1)).toBe('Some long SENTENCE');
    expect(read([...lines, 'Ctrl+K Ctrl+S   SAVE'].join('\n')).at(-1)).toBe('Ctrl+K Ctrl+S | SAVE');
  });

  it('has ranges as one, whatever stands between their ends', () => {
    expect(read('ALT-1 ... ALT-9     Choose a sheet')).toEqual(['ALT-1 ... ALT-9 | Choose a sheet']);
    expect(read('Fold ... F2     on the sheet')).toEqual(['Fold | F2 | on the sheet']);
  });

  it('tells where each cell stands, to the sign', () => {
    const text = 'Sheet:\r\n  Fold\t\tCtrl+K\r\n  Lift ..... F9\r\n';
    const cells = readColumns(text).tables.flatMap(({ rows }) =>
      rows
        .filter((row) => row.left === undefined)
        .flatMap((row) => row.spans.map((span, i) => [text.slice(...span), row.cells[i]])),
    );
    expect(cells.length).toBe(4);
    for (const [said, cell] of cells) expect(said).toBe(cell);
  });
});
