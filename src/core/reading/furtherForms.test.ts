import { describe, expect, it } from 'vitest';
import { doubtOf } from './doubtOf';
import { readCommandList } from './readCommandList';
import type { ReadRow } from './readTable';

/** Sentences without any keys, of so many signs. */
const prose = (signs: number): string => 'The sheet is dry by now, so leave it alone or fold it.\n'.repeat(signs / 56);

/** What programs of all trades write, each in a few lines; what becomes a command of it. */
const TEXTS: readonly (readonly [what: string, text: string, commands: readonly string[]])[] = [
  [
    'keys in the middle of a long text, by which it is told',
    `${prose(30_000)}bind ctrl+k fold\nbind alt+l lift\nbind f9 trim\nbind ctrl+w weigh\nbind alt+shift+n knead\n${prose(30_000)}`,
    ['fold: Mod+K', 'lift: Alt+L', 'trim: F9', 'weigh: Mod+W', 'knead: Alt+Shift+N'],
  ],
  [
    'keys with backslashes, in quotes before a colon',
    '# keys\nset bell none\n"\\C-a": line-start\n"\\C-x\\C-r": read-again\n"\\ef": word-on\n"\\M-b": word-back\n"\\C-x(": begin\n',
    ['line-start: Mod+A', 'read-again: Mod+X Mod+R', 'word-on: Alt+F', 'word-back: Alt+B', 'begin: Mod+X ('],
  ],
  [
    'keys with carets in quotes behind a word',
    "bindkey -e\nbindkey '^A' line-start\nbindkey \"^X^E\" edit\nbindkey '\\ef' word-on\nbindkey '^K' cut\n",
    ['line-start: Mod+A', 'edit: Mod+X Mod+E', 'word-on: Alt+F', 'cut: Mod+K'],
  ],
  [
    'a word that stands for modifiers',
    '# our_mod ctrl+shift\nmap our_mod+c copy\nmap our_mod+f3>a set_tall\nmap ctrl+alt+enter open\nmap f1 help\n',
    ['copy: Mod+Shift+C', 'set_tall: Mod+Shift+F3 A', 'open: Mod+Alt+Enter', 'help: F1'],
  ],
  [
    'records with several keys, and with strokes, in XML',
    `<keymap name="Made" parent="$default"><action id="Close"><shortcut first-keystroke="ctrl F4"/><shortcut first-keystroke="ctrl W"/></action>
     <action id="Find"><shortcut first-keystroke="ctrl K" second-keystroke="A"/></action><action id="Rename"><shortcut first-keystroke="shift F6"/></action><action id="None"/></keymap>`,
    ['Close: Mod+F4, Mod+W', 'Find: Mod+K A', 'Rename: Shift+F6', 'None: '],
  ],
  [
    'lists of strokes, and records in records, in JSON',
    '[ // keys\n{"keys": ["ctrl+k", "ctrl+b"], "command": "side"}, {"keys": ["ctrl+k", "ctrl+u"], "command": "upper"},\n{"keys": ["f2"], "command": "next", "context": [{"key": "x", "operand": true}]}, {"keys": ["alt+f2"], "command": "clear", "args": {"name": "mark"}}]',
    ['side: Mod+K Mod+B', 'upper: Mod+K Mod+U', 'next: F2', 'clear: Alt+F2'],
  ],
  [
    'numbered modifiers behind the key, what tells of the form itself left out',
    `<o:data xmlns:o="o" o:name="Keys">${[
      ['F1', 'Help'],
      ['C_MOD1', 'Copy'],
      ['Z_SHIFT_MOD1', 'Redo'],
    ]
      .map(
        ([key, name]) =>
          `<node o:name="${key}"><prop o:name="Command"><value xml:lang="x">.do:${name}</value></prop></node>`,
      )
      .join('')}</o:data>`,
    ['.do:Help: F1', '.do:Copy: Mod+C', '.do:Redo: Mod+Shift+Z'],
  ],
  [
    'keys and what they do several times side by side',
    'KEY BINDINGS:\n  ^G  Help           ^X  Exit\n  ^O  Write Out      ^R  Read File\n  M-U Undo           M-E Redo\n',
    ['Help: Mod+G', 'Exit: Mod+X', 'Write Out: Mod+O', 'Read File: Mod+R', 'Undo: Alt+U', 'Redo: Alt+E'],
  ],
  [
    'keys in a line of their own, what they do set in below',
    'KEYS\n       q, Q   Quit the program.\n\n       j, Down\n              Move one line down.\n\n       Ctrl-F, PageDown\n              Move one page down.\n',
    ['Quit the program.: Q, Shift+Q', 'Move one line down.: J, ArrowDown', 'Move one page down.: Mod+F, PageDown'],
  ],
  [
    'a table between lines of bars, a cell a line',
    '.Keys\n|===\n|Key |Action\n\n|kbd:[Ctrl+N]\n|New window\n\n|kbd:[F5]\n|Reload\n|===\n\nMore text.\n',
    ['New window: Mod+N', 'Reload: F5'],
  ],
  [
    'a table with bars whose head stands above a ruler',
    '* Keys\n| Key   | What          |\n|-------+---------------|\n| C-c a | Agenda        |\n| C-x f | Find file     |\n| M-q   | Fill          |\n',
    ['Agenda: Mod+C A', 'Find file: Mod+X F', 'Fill: Alt+Q'],
  ],
  [
    'columns that tabs fill up, with what others lead to beside them',
    'tag\t\tchar\t\taction\n|i_A|\t\tCTRL-A\t\tinsert previously inserted text\n|i_longer|\tCTRL-C\t\tquit, without a look at\n\t\t\t\tabbreviations\n|i_<BS>|\t<BS>\t\tdelete character\n|i_<S-Left>|\t<S-Left>\tone word left\n',
    [
      'insert previously inserted text: Mod+A',
      'quit, without a look at abbreviations: Mod+C',
      'delete character: Backspace',
      'one word left: Shift+ArrowLeft',
    ],
  ],
  [
    'words that are set to stand for keys, told from what binds',
    'set $mod Mod4\nset $left h\nset $ws1 "1"\nbindsym $mod+$left focus left\nbindsym $mod+Left focus left\nbindsym $mod+Shift+$left move left\nbindsym $left shrink\n',
    ['focus left: Meta+H, Meta+ArrowLeft', 'move left: Shift+Meta+H', 'shrink: H'],
  ],
  [
    'keys with blanks between them, what they do behind a colon',
    '! keys of windows\nMod1 Tab :NextWindow {groups}\nMod1 Shift Tab :PrevWindow\nControl Mod1 Delete :Exit\nMod4 1 :Tab 1\n# Mod4 2 :Tab 2\n',
    ['NextWindow {groups}: Alt+Tab', 'PrevWindow: Alt+Shift+Tab', 'Exit: Mod+Alt+Delete', 'Tab 1: Meta+1'],
  ],
  [
    'what is bound behind a sign of equality, and a blank in quotes',
    '# bind "KEYMAP" "KEYS"\nbind "main" "PageDown" = "page-down"\nbind "main" " " = "page-down"\nbind "main" "Ctrl-R" = "reload"\nbind "edit" "Esc" = "leave"\n',
    ['page-down: PageDown, Space', 'reload: Mod+R', 'leave: Escape'],
  ],
  [
    'keys that fill their column, several in one, none, and a range',
    `Quivers\n-------\n${[
      ['f', 'FIRE'],
      ['Q', 'QUIVER'],
      ['g, ,', 'PICK_UP'],
      ['Shift+Tab', 'TURN_BACK'],
      ['<unbound>', 'WIELD'],
      ['^D, ~', 'RECORD'],
      ['?', 'HELP'],
      ['q', 'QUAFF'],
      ['F', 'THROW'],
      ['#', 'DUMP'],
    ]
      .map(([keys = '', name]) => `${keys.padEnd(9)} ${name}`)
      .join('\n')}\nALT-1 ... ALT-3      SCREEN\n`,
    [
      ...['FIRE: F', 'QUIVER: Shift+Q', 'PICK_UP: G, ,', 'TURN_BACK: Shift+Tab', 'WIELD: ', 'RECORD: Mod+D, ~'],
      ...['HELP: ?', 'QUAFF: Q', 'THROW: Shift+F', 'DUMP: #', 'SCREEN: Alt+1, Alt+2, Alt+3'],
    ],
  ],
  [
    'tables with their title in the first row, and signs between the columns; what leads to other pages left out',
    `<table summary="Navigation header"><tr><th colspan="3">Keys</th></tr><tr><td><a accesskey="p" href="a">Prev</a></td><td>Part</td><td><a accesskey="n" href="b">Next</a></td></tr></table>${[
      ['Befehle', 'Ctrl + B', 'Zweig anlegen', 'T / Ctrl + T', 'Dateien finden', '?', 'Tastenkürzel'],
      ['Navigation', 'J / Alt + J', 'Nach unten', 'L', 'Nach rechts', 'H', 'Nach links'],
    ]
      .map(
        ([title, ...cells]) =>
          `<table><tr><td></td><td></td><td>${title}</td></tr>${[0, 2, 4]
            .map((i) => `<tr><td>${cells[i]}</td><td>:</td><td>${cells[i + 1]}</td></tr>`)
            .join('')}</table>`,
      )
      .join(
        '',
      )}<div class="navfooter"><table><tr><td><a rel="prev" href="a">Prev</a></td><td><a href="u">Up</a></td></tr><tr><td>Works</td><td><a href="h">Home</a></td></tr></table></div>`,
    [
      ...['Zweig anlegen: Mod+B', 'Dateien finden: T, Mod+T', 'Tastenkürzel: ?'],
      ...['Nach unten: J, Alt+J', 'Nach rechts: L', 'Nach links: H'],
    ],
  ],
  [
    'a table of a page in which some name no key, beside others like it',
    `<table>${['C+n=New', 'C+o=Open', 'C+w=Close', 'C+e C+w=Close all', 'C+s=Save']
      .map((one) => `<tr><td>${one.replace('=', '</td><td>')}</td></tr>`)
      .join('')}</table><h2>Marks</h2><table>${[
      'C+e C+m=Mark',
      'C+t key=Mark by a key',
      'C+y key=Go to a mark',
      'C+u key=Select to it',
      'C+k key=Swap',
    ]
      .map((one) => `<tr><td>${one.replace('=', '</td><td>')}</td></tr>`)
      .join('')}</table>`,
    ['New: Mod+N', 'Open: Mod+O', 'Close: Mod+W', 'Close all: Mod+E Mod+W', 'Save: Mod+S', 'Mark: Mod+E Mod+M'],
  ],
  [
    'keys under a heading that says what leads to them, commas parting ways',
    'Documentation (prefix C-c C-d):\n\n   C-a, a     Apropos\n   C-d, d     Describe\n\nGeneral:\n\n   C-x C-e    Evaluate\n   C-c C-k    Compile\n   C-c C-z    Switch\n',
    [
      ...['Apropos: Mod+C Mod+D Mod+A, Mod+C Mod+D A', 'Describe: Mod+C Mod+D Mod+D, Mod+C Mod+D D'],
      ...['Evaluate: Mod+X Mod+E', 'Compile: Mod+C Mod+K', 'Switch: Mod+C Mod+Z'],
    ],
  ],
  [
    'what holds on another desktop, left out of a manual',
    `<page xmlns="http://projectmallard.org/1.0/" xmlns:if="http://projectmallard.org/if/1.0/"><table>${[
      [
        '<p if:test="!platform:old"><keyseq><key>Super</key><key>A</key></keyseq></p><p if:test="platform:old"><keyseq><key>Ctrl</key><key>A</key></keyseq></p>',
        'Show all',
      ],
      ['<p><keyseq><key>Alt</key><key>F2</key></keyseq></p>', 'Run one'],
      ['<p><key>Print</key></p>', 'Take a picture'],
    ]
      .map(([keys, name]) => `<tr><td>${keys}</td><td><p>${name}</p></td></tr>`)
      .join('')}</table></page>`,
    ['Show all: Meta+A', 'Run one: Alt+F2', 'Take a picture: PrintScreen'],
  ],
];

