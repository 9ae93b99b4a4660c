import characterWords from './characterWords.json';

/**
 * Named keys of the W3C UI Events standard, how we write them for people, and the other spellings we read.
 * A tuple is: canonical name, Windows words, Mac words, Mac symbol (or the words again), further spellings in lower case.
 */
type NamedKey = readonly [name: string, windows: string, mac: string, symbol: string, spellings: readonly string[]];

const PAD_WORDS = [
  'num',
  'num.',
  'numpad',
  'num pad',
  'keypad',
  'key pad',
  'number pad',
  'numeric keypad',
  'numeric',
  'kp',
  'pad',
  'ziffernblock',
  'nummernblock',
  'zehnerblock',
  'zehnertastatur',
  'pavé num',
  'pavé num.',
  'pavé numérique',
  'pav num',
  'teclado numérico',
  'teclado num',
  'tecl num',
  'bloque numérico',
];
/** How a key of the number pad is called after the words for the pad itself. */
const PAD_KEYS: readonly (readonly [name: string, label: string, spellings: readonly string[]])[] = [
  ['NumpadAdd', '+', ['+', 'plus', 'add', 'más', 'mas']],
  ['NumpadSubtract', '-', ['-', 'minus', 'subtract', '−', '–', 'moins', 'menos']],
  ['NumpadMultiply', '*', ['*', '×', 'multiply', 'star', 'asterisk', 'mal', 'fois', 'por']],
  ['NumpadDivide', '/', ['/', '÷', 'divide', 'slash', 'geteilt', 'divisé', 'entre']],
  ['NumpadDecimal', '.', ['.', ',', 'decimal', 'del', 'point', 'komma', 'virgule', 'coma', 'punto', 'entf', 'suppr']],
  ['NumpadEnter', 'Enter', ['enter', 'return', 'eingabe', 'entrée', 'intro', '↩', '⏎']],
  ['NumpadEqual', '=', ['=', 'equals', 'equal', 'gleich', 'égal', 'igual']],
  ...Array.from({ length: 10 }, (_, n) => [`Numpad${n}`, `${n}`, [`${n}`]] as const),
];

