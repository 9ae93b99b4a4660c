import { readKey } from './keyNames';
import { MODIFIER_LETTERS } from './modifierLetters';
import { MODIFIER_WORDS } from './modifierWords';

const isModifier = (word: string): boolean => MODIFIER_WORDS[word.toLowerCase()] !== undefined;
const NUMBERED: Readonly<Record<string, string>> = { SHIFT: 'Shift', MOD1: 'Ctrl', MOD2: 'Alt' };
const GLUED = /^(?:Ctrl|Control|Alt(?!Gr)|Shift|Cmd|Command|Option|Opt|Meta|Super|Win|Strg|Umschalt)(?=[A-Z0-9])/u;

/**
 * A text about keys in the words that people use for them: what toolkits, settings and programs write instead. Names with
 * underscores (`KP_Add`), W3C codes (`KeyS`), modifiers in angle brackets (`<Control>s`, `<C-s>`) and by letters (`W-e`),
 * words with hyphens in them (`Ctrl-Page-Up`), words written together (`CtrlShiftZ`), the key before its modifiers
 * (`Z+Ctrl`). Linear in the length.
 */
export function respelled(text: string): string {
  let rest = unbracketed(text.replace(/\bISO[_ ]Left[_ ]Tab\b/iu, /shift/iu.test(text) ? 'Tab' : 'Shift+Tab'))
    .replace(/^\$(?:mod|super|win)\b/iu, 'Meta')
    .replace(/^os(?=\+)/iu, 'Meta')
    .replace(/^SH(?=[+-]\S)/u, 'Shift')
    // The key first, its modifiers numbered.
    .replace(/^([A-Z\d]{1,12})((?:_(?:SHIFT|MOD[12]))+)$/u, (_, key: string, held: string) =>
      [...held.matchAll(/SHIFT|MOD[12]/gu)]
        .map(([one]) => NUMBERED[one])
        .concat(key)
        .join('+'),
    )
    .replace(/\b(?:Key([A-Z])|Digit(\d))\b/gu, '$1$2')
    .replace(/\b(Control|Shift|Alt|Meta)(?:Left|Right)(?=\s*[+-]\s*\S)/gu, '$1')
    .replace(/\bIntlBackslash\b/gu, '<')
    .replace(/(?<=\p{L})_(?=[\p{L}\d])/gu, ' ')
    .replace(/ on (?:the )?(num ?pad|number pad|key ?pad)$/iu, ' (numpad)');
  // `^` before a key is Ctrl.
  if (/^\^(?=[^\s+])/u.test(rest)) rest = `Ctrl+${rest.slice(1)}`;
  for (let glued = GLUED.exec(rest); glued; ) {
    const after = rest.slice(glued[0].length);
    const next = GLUED.exec(after);
    rest = `${glued[0]}+${after}`;
    if (!next) break;
    return `${glued[0]}+${respelled(after)}`;
  }
  // `n-ctrl`: one key before one modifier.
  const [, key = '', held = ''] = /^([^\s+-]{1,12})-(\p{L}{3,10})$/u.exec(rest) ?? [];
  return isModifier(held) && !isModifier(key) ? `${held}+${key}` : keyLast(hyphened(rest));
}

/**
 * Strokes written one after the other with backslashes or carets: `\\C-x\\C-r`, `\\M-f`, `\\ef`, `^X^E`. Null for anything
 * else, such as the codes that terminals send for their keys.
 */
export function escapedStrokes(text: string): string | null {
  // A whole name behind the sign is one key.
  if (/^\^\p{L}{2,}$/u.test(text) && readKey(text.slice(1), false) !== null) return null;
  if (!/^(?:\\[CMSeE]|\^.)/u.test(text) || text.length < 3 || text.length > 24 || /[⌘⌥⇧⌃]/u.test(text)) return null;
  const strokes: string[] = [];
  let rest = text;
  while (rest !== '') {
    const held: string[] = [];
    for (;;) {
      const found = /^(?:\\([CMS])-|\\(C)(?=\p{L})|\\([eE])(?=[^[O])|(\^)(?=[^[]))/u.exec(rest);
      if (!found) break;
      held.push(found[3] ? 'Alt' : found[4] ? 'Ctrl' : (MODIFIER_LETTERS[found[1] ?? found[2] ?? ''] ?? ''));
      rest = rest.slice(found[0].length);
    }
    const key = /^[^\\\s]/u.exec(rest)?.[0];
    if (key === undefined || strokes.length > 3) return null;
    strokes.push([...held, key].join('+'));
    rest = rest.slice(key.length);
  }
  return strokes[0]?.includes('+') ? strokes.join(' then ') : null;
}

/** `<Control><Shift>x`, `<Control>x` and `<C-S-x>` without their brackets. */
function unbracketed(text: string): string {
  const inside = /^<([^<>\s]{1,40})>$/u.exec(text)?.[1];
  // A button of a mouse, not the key that takes back.
  if (inside === 'back') return text;
  if (inside !== undefined) return lettered(inside.replace(/^os-/iu, 'Meta-'));
  let rest = text;
  let before = '';
  for (let found = /^<([\p{L}\d]{1,12})>/u.exec(rest); found; found = /^<([\p{L}\d]{1,12})>/u.exec(rest)) {
    if (!isModifier(found[1] ?? '')) break;
    before += `${found[1]}+`;
    rest = rest.slice(found[0].length);
  }
  return before + lettered(rest);
}

/** Modifiers by one letter and a hyphen as words. */
function lettered(text: string): string {
  let rest = text;
  let before = '';
  for (let found = /^([CMASWDcmaswd])-(?=\S)/u.exec(rest); found; found = /^([CMASWDcmaswd])-(?=\S)/u.exec(rest)) {
    // A small s before anything else is the key with the window on it in some lists, in brackets it is Shift.
    const alone = found[1] === 's' && before === '' && text === rest && /^s-\S$/u.test(text);
    before += `${alone ? 'Meta' : (MODIFIER_LETTERS[found[1]?.toUpperCase() ?? ''] ?? '')}+`;
    rest = rest.slice(found[0].length);
  }
  return before + rest;
}

/** Words of one key that hyphens join, behind any modifiers: `Ctrl-Page-Up`, `page-up`, `Num-+`. */
function hyphened(text: string): string {
  let from = 0;
  for (;;) {
    const word = /^[\p{L}\d$]+(?=[+-]\S)/u.exec(text.slice(from))?.[0];
    if (word === undefined || !isModifier(word)) break;
    from += word.length + 1;
  }
  const key = text.slice(from);
  const spaced = key
    .replace(/(?<=\p{L})-(?=[\p{L}\d+*/-])/gu, ' ')
    .replace(/^((?:num(?:pad)?|key ?pad|kp))\s?(?=[^\p{L}\p{N}\s]$)/iu, '$1 ');
  return from > 0 ? `${text.slice(0, from - 1)}+${spaced}` : spaced;
}

/** The key behind its modifiers, where it stands before some of them: `Z+Ctrl`. */
function keyLast(text: string): string {
  const words = text.split('+').map((word) => word.trim());
  const keys = words.filter((word) => !isModifier(word));
  if (words.length < 2 || keys.length !== 1 || keys[0] === '' || keys[0] === words.at(-1)) return text;
  return [...words.filter(isModifier), keys[0]].join('+');
}
