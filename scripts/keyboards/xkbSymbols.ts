import { readFileSync } from 'node:fs';
import { join } from 'node:path';

/**
 * Reads X keyboard symbols files (Debian's `xkb-data`): the part of the format that says which keysyms a key has at
 * which level of the first group. Includes are followed; `replace` starts a key anew, everything else is laid over what
 * is there level by level, where `NoSymbol` leaves the level below as it was. Format: "The XKB Configuration Guide" of
 * xkeyboard-config.
 */
export type KeySymbols = ReadonlyMap<string, readonly string[]>;
type Keys = Map<string, string[]>;

/** Other names of the same key (keycodes/aliases and evdev of the X keyboard data). */
const ALIASES: Readonly<Record<string, string>> = { AC12: 'BKSL' };

const FOLDER = '/usr/share/X11/xkb/symbols';

/** The keysyms of every key of a layout such as `us` or `us(intl)`, by the key's XKB name (`AD01`), by level. */
export function readSymbols(layout: string, folder = FOLDER): KeySymbols {
  const keys: Keys = new Map();
  // Every layout stands on the keys a PC keyboard has anyway, as the rules of the X keyboard data put it.
  include('pc', 'override', keys, folder);
  include(layout, 'override', keys, folder);
  return keys;
}

type Mode = 'override' | 'augment' | 'replace';

function include(what: string, mode: Mode, keys: Keys, folder: string): void {
  // "latin(type4)+level3(ralt_switch)" includes several, one over the other.
  for (const [, joiner, file = '', section] of what.matchAll(/([+|]?)([\w/-]+)(?:\(([\w-]+)\))?(?::\d)?/g)) {
    const body = sectionOf(file, section, folder);
    readBody(body, joiner === '|' ? 'augment' : mode, keys, folder);
  }
}

function sectionOf(file: string, section: string | undefined, folder: string): string {
  const text = readFileSync(join(folder, file), 'utf8').replace(/\/\/.*$/gm, '');
  for (const match of text.matchAll(/((?:\b\w+\s+)*)xkb_symbols\s+"([^"]+)"\s*\{/g)) {
    const isDefault = /\bdefault\b/.test(match[1] ?? '');
    if (section === undefined ? isDefault : match[2] === section) return bodyAt(text, match.index + match[0].length);
  }
  if (section === undefined) {
    const first = /xkb_symbols\s+"[^"]+"\s*\{/.exec(text);
    if (first) return bodyAt(text, first.index + first[0].length);
  }
  throw new Error(`${file} has no section ${section ?? '(default)'}`);
}

function bodyAt(text: string, start: number): string {
  let depth = 1;
  let at = start;
  while (depth > 0 && at < text.length) {
    if (text[at] === '{') depth++;
    else if (text[at] === '}') depth--;
    at++;
  }
  return text.slice(start, at - 1);
}

const STATEMENT =
  /(?:\b(include|augment|override|replace)\s+"([^"]+)")|(?:\b(augment|override|replace)\s+)?\bkey\s*<(\w+)>\s*\{([^}]*)\}/g;

function readBody(body: string, mode: Mode, keys: Keys, folder: string): void {
  for (const [, how, included, keyMode, name = '', given = ''] of body.matchAll(STATEMENT)) {
    if (included !== undefined) include(included, how === 'include' ? mode : (how as Mode), keys, folder);
    else merge(keys, name, symbolsOf(given), (keyMode as Mode | undefined) ?? mode);
  }
}

/** The symbols of the first group: `[ a, A ]`, `symbols[Group1] = [ a, A ]`, whatever else stands in the braces. */
function symbolsOf(given: string): string[] | null {
  const withoutOthers = given.replace(
    /\b(?:actions|type|vmods|virtualMods|overlay\d)\s*(?:\[[^\]]*\])?\s*=\s*(?:\[[^\]]*\]|"[^"]*"|\w+)/gi,
    '',
  );
  const list = /(?:symbols\s*\[\s*Group1\s*\]\s*=\s*)?(?<!\w)\[([^\]]*)\]/i.exec(
    withoutOthers.replace(/\[\s*Group1\s*\]/gi, ''),
  )?.[1];
  return list === undefined
    ? null
    : list
        .split(',')
        .map((one) => one.trim())
        .filter((one) => one !== '');
}

function merge(keys: Keys, name: string, symbols: string[] | null, mode: Mode): void {
  if (symbols === null) return;
  const at = ALIASES[name] ?? name;
  const old = keys.get(at);
  if (!old || mode === 'replace') {
    keys.set(at, symbols);
    return;
  }
  const levels = Math.max(old.length, symbols.length);
  const none = (symbol: string | undefined) => symbol === undefined || /^(nosymbol|any)$/i.test(symbol);
  keys.set(
    at,
    Array.from({ length: levels }, (_, i) => {
      const [first, second] = mode === 'augment' ? [old[i], symbols[i]] : [symbols[i], old[i]];
      return (none(first) ? second : first) ?? 'NoSymbol';
    }),
  );
}
