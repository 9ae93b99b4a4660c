import type { Part, ShapeName, SizeName } from './keyboard';

/** Where a key is, before anything is printed on it. `label` is what a key that prints no character shows. */
export type Place = {
  readonly code: string;
  readonly part: Part;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  readonly label: string;
};
type Cell = string | readonly [code: string, width: number, label?: string, height?: number];

const digits = [...'1234567890'].map((digit) => `Digit${digit}`);
const letters = (text: string): Cell[] => [...text].map((letter) => `Key${letter}`);
const NUMBERS: readonly Cell[] = ['Backquote', ...digits, 'Minus', 'Equal'];
const UPPER: readonly Cell[] = [['Tab', 1.5, 'Tab'], ...letters('QWERTYUIOP'), 'BracketLeft', 'BracketRight'];
const HOME: readonly Cell[] = [['CapsLock', 1.75, 'Caps'], ...letters('ASDFGHJKL'), 'Semicolon', 'Quote'];
const LOWER: readonly Cell[] = [...letters('ZXCVBNM'), 'Comma', 'Period', 'Slash'];
const BOTTOM: readonly Cell[] = [
  ['ControlLeft', 1.25],
  ['MetaLeft', 1.25],
  ['AltLeft', 1.25],
  ['Space', 6.25, 'Space'],
  ['AltRight', 1.25],
  ['MetaRight', 1.25],
  ['ContextMenu', 1.25, 'Menu'],
  ['ControlRight', 1.25],
];
const JIS_BOTTOM: readonly Cell[] = [
  ['ControlLeft', 1.25],
  ['MetaLeft', 1.25],
  ['AltLeft', 1.25],
  ['NonConvert', 1.25, '無変換'],
  ['Space', 3.25, 'Space'],
  ['Convert', 1.25, '変換'],
  ['KanaMode', 1.25, 'かな'],
  ['AltRight', 1.25],
  ['MetaRight', 1],
  ['ContextMenu', 1, 'Menu'],
  ['ControlRight', 1],
];
/** The tall Enter of ISO and JIS begins a quarter unit further left in its upper half; its lower half is drawn here. */
const TALL_ENTER: Cell = ['Enter', 1.25, 'Enter', 2];

/**
 * The rows of the main block: ANSI INCITS 154 (ANSI), ISO/IEC 9995-2 (ISO; with the key left of the right Shift where a
 * layout has one), JIS X 6002 (JIS). Rows are 15 u wide, each staggered against the one above as on any keyboard.
 */
function mainRows(shape: ShapeName, extraKey: boolean): readonly (readonly Cell[])[] {
  if (shape === 'ansi') {
    return [
      [...NUMBERS, ['Backspace', 2, 'Backspace']],
      [...UPPER, ['Backslash', 1.5]],
      [...HOME, ['Enter', 2.25, 'Enter']],
      [['ShiftLeft', 2.25], ...LOWER, ['ShiftRight', 2.75]],
      BOTTOM,
    ];
  }
  if (shape === 'iso') {
    return [
      [...NUMBERS, ['Backspace', 2, 'Backspace']],
      [...UPPER, ['', 0.25], TALL_ENTER],
      [...HOME, 'Backslash'],
      [
        ['ShiftLeft', 1.25],
        'IntlBackslash',
        ...LOWER,
        ...(extraKey ? (['IntlRo', ['ShiftRight', 1.75]] as const) : ([['ShiftRight', 2.75]] as const)),
      ],
      BOTTOM,
    ];
  }
  return [
    [...NUMBERS, 'IntlYen', ['Backspace', 1, 'Back']],
    [...UPPER, ['', 0.25], TALL_ENTER],
    [...HOME, 'Backslash'],
    [['ShiftLeft', 2.25], ...LOWER, 'IntlRo', ['ShiftRight', 1.75]],
    JIS_BOTTOM,
  ];
}

const gap = (width: number): Cell => ['', width];
const FUNCTION_ROW: readonly Cell[] = [
  ['Escape', 1, 'Esc'],
  gap(1),
  ...[1, 2, 3, 4].map((n): Cell => [`F${n}`, 1, `F${n}`]),
  gap(0.5),
  ...[5, 6, 7, 8].map((n): Cell => [`F${n}`, 1, `F${n}`]),
  gap(0.5),
  ...[9, 10, 11, 12].map((n): Cell => [`F${n}`, 1, `F${n}`]),
];
const NAVIGATION: readonly (readonly Cell[])[] = [
  [
    ['PrintScreen', 1, 'Prt'],
    ['ScrollLock', 1, 'Scr'],
    ['Pause', 1, 'Pause'],
  ],
  [
    ['Insert', 1, 'Ins'],
    ['Home', 1, 'Home'],
    ['PageUp', 1, 'PgUp'],
  ],
  [
    ['Delete', 1, 'Del'],
    ['End', 1, 'End'],
    ['PageDown', 1, 'PgDn'],
  ],
  [],
  [gap(1), ['ArrowUp', 1, '↑']],
  [
    ['ArrowLeft', 1, '←'],
    ['ArrowDown', 1, '↓'],
    ['ArrowRight', 1, '→'],
  ],
];
const pad = (n: number): Cell => [`Numpad${n}`, 1, String(n)];
const NUMBER_PAD: readonly (readonly Cell[])[] = [
  [],
  [
    ['NumLock', 1, 'Num'],
    ['NumpadDivide', 1, '/'],
    ['NumpadMultiply', 1, '*'],
    ['NumpadSubtract', 1, '-'],
  ],
  [pad(7), pad(8), pad(9), ['NumpadAdd', 1, '+', 2]],
  [pad(4), pad(5), pad(6)],
  [pad(1), pad(2), pad(3), ['NumpadEnter', 1, 'Ent', 2]],
  [
    ['Numpad0', 2, '0'],
    ['NumpadDecimal', 1, '.'],
  ],
];

/** The places of all keys of a shape and size; the function row and the main block are a quarter unit apart. */
export function shapePlaces(shape: ShapeName, size: SizeName, extraKey: boolean): Place[] {
  const main = mainRows(shape, extraKey).flatMap((row, i) => placeRow(row, 'main block', 0, i + 1.25));
  if (size === 'compact') return main.map((place) => ({ ...place, y: place.y - 1.25 }));
  const block = (rows: readonly (readonly Cell[])[], part: Part, x: number): Place[] =>
    rows.flatMap((row, i) => placeRow(row, part, x, i === 0 ? 0 : i + 0.25));
  return [
    ...placeRow(FUNCTION_ROW, 'function row', 0, 0),
    ...main,
    ...block(NAVIGATION, 'navigation', 15.25),
    ...(size === 'full' ? block(NUMBER_PAD, 'number pad', 18.5) : []),
  ];
}

function placeRow(row: readonly Cell[], part: Part, left: number, y: number): Place[] {
  let x = left;
  const places: Place[] = [];
  for (const cell of row) {
    const [code, width, label = '', height = 1] = typeof cell === 'string' ? ([cell, 1] as const) : cell;
    if (code !== '') places.push({ code, part, x, y, width, height, label });
    x += width;
  }
  return places;
}
