/**
 * Named keys of the W3C UI Events standard, how we write them for people, and the other spellings we read.
 * A tuple is: canonical name, Windows words, Mac words, Mac symbol (or the words again), further spellings in lower case.
 */
type NamedKey = readonly [name: string, windows: string, mac: string, symbol: string, spellings: readonly string[]];

const NAMED: readonly NamedKey[] = [
  ['Space', 'Space', 'Space', 'Space', ['space bar', 'spacebar', 'leertaste', 'espace', 'espacio', '␣']],
  ['Plus', 'Plus', 'Plus', '+', ['+', 'plus sign', 'plus key']],
  ['Enter', 'Enter', 'Return', '↩', ['eingabe', 'entrée', 'entrar', 'intro', '⏎', '↵']],
  ['Tab', 'Tab', 'Tab', '⇥', ['tabulator', 'tabulation', 'tab key']],
  ['Escape', 'Esc', 'Esc', '⎋', ['échap', 'escape key']],
  ['Backspace', 'Backspace', 'Delete', '⌫', ['back', 'bksp', 'rücktaste', 'retour arrière', 'retroceso']],
  ['Delete', 'Del', 'Forward Delete', '⌦', ['entf', 'suppr', 'supr', 'fwd del', 'forward del']],
  ['Insert', 'Ins', 'Ins', 'Ins', ['einfg', 'inser']],
  ['Home', 'Home', 'Home', '↖', ['pos1', 'début', 'inicio']],
  ['End', 'End', 'End', '↘', ['ende', 'fin']],
  ['PageUp', 'PgUp', 'Page Up', '⇞', ['pgup', 'pageup', 'bild auf', 'bild ↑', 'pg.préc', 'repág', 'pg up']],
  [
    'PageDown',
    'PgDn',
    'Page Down',
    '⇟',
    ['pgdn', 'pagedown', 'bild ab', 'bild ↓', 'pg.suiv', 'avpág', 'pg dn', 'pgdown'],
  ],
  ['ArrowUp', 'Up', 'Up', '↑', ['arrow up', 'up arrow', 'pfeil auf', 'haut', 'arriba']],
  ['ArrowDown', 'Down', 'Down', '↓', ['arrow down', 'down arrow', 'pfeil ab', 'bas', 'abajo']],
  ['ArrowLeft', 'Left', 'Left', '←', ['arrow left', 'left arrow', 'pfeil links', 'gauche', 'izquierda']],
  ['ArrowRight', 'Right', 'Right', '→', ['arrow right', 'right arrow', 'pfeil rechts', 'droite', 'derecha']],
  ['CapsLock', 'Caps Lock', 'Caps Lock', '⇪', ['caps', 'feststelltaste']],
  ['NumLock', 'Num Lock', 'Num Lock', 'Num Lock', ['numlk']],
  ['ScrollLock', 'Scroll Lock', 'Scroll Lock', 'Scroll Lock', ['scrlk']],
  ['Pause', 'Pause', 'Pause', 'Pause', ['break']],
  ['PrintScreen', 'Print Screen', 'Print Screen', 'Print Screen', ['prtsc', 'prtscn', 'druck']],
  ['ContextMenu', 'Menu key', 'Menu key', 'Menu key', ['context menu', 'menu']],
  ['NumpadAdd', 'Num +', 'Num +', 'Num +', ['num plus', 'numpad +', 'keypad +', 'numpad plus', 'kp +']],
  ['NumpadSubtract', 'Num -', 'Num -', 'Num -', ['num minus', 'numpad -', 'keypad -', 'numpad minus', 'kp -']],
  ['NumpadMultiply', 'Num *', 'Num *', 'Num *', ['numpad *', 'keypad *', 'kp *']],
  ['NumpadDivide', 'Num /', 'Num /', 'Num /', ['numpad /', 'keypad /', 'kp /']],
  ['NumpadDecimal', 'Num .', 'Num .', 'Num .', ['numpad .', 'keypad .', 'num ,', 'kp .']],
  ['NumpadEnter', 'Num Enter', 'Num Enter', '⌤', ['numpad return', 'keypad enter', 'keypad return']],
  ['NumpadEqual', 'Num =', 'Num =', 'Num =', ['numpad =', 'keypad =']],
  ...Array.from({ length: 10 }, (_, n): NamedKey => {
    return [`Numpad${n}`, `Num ${n}`, `Num ${n}`, `Num ${n}`, [`keypad ${n}`, `kp ${n}`, `num${n}`]];
  }),
  ...Array.from({ length: 24 }, (_, n): NamedKey => [`F${n + 1}`, `F${n + 1}`, `F${n + 1}`, `F${n + 1}`, []]),
];