const NAMED: readonly NamedKey[] = [
  [
    'Space',
    'Space',
    'Space',
    'Space',
    [
      'spc',
      'space bar',
      'spacebar',
      'space key',
      'leertaste',
      'leerzeichen',
      'leer',
      'espace',
      'barre espace',
      "barre d'espace",
      'barre d’espace',
      'espacio',
      'barra espaciadora',
      'barra de espacio',
      '␣',
    ],
  ],
  ['Plus', 'Plus', 'Plus', '+', ['+', 'plus sign', 'plus key', 'plustaste', 'plus-taste', 'más', 'signo más', '＋']],
  [
    'Enter',
    'Enter',
    'Return',
    '↩',
    ['eingabe', 'eingabetaste', 'entrée', 'entree', 'retour', 'entrar', 'intro', 'retorno', 'ret', 'cr', '⏎', '↵', '⌅'],
  ],
  [
    'Tab',
    'Tab',
    'Tab',
    '⇥',
    [
      'tabulator',
      'tabulatortaste',
      'tabulation',
      'tabulador',
      'tab key',
      'iso left tab',
      'backtab',
      'back tab',
      '↹',
      '⇆',
      '⭾',
    ],
  ],
  ['Escape', 'Esc', 'Esc', '⎋', ['échap', 'echap', 'échappement', 'escape key', 'esc.', 'escapar']],
  [
    'Backspace',
    'Backspace',
    'Delete',
    '⌫',
    [
      'back',
      'bksp',
      'bkspc',
      'bs',
      'back space',
      'rücktaste',
      'rückschritt',
      'rückschritttaste',
      'retour arrière',
      'effacement arrière',
      'ret. arr.',
      'retroceso',
      'borrar atrás',
    ],
  ],
  [
    'Delete',
    'Del',
    'Forward Delete',
    '⌦',
    ['entf', 'entfernen', 'löschen', 'suppr', 'suppr.', 'supprimer', 'supr', 'suprimir', 'fwd del', 'forward del'],
  ],
  ['Insert', 'Ins', 'Ins', 'Ins', ['einfg', 'einfügen', 'inser', 'insér', 'insertion', 'insertar']],
  ['Home', 'Home', 'Home', '↖', ['pos1', 'pos 1', 'anfang', 'début', 'debut', 'origine', 'inicio', '⇱', '⤒']],
  ['End', 'End', 'End', '↘', ['ende', 'fin', 'final', '⇲', '⤓']],
  [
    'PageUp',
    'PgUp',
    'Page Up',
    '⇞',
    [
      'prior',
      'ppage',
      'bild auf',
      'bild ↑',
      'bild hoch',
      'bild nach oben',
      'pg.préc',
      'pg préc',
      'page préc',
      'page précédente',
      'page haut',
      'repág',
      'repag',
      're pág',
      'retroceder página',
      'pg up',
      'pgu',
    ],
  ],
  [
    'PageDown',
    'PgDn',
    'Page Down',
    '⇟',
    [
      'next',
      'bild ab',
      'bild ↓',
      'bild runter',
      'bild nach unten',
      'pg.suiv',
      'pg suiv',
      'page suiv',
      'page suivante',
      'page bas',
      'avpág',
      'avpag',
      'av pág',
      'avanzar página',
      'pg dn',
      'pgdown',
      'pg down',
      'pgd',
      'pgdwn',
      'pagedn',
      'npage',
      'page dn',
    ],
  ],
  [
    'ArrowUp',
    'Up',
    'Up',
    '↑',
    [
      'arrow up',
      'up arrow',
      'cursor up',
      'pfeil auf',
      'pfeil oben',
      'pfeil nach oben',
      'pfeil hoch',
      'flèche haut',
      'flèche vers le haut',
      'haut',
      'arriba',
      'flecha arriba',
      '▲',
      '⬆',
    ],
  ],
  [
    'ArrowDown',
    'Down',
    'Down',
    '↓',
    [
      'arrow down',
      'down arrow',
      'cursor down',
      'pfeil ab',
      'pfeil unten',
      'pfeil nach unten',
      'flèche bas',
      'flèche vers le bas',
      'bas',
      'abajo',
      'flecha abajo',
      '▼',
      '⬇',
    ],
  ],
  [
    'ArrowLeft',
    'Left',
    'Left',
    '←',
    [
      'arrow left',
      'left arrow',
      'cursor left',
      'pfeil links',
      'pfeil nach links',
      'flèche gauche',
      'flèche vers la gauche',
      'gauche',
      'izquierda',
      'flecha izquierda',
      '◀',
      '⬅',
    ],
  ],
  [
    'ArrowRight',
    'Right',
    'Right',
    '→',
    [
      'arrow right',
      'right arrow',
      'cursor right',
      'pfeil rechts',
      'pfeil nach rechts',
      'flèche droite',
      'flèche vers la droite',
      'droite',
      'derecha',
      'flecha derecha',
      '▶',
      '➡',
    ],
  ],
  [
    'CapsLock',
    'Caps Lock',
    'Caps Lock',
    '⇪',
    [
      'caps',
      'feststelltaste',
      'feststell',
      'verr maj',
      'verr. maj.',
      'verrouillage maj',
      'bloq mayús',
      'bloqueo de mayúsculas',
      '🄰',
    ],
  ],
  ['NumLock', 'Num Lock', 'Num Lock', 'Num Lock', ['numlk', 'num lk', 'verr num', 'bloq num', 'num-taste']],
  ['ScrollLock', 'Scroll Lock', 'Scroll Lock', 'Scroll Lock', ['scrlk', 'rollen', 'arrêt défil', 'bloq despl']],
  ['Pause', 'Pause', 'Pause', 'Pause', ['break', 'untbr', 'attn', 'pausa', 'pause/break']],
  [
    'PrintScreen',
    'Print Screen',
    'Print Screen',
    'Print Screen',
    [
      'prtsc',
      'prtscn',
      'prt sc',
      'print',
      'druck',
      'impr écran',
      'impr. écran',
      'impr pant',
      'imprimir pantalla',
      'sys req',
      'sysreq',
    ],
  ],
  [
    'ContextMenu',
    'Menu key',
    'Menu key',
    'Menu key',
    ['context menu', 'menu', 'application key', 'kontextmenü', 'menü', 'menú contextual', 'menu contextuel'],
  ],
  ...PAD_KEYS.map(([name, label, spellings]): NamedKey => {
    const words = PAD_WORDS.flatMap((pad) => spellings.flatMap((one) => [`${pad} ${one}`, `${pad}${one}`]));
    const after = spellings.flatMap((one) => [`${one} (num)`, `${one} (numpad)`, `${one} (keypad)`, `${one} pavé num`]);
    return [name, `Num ${label}`, `Num ${label}`, name === 'NumpadEnter' ? '⌤' : `Num ${label}`, [...words, ...after]];
  }),
  ...Array.from({ length: 24 }, (_, n): NamedKey => {
    return [`F${n + 1}`, `F${n + 1}`, `F${n + 1}`, `F${n + 1}`, [`f ${n + 1}`, `f-${n + 1}`, `fn${n + 1}`]];
  }),
];