describe('lists as programs of all trades write them', () => {
  it.each(TEXTS)('%s', (_, text, commands) => {
    const { rows, doubt } = readCommandList(text);
    const sure = rows.flatMap(({ command, result }) =>
      command && result === 'used' ? [`${command.name}: ${command.keys.join(', ')}`] : [],
    );
    expect([sure, doubt]).toEqual([commands, null]);
  });

  it('have buttons of a mouse under its name, which are no keys', () => {
    const bound = (kind: string, ...pairs: string[]) =>
      `<${kind}>${pairs.map((one) => `<bind key="${one.replace('=', '"><action name="')}"/></bind>`).join('')}</${kind}>`;
    const { rows } = readCommandList(
      `<bindings>${bound('keyboard', 'A-F4=Close', 'W-d=Show', 'A-Tab=Next', 'C-A-Left=Back')}${bound('mouse', 'Left=Press', 'A-Left=Drag', 'W-F2=Both')}</bindings>`,
    );
    expect(
      rows.flatMap(({ command, why }) =>
        command ? [[command.name, command.keys.join(), why?.split('.')[0] ?? '']] : [],
      ),
    ).toEqual([
      ['Close', 'Alt+F4', ''],
      ['Show', 'Meta+D', ''],
      ['Next', 'Alt+Tab', ''],
      ['Back', 'Mod+Alt+ArrowLeft', ''],
      ['Press', '', 'It is for the mouse, so it isn’t kept as keys'],
      ['Drag', '', 'It is for the mouse, so it isn’t kept as keys'],
      ['Both', 'Meta+F2', ''],
    ]);
  });

  it('have keys of the keyboard as well where what stands above names both', () => {
    const under = (heading: string) =>
      readCommandList(
        `${heading}\n\n   Left, Right\n      Scroll the sheet\n\n   F2, F3\n      Fold it\n`,
      ).rows.flatMap(({ command }) => command?.keys ?? []);
    for (const both of ['MOUSE AND KEY BINDINGS', 'KEYBOARD & MOUSE', 'MAUS UND TASTATUR'])
      expect([both, ...under(both)]).toEqual([both, 'ArrowLeft', 'ArrowRight', 'F2', 'F3']);
    for (const mouse of ['MOUSE BINDINGS', 'MAUSTASTEN', 'THE MOUSE']) expect(under(mouse)).toEqual(['F2', 'F3']);
  });

  it('are doubted where nothing in them has keys, where names hold them, begin alike or are the same', () => {
    const doubted = (line: (i: number) => string) =>
      readCommandList(Array.from({ length: 12 }, (_, i) => line(i)).join('\n')).doubt;
    expect(doubted((i) => `Lift the ${i},F${i + 1}`)).toMatch(/begin with “Lift the”/);
    expect(doubted((i) => `Lift ${i % 4},Ctrl+${'abcdefghijkl'[i]}`)).toMatch(/a name that another row has/);
    const some = 'abcdefghijkl';
    expect(doubted((i) => `Lift ${some[i]} '^${some[i]?.toUpperCase()}',F${i + 1}`)).toMatch(/Keys stand in the names/);
    expect(doubted((i) => `Lift ${some[i]} stain,F2`)).toMatch(/a name that another row has/);
    expect(doubted((i) => `Lift ${i} stain,F${i + 1}`)).toBeNull();
  });

  it('are doubted where words of sentences are taken for keys, and where more that begin with keys was left out', () => {
    const rows = (number: number, keys: (i: number) => string, cells: string[], result: string) =>
      Array.from({ length: number }, (_, i) => ({
        ...{ cells, result, line: i, key: `${i}`, why: null },
        command: result === 'used' ? { name: `Stain ${i} lifted`, keys: [keys(i)], path: [], kind: null } : null,
      })) as unknown as ReadRow[];
    const read = (of: number) => rows(20, (i) => (i < of ? 'T H E' : `Alt+F${i}`), [], 'used');
    const left = (of: number, first: string) => rows(of, String, [first, 'walk to it and back'], 'unused');
    expect(doubtOf(rows(20, (i) => (i < 13 ? 'F2' : `Alt+F${i}`), [], 'used'))).toMatch(/the same keys/);
    expect(doubtOf(rows(20, (i) => (i < 12 ? 'F2' : `Alt+F${i}`), [], 'used'))).toBeNull();
    expect(doubtOf(read(3))).toMatch(/sentences/);
    expect(doubtOf(read(2))).toBeNull();
    expect(doubtOf([...read(0), ...left(21, 'n')])).toMatch(/left out/);
    expect(doubtOf([...read(0), ...left(20, 'n'), ...left(30, 'Often')])).toBeNull();
  });
});
