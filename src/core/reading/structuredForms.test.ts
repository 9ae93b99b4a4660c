import { describe, expect, it } from 'vitest';
import { readCommandList } from './readCommandList';

/** Files with a structure of their own, each in a few lines; the form they are read as, and what becomes a command. */
const FILES: readonly (readonly [what: string, form: string, text: string, commands: readonly string[]])[] = [
  [
    'YAML: names with keys, and with lists of them',
    'YAML',
    'fold: ctrl+k\nlift:\n  - ctrl+shift+l\n  - f9\nturn: [f5, alt+t]\nmask:\npress: "alt+p"\n',
    ['fold: Mod+K', 'lift: Mod+Shift+L, F9', 'turn: F5, Alt+T', 'mask: ', 'press: Alt+P'],
  ],
  [
    'YAML: several documents, each a part',
    'YAML',
    '---\nsheet:\n  fold: ctrl+k\n  lift: ctrl+l\n---\nmask:\n  paper: alt+p\n  stain: alt+s\n',
    ['sheet › fold: Mod+K', 'sheet › lift: Mod+L', 'mask › paper: Alt+P', 'mask › stain: Alt+S'],
  ],
  [
    'YAML: records, whatever their fields are called',
    'YAML',
    '- action: Fold the sheet\n  binding: ctrl+k\n- action: Lift the stain\n  binding: ctrl+shift+l\n- action: Turn it\n  binding: f5\n',
    ['Fold the sheet: Mod+K', 'Lift the stain: Mod+Shift+L', 'Turn it: F5'],
  ],
  [
    'YAML: a key with its modifiers beside it',
    'YAML',
    'key_bindings:\n  - { key: K, mods: Control, action: Fold }\n  - { key: L, mods: Control|Shift, action: Lift }\n  - { key: F5, action: Turn }\n  - { key: P, mods: Alt, action: Press }\n',
    [
      'key_bindings › Fold: Mod+K',
      'key_bindings › Lift: Mod+Shift+L',
      'key_bindings › Turn: F5',
      'key_bindings › Press: Alt+P',
    ],
  ],
  [
    'tables in tables, and names with dots',
    'settings',
    '[keys.sheet]\nfold = "ctrl+k"\nlift = "ctrl+shift+l"\n\n[keys.mask]\npaper.even = "alt+p"\nstain = "f7"\n',
    [
      ...['keys › sheet › fold: Mod+K', 'keys › sheet › lift: Mod+Shift+L'],
      ...['keys › mask › paper.even: Alt+P', 'keys › mask › stain: F7'],
    ],
  ],
  [
    'TOML: lists of tables, and tables in a line',
    'TOML',
    '[[binding]]\nkey = "ctrl+k"\ncommand = "fold"\n\n[[binding]]\nkey = "f5"\ncommand = "turn"\n\n[[binding]]\nkey = "alt+p"\ncommand = "press"\n',
    ['binding › fold: Mod+K', 'binding › turn: F5', 'binding › press: Alt+P'],
  ],
  [
    'TOML: in a line each',
    'TOML',
    'bind = [\n  { on = "ctrl+k", run = "fold" },\n  { on = "f5", run = "turn" },\n  { on = "alt+p", run = "press" },\n]\n',
    ['bind › fold: Mod+K', 'bind › turn: F5', 'bind › press: Alt+P'],
  ],
  [
    'JSON: names with keys, in parts, with comments and a comma too many',
    'JSON',
    '{\n  // by hand\n  "sheet": { "fold": "ctrl+k", "lift": ["ctrl+shift+l", "f9"] },\n  "mask": { "paper": "alt+p", "stain": null, },\n}\n',
    ['sheet › fold: Mod+K', 'sheet › lift: Mod+Shift+L, F9', 'mask › paper: Alt+P', 'mask › stain: '],
  ],
  [
    'JSON: keys with what they do',
    'JSON',
    '{"bindings": {"ctrl+k": "fold", "ctrl+shift+l": "lift", "f5": "turn", "alt+p": "press"}}',
    ['bindings › fold: Mod+K', 'bindings › lift: Mod+Shift+L', 'bindings › turn: F5', 'bindings › press: Alt+P'],
  ],
  [
    'JSON: records in records, each with a place',
    'JSON',
    '{"menus": [{"menu": "Sheet", "items": [{"name": "Fold", "shortcut": "Ctrl+K"}, {"name": "Turn", "shortcut": "F5"}]},\n {"menu": "Mask", "items": [{"name": "Paper", "shortcut": "Alt+P"}, {"name": "Stain", "shortcut": ""}]}]}',
    [
      'menus › Sheet › Fold: Mod+K',
      'menus › Sheet › Turn: F5',
      'menus › Mask › Paper: Alt+P',
      'menus › Mask › Stain: ',
    ],
  ],
  [
    'XML: elements by their attributes',
    'XML',
    '<keys><menu name="Sheet"><item label="Fold" accel="Ctrl+K"/><item label="Turn" accel="F5"/></menu><menu name="Mask"><item label="Paper" accel="Alt+P"/><item label="Stain" accel=""/></menu></keys>',
    [
      ...['menu › Sheet › Fold: Mod+K', 'menu › Sheet › Turn: F5'],
      ...['menu › Mask › Paper: Alt+P', 'menu › Mask › Stain: '],
    ],
  ],
  [
    'XML: parts that are named, with something between them and what they hold',
    'XML',
    '<set>\n<part name="Sheet"><press>\n<bind key="F2" action="Fold"/>\n<bind key="F3" action="Lift"/>\n</press></part>\n<part name="Mask"><press>\n<bind key="F4" action="Paper"/>\n<bind key="F5" action="Stain"/>\n</press></part>\n</set>',
    [
      'part › Sheet › bind › Fold: F2',
      'part › Sheet › bind › Lift: F3',
      'part › Mask › bind › Paper: F4',
      'part › Mask › bind › Stain: F5',
    ],
  ],
  [
    'a manual in XML: terms with what they mean',
    'XML',
    `<article><title>Keys</title><section><title>Sheet</title><para>What is done all day.</para><variablelist>${[
      ['Ctrl', 'K', 'Fold the sheet'],
      ['Alt', 'P', 'Press it flat'],
      ['Ctrl', 'L', 'Lift the stain'],
    ]
      .map(
        ([held, key, name]) =>
          `<varlistentry><term><keycombo><keycap>${held}</keycap><keycap>${key}</keycap></keycombo></term><listitem><para>${name}</para></listitem></varlistentry>`,
      )
      .join('')}</variablelist><para>And so on.</para></section></article>`,
    ['Sheet › Fold the sheet: Mod+K', 'Sheet › Press it flat: Alt+P', 'Sheet › Lift the stain: Mod+L'],
  ],
  [
    'a manual in XML: topics with terms, keys in rows',
    'XML',
    `<page><title>Keys</title><p>One.</p><p>Two.</p><section><title>Mask</title><terms>${[
      ['<keyseq><key>Ctrl</key><key>M</key></keyseq>', 'Paper mask'],
      ['<key>F7</key>', 'Softer edge'],
    ]
      .map(([keys, name]) => `<item><title>${keys}</title><p>${name}</p></item>`)
      .join('')}</terms></section></page>`,
    ['Mask › Paper mask: Mod+M', 'Mask › Softer edge: F7'],
  ],
  [
    'Markdown: lists with keys in code, before and after',
    'Markdown',
    '# Keys\n\n## Sheet\n\n- `Ctrl+K`: Fold the sheet\n- `F5`: Turn it\n- `Ctrl+Shift+L`: Lift the stain\n\n## Mask\n\n* Paper mask - `Alt+P`\n* Stain mask - `Alt+S`\n',
    [
      ...['Sheet › Fold the sheet: Mod+K', 'Sheet › Turn it: F5', 'Sheet › Lift the stain: Mod+Shift+L'],
      ...['Mask › Paper mask: Alt+P', 'Mask › Stain mask: Alt+S'],
    ],
  ],
  [
    'Markdown: columns in a block of code',
    'Markdown',
    '# Keys\n\nPress them over the sheet.\n\n```text\nCtrl+K         Fold the sheet\nCtrl+Shift+L   Lift the stain\nF5             Turn it\n```\n',
    ['Fold the sheet: Mod+K', 'Lift the stain: Mod+Shift+L', 'Turn it: F5'],
  ],
  [
    'a property list, with lists of keys',
    'property list',
    '<?xml version="1.0"?><plist version="1.0"><dict><key>Fold the sheet</key><string>^k</string><key>Lift the stain</key><string>@$l</string><key>Turn it</key><string>~t</string></dict></plist>',
    ['Fold the sheet: Ctrl+K', 'Lift the stain: Mod+Shift+L', 'Turn it: Alt+T'],
  ],
];

