import { describe, expect, it } from 'vitest';
import type { ChordText } from '../chord/chord';
import { NO_CHOICES } from '../reading/choices';
import { readSource, spellingOf, type Wanted } from './sourceText';
import { writeBack } from './writeBack';

/** What a command's keys are written as in a file, with what is said of it. */
function writtenAs(file: string, name: string, keys: readonly ChordText[]): string {
  const source = readSource(file, NO_CHOICES);
  const all = [...source.places.listed.values()];
  const wanted = all.map(
    ({ key, command }): Wanted => ({ id: key, ...command, keys: command.name === name ? keys : command.keys }),
  );
  const { text, commands } = writeBack(source, spellingOf(source), source, wanted);
  const now = readSource(text, NO_CHOICES, {}, source).places.listed;
  const told = commands[all.findIndex(({ command }) => command.name === name)];
  const places = [...now.values()].find(({ command }) => command.name === name)?.places ?? [];
  const guessed = told?.words.some((one) => one.guessed) ? ' (guessed)' : '';
  return told?.why ? told.why.text : `${places.map((one) => one.raw).join(' ; ')}${guessed}`;
}
const PLUS = 'fold = Ctrl+K\nlift = Ctrl+Shift+L, F9\npress = Alt+PgUp\nturn = Del\nmask = none\n';
const GTK = "[keys]\nfold='<Primary>k'\nlift='<Primary><Shift>l'\npress='<Alt>Page_Up'\nturn='F5'\nmask='disabled'\n";
const CARET = 'bind ^K fold\nbind M-l lift\nbind F5 turn\nbind ^X^S save\nbind ^R read\n';
const GERMAN = 'Befehl;Tasten\nFalten;Strg+K\nHeben;Strg+Umschalt+L\nPressen;Alt+Bild auf\nWenden;Entf\nMaske;-\n';
const MAC = 'Command,Shortcut\nFold,⌘K\nLift,⇧⌘L\nPress,⌥⌘P\nTurn,F5\nMask,\n';
const WORDS = 'Command,Shortcut\nFold,control-k\nLift,control-shift-l\nPress,alt-p\nTurn,page up\nMask,\n';
const STROKES = 'bind C-x C-s save\nbind C-x k close\nbind C-x C-f open\nbind F5 turn\nbind M-x run\n';
const VI = 'map gg first\nmap G last\nmap n next\nmap N back\nmap <C-d> down\nmap dd cut\nmap zt top\n';
const COMMAS = 'Command,Shortcut\nSplit,"Ctrl+E, 2"\nSplit beside,"Ctrl+E, 3"\nJoin,"Ctrl+E, 1"\nTurn,F5\n';
const HELD = 'Command,Shortcut\nSlide,Space (hold)\nLend,Q (hold)\nTurn,F5\nPress,Alt+P\nFold,Ctrl+K\n';
const BEHIND = 'Command;Keys\nFold;K+Ctrl\nLift;L+Shift+Ctrl\nPress;PgUp+Alt\nTurn;F5\n';
const PAD =
  'zoom_in = ctrl+kp_add\nzoom_out = ctrl+kp_subtract\nwhole = ctrl+kp_0\nturn = f5\nfold = ctrl+shift+comma\n';
const SIGNS = 'Command,Shortcut\nSmaller,[\nLarger,]\nPanel,Ctrl+/\nTurn,F5\nFold,Ctrl+.\n';
const YAML = 'fold: [ctrl+k, f7]\nlift:\n  - ctrl+shift+l\nturn: f5\npress: alt+p\n';
const ASLEEP = '[keys]\nfold = ctrl+k\n# turn = f5\nlift = ctrl+shift+l\npress = alt+p\n';
const BRACED = '{\n  fold = "^k";\n  lift = "^$l";\n  turn = "f5";\n  press = "~p";\n}\n';
const MARKED = '| Command | Keys |\n|---|---|\n| Fold | `Ctrl`+`K` |\n| Lift | `Ctrl`+`Shift`+`L` |\n| Turn | `F5` |\n';
const CAPS = `<table>${[
  ['Fold', 'Ctrl', 'K'],
  ['Lift', 'Ctrl', 'Shift', 'L'],
  ['Press', 'Alt', 'Page Up'],
  ['Turn', 'F5'],
]
  .map(([name, ...keys]) => `<tr><td>${name}</td><td>${keys.map((one) => `<kbd>${one}</kbd>`).join('+')}</td></tr>`)
  .join('\n')}</table>`;
const CODES = '{"fold": "ctrl+KeyK", "lift": "ctrl+shift+KeyL", "press": "alt+Digit1", "turn": "F5", "mask": ""}';

