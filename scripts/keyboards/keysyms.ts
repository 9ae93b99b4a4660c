import { readFileSync } from 'node:fs';

/** What a dead key adds, as the character printed on the key (Debian's `x11proto-dev`, keysymdef.h, names them). */
const DEAD: Readonly<Record<string, string>> = {
  grave: '`',
  acute: '´',
  circumflex: '^',
  tilde: '~',
  perispomeni: '~',
  macron: '¯',
  breve: '˘',
  abovedot: '˙',
  diaeresis: '¨',
  abovering: '°',
  doubleacute: '˝',
  caron: 'ˇ',
  cedilla: '¸',
  ogonek: '˛',
  iota: 'ͅ',
  belowdot: '̣',
  hook: '̉',
  horn: '̛',
  stroke: '/',
  belowcomma: '̦',
  currency: '¤',
  greek: 'µ',
  belowmacron: '̱',
  belowbreve: '̮',
  belowtilde: '̰',
  belowcircumflex: '̭',
  belowdiaeresis: '̤',
  invertedbreve: '̑',
  doublegrave: '̏',
  aboveverticalline: '̍',
  belowverticalline: '̩',
  longsolidusoverlay: '̸',
  abovecomma: '̓',
  abovereversedcomma: '̔',
  voiced_sound: '゛',
  semivoiced_sound: '゜',
};

const HEADER = '/usr/include/X11/keysymdef.h';

/** Turns keysym names into what a key prints: a character, `◌` and a character for a dead key, or null for neither. */
export function keysymPrinter(header = HEADER): (name: string) => string | null {
  const characters = new Map<string, string>();
  for (const [, name = '', code = ''] of readFileSync(header, 'utf8').matchAll(
    /^#define XK_(\w+)\s+0x[0-9a-fA-F]+\s*\/\*[ (<]*U\+([0-9A-F]{4,6})/gm,
  )) {
    if (!characters.has(name)) characters.set(name, String.fromCodePoint(Number.parseInt(code, 16)));
  }
  return (name) => {
    const dead = /^dead_(\w+)$/.exec(name)?.[1];
    if (dead !== undefined) return `◌${DEAD[dead] ?? '´'}`;
    const unicode = /^U([0-9A-Fa-f]{4,6})$/.exec(name)?.[1] ?? /^0x1([0-9A-Fa-f]{6})$/.exec(name)?.[1];
    const character = unicode ? String.fromCodePoint(Number.parseInt(unicode, 16)) : characters.get(name);
    return character === undefined || /[\p{Cc}\p{Zs}]/u.test(character) ? null : character;
  };
}