describe('files with a structure of their own', () => {
  it.each(FILES)('%s', (_, form, text, commands) => {
    const { format, rows, doubt } = readCommandList(text);
    const told = rows.flatMap(({ command }) =>
      command ? [`${[...command.path, command.name].join(' › ')}: ${command.keys.join(', ')}`] : [],
    );
    expect({ format, told, doubt }).toEqual({ format: form, told: commands, doubt: null });
  });

  it('are taken whatever number of lists beside each other they have, if none lies deep', () => {
    const pairs = Array.from({ length: 700 }, (_, i) => `["Fold ${i}", "ctrl+k ${i % 10}"]`);
    const { format, rows } = readCommandList(`[${pairs.join(', ')}]`);
    expect([format, rows.filter((row) => row.command).length]).toEqual(['JSON', 700]);
    const deep = `${'['.repeat(700)}"Fold", "ctrl+k"${']'.repeat(700)}`;
    expect(readCommandList(deep).format).not.toBe('JSON');
  });

  it('are told where each command stands, to the sign', () => {
    for (const [, form, text] of FILES) {
      const { rows } = readCommandList(text);
      for (const { command, at, cells } of rows) {
        if (!command || !at?.keys || command.keys.length === 0 || form === 'Markdown') continue;
        // What stands at the place says the keys, as the cell does.
        const said = text.slice(...at.keys).replace(/<[^<>]*>/gu, ' ');
        expect([cells.join(' | '), said.trim().length > 0]).toEqual([cells.join(' | '), true]);
        expect(text.slice(...at.name).length).toBeGreaterThan(0);
      }
    }
  });
});