/** Words people write for a printed character, in lower case. */
const CHARACTER_WORDS: Readonly<Record<string, string>> = {
  minus: '-',
  hyphen: '-',
  dash: '-',
  '–': '-',
  '−': '-',
  comma: ',',
  komma: ',',
  period: '.',
  'full stop': '.',
  dot: '.',
  punkt: '.',
  slash: '/',
  'forward slash': '/',
  backslash: '\\',
  semicolon: ';',
  colon: ':',
  apostrophe: "'",
  quote: "'",
  '’': "'",
  '‘': "'",
  equals: '=',
  equal: '=',
  '=': '=',
  'left bracket': '[',
  'right bracket': ']',
  'open bracket': '[',
  'close bracket': ']',
  bracketleft: '[',
  bracketright: ']',
  backtick: '`',
  grave: '`',
  backquote: '`',
  tilde: '~',
  asterisk: '*',
  star: '*',
  hash: '#',
  'question mark': '?',
  less: '<',
  greater: '>',
  underscore: '_',
};

const BY_NAME = new Map(NAMED.map((entry) => [entry[0], entry]));
const BY_SPELLING = new Map<string, string>();
for (const [name, windows, mac, symbol, spellings] of NAMED) {
  for (const spelling of [name, windows, symbol, mac, name.replace('Numpad', 'numpad '), ...spellings]) {
    // "Delete" alone is the Delete key everywhere but in Mac words, which readKey handles first.
    const low = spelling.toLowerCase();
    if (!BY_SPELLING.has(low)) BY_SPELLING.set(low, name);
  }
}
BY_SPELLING.set('delete', 'Delete');
const BY_MAC_WORD = new Map(NAMED.map((entry) => [entry[2].toLowerCase(), entry[0]]));

export type KeyStyle = 'windows' | 'mac' | 'symbols';

/** A key as people read it in the given style; a printed character stands for itself. */
export function keyLabel(key: string, style: KeyStyle): string {
  const entry = BY_NAME.get(key);
  if (!entry) return key;
  return style === 'windows' ? entry[1] : style === 'mac' ? entry[2] : entry[3];
}

/** Whether a canonical key name is one we know: a named key or a single printed character. */
export function isKnownKey(key: string): boolean {
  return BY_NAME.has(key) || isPrintedCharacter(key);
}

/**
 * Reads one key, in any spelling we know, to its canonical name.
 * @param macWords whether "Delete" means the Mac's Delete key (Backspace elsewhere).
 * @returns the canonical name, or null when nothing fits.
 */
export function readKey(text: string, macWords: boolean): string | null {
  const low = text.toLowerCase().replace(/\s+/g, ' ').trim();
  if (low === '') return null;
  const found = (macWords ? BY_MAC_WORD.get(low) : undefined) ?? BY_SPELLING.get(low) ?? CHARACTER_WORDS[low];
  if (found) return found;
  const upper = low.toUpperCase();
  const one = [...upper].length === 1 ? upper : low;
  return isPrintedCharacter(one) ? one : null;
}

/** One character that a key can have printed on it: not a space, a control, a mark, or one of our modifier symbols. */
function isPrintedCharacter(text: string): boolean {
  return (
    [...text].length === 1 &&
    text !== '+' &&
    /^[\p{L}\p{N}\p{P}\p{S}]$/u.test(text) &&
    !/[⌘⌥⇧⌃⊞]/.test(text) &&
    text === upperOrSame(text)
  );
}

function upperOrSame(text: string): string {
  const upper = text.toUpperCase();
  return [...upper].length === 1 ? upper : text;
}
