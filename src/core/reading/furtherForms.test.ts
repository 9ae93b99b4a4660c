import { describe, expect, it } from 'vitest';
import { readCommandList } from './readCommandList';

/** What programs of all trades write, each in a few lines; what becomes a command of it. */
const TEXTS: readonly (readonly [what: string, text: string, commands: readonly string[]])[] = [
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
];

describe('lists as programs of all trades write them', () => {
  it.each(TEXTS)('%s', (_, text, commands) => {
    const { rows, doubt } = readCommandList(text);
    const sure = rows.flatMap(({ command, result }) =>
      command && result === 'used' ? [`${command.name}: ${command.keys.join(', ')}`] : [],
    );
    expect([sure, doubt]).toEqual([commands, null]);
  });

  it('are doubted where nothing in them has keys, where names hold them, begin alike or are the same', () => {
    const doubtOf = (line: (i: number) => string) =>
      readCommandList(Array.from({ length: 12 }, (_, i) => line(i)).join('\n')).doubt;
    expect(doubtOf((i) => `(key-set (kbd "C-${'abcdefghijkl'[i]}") 'do-${i})`)).toMatch(/keys|names/i);
    expect(doubtOf((i) => `Lift the ${i},F${i + 1}`)).toMatch(/begin with “Lift the”/);
    expect(doubtOf((i) => `Lift ${i % 4},Ctrl+${'abcdefghijkl'[i]}`)).toMatch(/a name that another row has/);
    expect(doubtOf((i) => `Lift ${i} stain,F${i + 1}`)).toBeNull();
  });
});
