import { describe, expect, it } from 'vitest';
import { keyRange } from './keyRange';
import { keysText } from './keysText';
import { saysTwice } from './mannerOf';

describe('what a cell says of keys', () => {
  it.each<[written: string, others: string, mac?: string]>([
    // Nothing is around them.
    ['Ctrl+S', 'Ctrl+S'],
    ['Ctrl + Shift + S', 'Ctrl + Shift + S'],
    // Marks around keys, and around several.
    ['`Ctrl+S`', 'Ctrl+S'],
    ['``Ctrl+S``', 'Ctrl+S'],
    ['"Ctrl+S"', 'Ctrl+S'],
    ['“Ctrl+S”', 'Ctrl+S'],
    ['« Ctrl+S »', 'Ctrl+S'],
    ['‘Ctrl+S’', 'Ctrl+S'],
    ['**Ctrl+S**', 'Ctrl+S'],
    ['__Ctrl+S__', 'Ctrl+S'],
    ['*Ctrl+S*', 'Ctrl+S'],
    ['<kbd>Ctrl</kbd><kbd>S</kbd>', 'Ctrl+S'],
    ['<b>Ctrl</b>+<b class="key">S</b>', 'Ctrl+S'],
    [':kbd:`Ctrl+S`', 'Ctrl+S'],
    ['kbd:[Ctrl+S]', 'Ctrl+S'],
    ['kbd:[Ctrl+S] or kbd:[F2]', 'Ctrl+S or F2'],
    ["['Ctrl+S', 'F2']", 'Ctrl+S\nF2'],
    ["@as ['F2']", 'F2'],
    // Quotes that are keys.
    ["Ctrl+'", "Ctrl+'"],
    ['"', '"'],
    ['`', '`'],
    ["'a' / 'b'", 'a / b'],
    // Words before them.
    ['Shortcut: Ctrl+S', 'Ctrl+S'],
    ['Default shortcut: F2', 'F2'],
    ['Key: F2', 'F2'],
    ['Hotkey Ctrl+S', 'Ctrl+S'],
    // Signs that nobody sees, or that only look otherwise.
    ['Ctrl\u00ad+S', 'Ctrl+S'],
    ['Ctrl‑S', 'Ctrl-S'],
    ['Ctrl–S', 'Ctrl-S'],
    ['Ctrl+˜', 'Ctrl+~'],
    ['Ctrl+−', 'Ctrl+-'],
    ['∗', '*'],
    // Marks of notes, and the key that looks like one.
    ['Ctrl+S *', 'Ctrl+S'],
    ['Ctrl+S*', 'Ctrl+S'],
    ['Ctrl+*', 'Ctrl+*'],
    ['Num *', 'Num *'],
    ['F2¹', 'F2'],
    ['F2 [3]', 'F2'],
    ['F2 [default]', 'F2'],
    // Notes in brackets, and brackets that tell keys.
    ['Ctrl+S (only over the sheet)', 'Ctrl+S'],
    ['(Ctrl+S)', 'Ctrl+S'],
    ['F2 (or Ctrl+R)', 'F2 or Ctrl+R'],
    ['F2 (Ctrl+R)', 'F2 or Ctrl+R'],
    ['Space (hold)', 'Space (hold)'],
    ['Space (gedrückt halten)', 'Space (hold)'],
    ['0 (numpad)', '0 (numpad)'],
    ['0 (on the number pad)', '0 (numpad)'],
    ['O (letter)', 'O'],
    ['0 (zero)', '0'],
    ['Period (.)', 'Period'],
    ['C (C)', 'C'],
    // What is for another platform than the list's.
    ['Ctrl+S (⌘S on Mac)', 'Ctrl+S', 'Ctrl+S or ⌘S'],
    ['Ctrl+S (Mac: ⌘S)', 'Ctrl+S', 'Ctrl+S or ⌘S'],
    ['Ctrl+S, also ⌘S on macOS', 'Ctrl+S', '⌘S'],
    ['Ctrl+S (Windows), Cmd+S (Mac)', 'Ctrl+S', 'Cmd+S'],
    ['Windows: Ctrl+S', 'Ctrl+S'],
    ['Ctrl/Cmd+S', 'CmdOrCtrl+S'],
    ['Ctrl (Cmd)+S', 'CmdOrCtrl+S'],
    ['Alt/Option+S', 'Alt+S'],
    // Strokes with backslashes and carets.
    ['\\C-x\\C-s', 'Ctrl+x then Ctrl+s'],
    ['^X^S', 'Ctrl+X then Ctrl+S'],
    ['\\eb', 'Alt+b'],
  ])('%s', (written, others, mac) => {
    expect(keysText(written, false)).toBe(others);
    if (mac !== undefined) expect(keysText(written, true)).toBe(mac);
  });
});

describe('keys in lines', () => {
  it.each([
    ['D\nD', true],
    ['D\nD\nD', true],
    ['D\nD\nE', false],
    ['D\nE', false],
    ['D', false],
  ])('that stand there twice are pressed in turn: %j', (cell, twice) => {
    expect(saysTwice(cell)).toBe(twice);
  });
});

describe('a range of keys', () => {
  it.each<readonly [written: string, keys: string | null]>([
    ['F1-F4', 'F1 F2 F3 F4'],
    ['F1 … F3', 'F1 F2 F3'],
    ['Ctrl+1 ... Ctrl+4', 'Ctrl+1 Ctrl+2 Ctrl+3 Ctrl+4'],
    ['Ctrl+1..4', 'Ctrl+1 Ctrl+2 Ctrl+3 Ctrl+4'],
    ['Alt-[1-3]', 'Alt-1 Alt-2 Alt-3'],
    ['1-9', '1 2 3 4 5 6 7 8 9'],
    ['0 to 3', '0 1 2 3'],
    ['1 bis 3', '1 2 3'],
    ['F5 jusqu’à F7', null],
    ['Ctrl+A - Ctrl+C', 'Ctrl+A Ctrl+B Ctrl+C'],
    // A letter for a modifier is none, nor is what goes down, or from one kind to another.
    ['C-s', null],
    ['a-c', null],
    ['9-1', null],
    ['F1-4', null],
    ['1-F4', null],
    ['Ctrl+1 - Alt+4', null],
    ['F1-F40', null],
    ['Ctrl+S', null],
    ['', null],
  ])('%s', (written, keys) => {
    expect(keyRange(written)?.join(' ') ?? null).toBe(keys);
  });
});
