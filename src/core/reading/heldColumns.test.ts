import { describe, expect, it } from 'vitest';
import { keysApart, keysTogether, tellsHeld } from './heldColumns';

/** The keys of each row, put together; null where they do not stand apart. */
function together(names: readonly string[], ...rows: (string | undefined)[][]): readonly string[] | null {
  const apart = keysApart(names, rows);
  return apart && rows.map((row) => keysTogether(apart, row));
}

describe('keys that stand in several columns', () => {
  it.each([
    [
      'a column for each modifier',
      ['Name', 'Ctrl', 'Shift', 'Key'],
      [
        ['Fold', 'x', '', 'K'],
        ['Lift', 'x', 'x', 'L'],
        ['Trim', '', '', 'F9'],
      ],
      ['Ctrl+K', 'Ctrl+Shift+L', 'F9'],
    ],
    [
      'as programs call them',
      ['key', 'ctrlKey', 'isShiftDown', 'alt-key', 'needs_meta'],
      [
        ['k', 'true', 'false', '0', 'no'],
        ['l', 'TRUE', '1', 'on', 'yes'],
      ],
      ['ctrl+k', 'ctrl+Shift+alt+meta+l'],
    ],
    [
      'all modifiers in one, by words',
      ['command', 'key', 'mods'],
      [
        ['fold', 'K', 'Control|Shift'],
        ['lift', 'L', 'none'],
        ['trim', 'F9', 'alt, ctrl'],
      ],
      ['Control+Shift+K', 'L', 'alt+ctrl+F9'],
    ],
    [
      'all modifiers in one, by letters',
      ['keysym', 'mask'],
      [
        ['Tab', 'AS'],
        ['q', 'C4'],
        ['F2', ''],
      ],
      ['Alt+Shift+Tab', 'Ctrl+Super+q', 'F2'],
    ],
    [
      'fields of a record within a record',
      ['title', 'binding key', 'binding modifiers'],
      [
        ['Fold', 'K', 'ctrl\nshift'],
        ['Lift', 'L', undefined],
      ],
      ['ctrl+shift+K', 'L'],
    ],
    [
      'a word that is a name in most lists, where it says yes or no',
      ['action', 'command', 'key'],
      [
        ['fold', 'yes', 'K'],
        ['lift', 'no', 'L'],
      ],
      ['cmd+K', 'L'],
    ],
    [
      'ticks, and crosses where none is',
      ['Name', 'Ctrl', 'Alt', 'Key'],
      [
        ['Fold', '✓', '✗', 'K'],
        ['Lift', '✗', '✗', 'L'],
      ],
      ['Ctrl+K', 'L'],
    ],
    [
      'crosses alone',
      ['Name', 'Ctrl', 'Alt', 'Key'],
      [
        ['Fold', '✗', '', 'K'],
        ['Lift', '', '×', 'L'],
      ],
      ['Ctrl+K', 'Alt+L'],
    ],
    [
      'no key, and so no modifier',
      ['Ctrl', 'Key'],
      [
        ['x', ''],
        ['x', 'K'],
      ],
      ['', 'Ctrl+K'],
    ],
  ] as const)('%s', (_, names, rows, wanted) => {
    expect(names.some(tellsHeld)).toBe(true);
    expect(together(names, ...rows.map((row) => [...row]))).toEqual(wanted);
  });

  it('are left as they are where columns hold something else', () => {
    expect(together(['Command', 'Key'], ['Save', 'S'])).toBeNull();
    expect(together(['Shift', 'Key'], ['Early', 'K'], ['Late', 'L'])).toBeNull();
    expect(together(['Ctrl', 'Alt'], ['x', ''])).toBeNull();
    expect(together(['Ctrl', 'Key'], ['', 'K'], ['', 'L'])).toBeNull();
    expect(together(['outer key', 'inner ctrl'], ['K', 'x'])).toBeNull();
    expect(['Command', 'Name', 'Key', 'Control panel', 'Altitude'].map(tellsHeld)).toEqual([
      true,
      false,
      false,
      false,
      false,
    ]);
  });
});
