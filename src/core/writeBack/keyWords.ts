/**
 * What several toolkits, standards and people call keys, as families of words: whoever writes `page_up` is likely to write
 * `page_down`. Words of several parts have `_` between them, as `Page_Up`; a word is compared without its case and joints.
 * Sources: names of the X keyboard data (`keysymdef.h`), `code` and `key` values of W3C UI Events.
 */
export type Family = {
  readonly name: string;
  readonly words: ReadonlyMap<string, string>;
  /** Whether its words are always written just so, in upper and lower case. */
  readonly exact: boolean;
};

const KEYS =
  'Enter Tab Escape Space Backspace Delete Insert Home End PageUp PageDown ArrowUp ArrowDown ArrowLeft ArrowRight CapsLock NumLock ScrollLock Pause PrintScreen ContextMenu NumpadAdd NumpadSubtract NumpadMultiply NumpadDivide NumpadDecimal NumpadEnter NumpadEqual';
const SIGNS = 'Plus - = , . / \\ ; \' ` [ ] < > * ? ! # $ % & ( ) _ | { } ~ ^ @ : "';

/** The words of a family in the order of KEYS, then of SIGNS; `·` where it has none. */
const FAMILIES: readonly (readonly [name: string, keys: string, signs: string, exact?: true])[] = [
  [
    'plain words',
    'Enter Tab Escape Space Backspace Delete Insert Home End Page_Up Page_Down Up Down Left Right Caps_Lock Num_Lock Scroll_Lock Pause Print_Screen Menu Num_Add Num_Subtract Num_Multiply Num_Divide Num_Decimal Num_Enter Num_Equal',
    'Plus Minus Equal Comma Period Slash Backslash Semicolon Quote Grave · · Less Greater Asterisk Question Exclamation Hash Dollar Percent Ampersand · · Underscore Bar · · Tilde Caret At Colon ·',
  ],
  [
    'short words',
    'Return Tab Esc Space Backspace Del Ins Home End PgUp PgDn Up Down Left Right Caps_Lock Num_Lock Scroll_Lock Pause Print Menu KP_Add KP_Subtract KP_Multiply KP_Divide KP_Decimal KP_Enter KP_Equal',
    'Plus Minus Equals Comma Dot Slash Backslash Semicolon Quote Backquote · · Less Greater Star Question Exclamation Hash Dollar Percent Ampersand · · Underscore Pipe · · Tilde Caret At Colon ·',
  ],
  [
    'names of the X keyboard',
    'Return Tab Escape space BackSpace Delete Insert Home End Page_Up Page_Down Up Down Left Right Caps_Lock Num_Lock Scroll_Lock Pause Print Menu KP_Add KP_Subtract KP_Multiply KP_Divide KP_Decimal KP_Enter KP_Equal',
    'plus minus equal comma period slash backslash semicolon apostrophe grave bracketleft bracketright less greater asterisk question exclam numbersign dollar percent ampersand parenleft parenright underscore bar braceleft braceright asciitilde asciicircum at colon quotedbl',
    true,
  ],
  [
    'names of the X keyboard, the older ones',
    'Return Tab Escape space BackSpace Delete Insert Home End Prior Next Up Down Left Right Caps_Lock Num_Lock Scroll_Lock Pause Print Menu KP_Add KP_Subtract KP_Multiply KP_Divide KP_Decimal KP_Enter KP_Equal',
    'plus minus equal comma period slash backslash semicolon apostrophe grave bracketleft bracketright less greater asterisk question exclam numbersign dollar percent ampersand parenleft parenright underscore bar braceleft braceright asciitilde asciicircum at colon quotedbl',
    true,
  ],
  [
    'codes of W3C UI Events',
    'Enter Tab Escape Space Backspace Delete Insert Home End PageUp PageDown ArrowUp ArrowDown ArrowLeft ArrowRight CapsLock NumLock ScrollLock Pause PrintScreen ContextMenu NumpadAdd NumpadSubtract NumpadMultiply NumpadDivide NumpadDecimal NumpadEnter NumpadEqual',
    '· Minus Equal Comma Period Slash Backslash Semicolon Quote Backquote BracketLeft BracketRight · · · · · · · · · · · · · · · · · · · ·',
    true,
  ],
  [
    'names in capitals',
    'ENTER TAB ESCAPE SPACE BACK_SPACE DELETE INSERT HOME END PAGE_UP PAGE_DOWN UP DOWN LEFT RIGHT CAPS_LOCK NUM_LOCK SCROLL_LOCK PAUSE PRINTSCREEN CONTEXT_MENU ADD SUBTRACT MULTIPLY DIVIDE DECIMAL · ·',
    'PLUS MINUS EQUALS COMMA PERIOD SLASH BACK_SLASH SEMICOLON QUOTE BACK_QUOTE OPEN_BRACKET CLOSE_BRACKET LESS GREATER ASTERISK · EXCLAMATION_MARK NUMBER_SIGN DOLLAR · AMPERSAND LEFT_PARENTHESIS RIGHT_PARENTHESIS UNDERSCORE · BRACELEFT BRACERIGHT · CIRCUMFLEX AT COLON QUOTEDBL',
    true,
  ],
  [
    'short words in brackets',
    'CR Tab Esc Space BS Del Ins Home End PageUp PageDown Up Down Left Right · · · · · · · · · · · · ·',
    '· · · · · · Bslash · · · · · lt · · · · · · · · · · · Bar · · · · · · ·',
    true,
  ],
  [
    'arrows by name',
    'Enter Tab Escape Space Backspace Delete Insert Home End Page_Up Page_Down Arrow_Up Arrow_Down Arrow_Left Arrow_Right · · · · · · · · · · · · ·',
    '· · · · · · · · · · · · · · · · · · · · · · · · · · · · · · · ·',
  ],
  [
    'arrows by name, behind',
    'Enter Tab Escape Space Backspace Delete Insert Home End Page_Up Page_Down Up_Arrow Down_Arrow Left_Arrow Right_Arrow · · · · · · · · · · · · ·',
    '· · · · · · · · · · · · · · · · · · · · · · · · · · · · · · · ·',
  ],
];

export const KEY_FAMILIES: readonly Family[] = FAMILIES.map(([name, keys, signs, exact = false]) => {
  const of = (names: string, words: string): [string, string][] => {
    const all = words.split(' ');
    return names.split(' ').flatMap((key, i): [string, string][] => {
      const word = all[i] ?? '·';
      return word === '·' ? [] : [[key, word]];
    });
  };
  return { name, exact, words: new Map([...of(KEYS, keys), ...of(SIGNS, signs)]) };
});

/** A word without its case and what joins its parts, to be compared. */
export const bareWord = (word: string): string => word.toLowerCase().replace(/[_\s-]/gu, '');
