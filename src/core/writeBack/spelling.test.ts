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
  ])('are spelled as it spells them: %#, %s', (file, _, rows) => {
    expect(rows.map(([command, keys]) => [command, keys, writtenAs(file, command, keys)])).toEqual(rows);
  });
});
