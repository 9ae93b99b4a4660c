import type { Key, Keyboard } from './keyboard';

// Each row: code, width in units, base and shifted character (or a label for a named key).
type Row = readonly (readonly [code: string, width: number, base: string, shifted?: string])[];
const letters = (text: string): Row => [...text].map((letter) => [`Key${letter}`, 1, letter, letter]);
const digits = [...'1234567890'].map((digit, i) => [`Digit${digit}`, 1, digit, '!@#$%^&*()'[i]] as const);

const ROWS: readonly Row[] = [
  [
    ['Backquote', 1, '`', '~'],
    ...digits,
    ['Minus', 1, '-', '_'],
    ['Equal', 1, '=', '+'],
    ['Backspace', 2, 'Backspace'],
  ],
  [
    ['Tab', 1.5, 'Tab'],
    ...letters('QWERTYUIOP'),
    ['BracketLeft', 1, '[', '{'],
    ['BracketRight', 1, ']', '}'],
    ['Backslash', 1.5, '\\', '|'],
  ],
  [
    ['CapsLock', 1.75, 'Caps'],
    ...letters('ASDFGHJKL'),
    ['Semicolon', 1, ';', ':'],
    ['Quote', 1, "'", '"'],
    ['Enter', 2.25, 'Enter'],
  ],
  [
    ['ShiftLeft', 2.25, 'Shift'],
    ...letters('ZXCVBNM'),
    ['Comma', 1, ',', '<'],
    ['Period', 1, '.', '>'],
    ['Slash', 1, '/', '?'],
    ['ShiftRight', 2.75, 'Shift'],
  ],
  [
    ['ControlLeft', 1.25, 'Mod'],
    ['MetaLeft', 1.25, 'Meta'],
    ['AltLeft', 1.25, 'Alt'],
    ['Space', 6.25, 'Space'],
    ['AltRight', 1.25, 'Alt'],
    ['MetaRight', 1.25, 'Meta'],
    ['ContextMenu', 1.25, 'Menu'],
    ['ControlRight', 1.25, 'Mod'],
  ],
];

/** The main block of a US keyboard in the ANSI shape: 61 keys in five rows of 15 units (ANSI INCITS 154). */
export const usKeyboard: Keyboard = { name: 'US', keys: ROWS.flatMap(placeRow), width: 15, rows: ROWS.length };

function placeRow(row: Row, y: number): Key[] {
  let x = 0;
  return row.map(([code, width, base, shifted]) => {
    const printed = shifted !== undefined;
    const key: Key = {
      code,
      x,
      y,
      width,
      base: printed ? base : null,
      shifted: shifted ?? null,
      name: printed
        ? base
        : code.replace(/^(Shift|Meta|Alt)(Left|Right)$/, '$1').replace(/^Control(Left|Right)$/, 'Mod'),
      label: base,
    };
    x += width;
    return key;
  });
}