/** What people write for a printed character, in lower case, in English, German, French and Spanish. */
const CHARACTER_WORDS: ReadonlyMap<string, string> = new Map(
  Object.entries(characterWords).flatMap(([char, words]) => words.map((word) => [word, char] as const)),
);

/** Every spelling of a key that we read, for finding the nearest one to what was written. */
export function knownSpellings(): string[] {
  return [...BY_SPELLING.keys(), ...CHARACTER_WORDS.keys()];
}

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
// Terminals write words for keys together, in capitals: `RIGHTARROW`.
for (const [spelling, name] of [...BY_SPELLING]) {
  const together = spelling.replaceAll(' ', '');
  if (/^\p{L}{6,}$/u.test(together) && !BY_SPELLING.has(together)) BY_SPELLING.set(together, name);
}
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

/** Whether a canonical key name is a printed character rather than a named key; `Plus` is the plus sign. */
export function isPrinted(key: string): boolean {
  return key === 'Plus' || isPrintedCharacter(key);
}

/**
 * Reads one key, in any spelling we know, to its canonical name.
 * @param macWords whether "Delete" means the Mac's Delete key (Backspace elsewhere).
 * @returns the canonical name, or null when nothing fits.
 */
export function readKey(text: string, macWords: boolean): string | null {
  const low = text.toLowerCase().replace(/\s+/g, ' ').trim();
  // `Next` is what X calls Page Down; all in capitals it is another key.
  if (low === '' || text === 'NEXT') return null;
  const found = (macWords ? BY_MAC_WORD.get(low) : undefined) ?? BY_SPELLING.get(low) ?? CHARACTER_WORDS.get(low);
  if (found) return found;
  // Words put together, as in `LeftArrow`, and digits as some libraries call their keys.
  const apart = text
    .trim()
    .replace(/(?<=\p{Ll})(?=\p{Lu})/gu, ' ')
    .toLowerCase();
  const together = apart === low ? undefined : (BY_SPELLING.get(apart) ?? CHARACTER_WORDS.get(apart));
  if (together) return together;
  const digit = /^key(\d)$/u.exec(low)?.[1];
  if (digit !== undefined) return digit;
  if ([...text.trim()].length === 1) {
    // The dotted capital of Turkish has no lower case of one character, so the text itself is asked first.
    const given = upperOrSame(text.trim());
    if (isPrintedCharacter(given)) return given;
  }
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