describe('keys that are written into a file', () => {
  it.each<
    readonly [
      file: string,
      ways: string,
      rows: readonly (readonly [command: string, keys: readonly ChordText[], written: string])[],
    ]
  >([
    [
      PLUS,
      'by plus, none by its word',
      [
        ['turn', ['Mod+Shift+F6'], 'Ctrl+Shift+F6'],
        ['turn', ['Alt+PageDown'], 'Alt+PgDn (guessed)'],
        ['turn', ['Mod+Delete', 'F2'], 'Ctrl+Del, F2'],
        ['turn', [], 'none'],
        ['mask', ['Mod+Plus'], 'Ctrl++ (guessed)'],
        ['lift', ['F9'], 'F9'],
      ],
    ],
    [
      GTK,
      'in angle brackets and quotes',
      [
        ['turn', ['Mod+Shift+F6'], "'<Primary><Shift>F6'"],
        ['turn', ['Alt+PageDown'], "'<Alt>Page_Down' (guessed)"],
        ['turn', [], "'disabled'"],
        ['mask', ['Mod+M'], "'<Primary>m'"],
      ],
    ],
    [
      CARET,
      'by carets and letters',
      [
        ['turn', ['Mod+G'], '^G'],
        ['turn', ['Alt+G'], 'M-g'],
        ['turn', ['Mod+X Mod+G'], '^X^G'],
        ['read', ['F6'], 'F6'],
      ],
    ],
    [
      GERMAN,
      'in German',
      [
        ['Wenden', ['Mod+Shift+F6'], 'Strg+Umschalt+F6 (guessed)'],
        ['Wenden', ['Alt+PageUp'], 'Alt+Bild auf'],
        ['Wenden', [], '-'],
        ['Maske', ['Mod+Delete'], 'Strg+Entf'],
      ],
    ],
    [
      MAC,
      'in signs of a Mac',
      [
        ['Turn', ['Mod+Alt+Shift+G'], '⌥⇧⌘G'],
        ['Turn', ['Mod+Shift+G'], '⇧⌘G'],
        ['Turn', [], ''],
        ['Mask', ['Alt+Shift+F6'], '⌥⇧F6'],
      ],
    ],
    [
      WORDS,
      'in small words, by hyphens',
      [
        ['Turn', ['Mod+Shift+G'], 'control-shift-g'],
        ['Turn', ['Alt+Shift+PageUp'], 'alt-shift-page up'],
        ['Mask', ['F6'], 'f6 (guessed)'],
      ],
    ],
    [
      CODES,
      'in codes of keys',
      [
        ['turn', ['Mod+G'], '"ctrl+KeyG"'],
        ['turn', ['Alt+7'], '"alt+Digit7"'],
        ['mask', ['Mod+Shift+F6'], '"ctrl+shift+F6"'],
      ],
    ],
    [
      STROKES,
      'in strokes',
      [
        ['turn', ['Mod+X Mod+G'], 'C-x C-g'],
        ['turn', ['Mod+X G'], 'C-x g'],
        ['close', ['Alt+G'], 'M-g'],
        ['run', ['F6'], 'F6'],
      ],
    ],
    [
      VI,
      'in letters side by side, capitals for Shift',
      [
        ['next', ['Z B'], 'zb'],
        ['next', ['Shift+K'], 'K'],
        ['next', ['Mod+U'], '<C-u>'],
        ['next', ['G Shift+G'], 'gG'],
      ],
    ],
    [
      COMMAS,
      'in strokes with commas',
      [
        ['Turn', ['Mod+E 7'], '"Ctrl+E, 7"'],
        ['Turn', ['Mod+F6'], 'Ctrl+F6'],
      ],
    ],
    [
      HELD,
      'with a word for those that are held',
      [
        ['Turn', ['hold:T'], 'T (hold)'],
        ['Slide', ['hold:Shift'], 'Shift (guessed)'],
        ['Slide', ['F6'], 'F6'],
      ],
    ],
    [
      BEHIND,
      'with modifiers behind their key',
      [
        ['Turn', ['Mod+G'], 'G+Ctrl'],
        ['Turn', ['Mod+Shift+F6'], 'F6+Shift+Ctrl'],
      ],
    ],
    [
      PAD,
      'with the number pad by name',
      [
        ['turn', ['Mod+Numpad7'], 'ctrl+kp_7'],
        ['turn', ['NumpadMultiply'], 'kp_multiply (guessed)'],
        ['turn', ['Mod+Shift+.'], 'ctrl+shift+period (guessed)'],
      ],
    ],
    [
      SIGNS,
      'with signs as themselves',
      [
        ['Turn', ['Mod+,'], '"Ctrl+," (guessed)'],
        ['Turn', [';'], '; (guessed)'],
        ['Turn', ['Mod+Plus'], 'Ctrl++ (guessed)'],
      ],
    ],
    [
      YAML,
      'in lists of two kinds',
      [
        ['fold', ['Mod+G', 'F8'], '[ctrl+g, f8]'],
        ['lift', ['Mod+G'], 'ctrl+g'],
        ['press', ['Mod+Shift+F6'], 'ctrl+shift+f6'],
      ],
    ],
    [
      ASLEEP,
      'in lines out of use, which are used again',
      [
        ['turn', ['Mod+Shift+F6'], 'ctrl+shift+f6'],
        ['fold', ['F6'], 'f6'],
      ],
    ],
    [
      BRACED,
      'in signs before the key',
      [
        ['turn', ['Ctrl+G'], '"^g"'],
        ['turn', ['Ctrl+Shift+G'], '"^$g"'],
        ['turn', ['Alt+Q'], '"~q"'],
      ],
    ],
    [
      MARKED,
      'in marks of Markdown',
      [
        ['Lift', ['Mod+Shift+G'], '`Ctrl+Shift+G` (guessed)'],
        ['Turn', ['F6'], '`F6`'],
      ],
    ],
    [
      CAPS,
      'in caps of a page',
      [
        ['Lift', ['Mod+Alt+G'], '<kbd>Ctrl</kbd>+<kbd>Alt</kbd>+<kbd>G</kbd>'],
        ['Turn', ['F6'], '<kbd>F6</kbd>'],
      ],
    ],
  ])('are spelled as it spells them: %#, %s', (file, _, rows) => {
    expect(rows.map(([command, keys]) => [command, keys, writtenAs(file, command, keys)])).toEqual(rows);
  });
});
