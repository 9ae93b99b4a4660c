import { MODIFIER_LETTERS } from './modifierLetters';

/**
 * A text about keys without what people and programs put around them: brackets (`<Control>s`, `[Ctrl]+[S]`), words such
 * as "press", "the key", "Taste", "touche", "tecla", sides ("left Shift"), "and" between keys, AltGr as the two keys it
 * stands for, `^S` and `C-x` for Ctrl, full-width signs, a full stop at the end. Linear in the length.
 */
export function loosened(text: string): string {
  return (
    text
      .replace(/[\uFF01-\uFF5E]/g, (char) => String.fromCharCode(char.charCodeAt(0) - 0xfee0))
      // Each bracketed word becomes the word and a plus before whatever follows without a sign of its own.
      .replace(
        /[<[{⟨「]([\p{L}\p{N} ][\p{L}\p{N} ]{0,23}|[^\s<>[\]{}])[>\]}⟩」](?=( ?[^\s+\-–·&,;.)])?)/gu,
        (whole, inner: string, next?: string) =>
          // A button of a mouse is called so, and no key is.
          whole === '<back>' ? whole : next === undefined || next.startsWith(' ') ? inner.trim() : `${inner.trim()}+`,
      )
      .replace(/-\s?taste\b/giu, ' ')
      .replace(/\balt\s?-?gr(?:aph)?\b/gi, 'Ctrl+Alt')
      .replace(/^\^(?=\p{L}$)/u, 'Ctrl+')
      // As `C-x`, `C+x` and `CS+Home`.
      .replace(/(?<![\p{L}\p{N}])([CMAS]{1,3})([-+])(?=\S)/gu, (whole, letters: string, joint: string) =>
        new Set(letters).size < letters.length || (joint === '-' && letters.length > 1)
          ? whole
          : [...letters].map((letter) => `${MODIFIER_LETTERS[letter]}+`).join(''),
      )
      .replace(
        /\b(?:press|pressed|type|hit|use|the|drücken|drücke|appuyez sur|appuyer sur|la|presiona|presionar|pulsa|pulsar|touche|tecla|taste|keys?|keyboard)\b:?/giu,
        ' ',
      )
      .replace(
        /\b(?:left|right|linke|rechte|l|r)\s+(?=(?:ctrl|control|strg|shift|umschalt|maj|alt|option|cmd|command|win)\b)/gi,
        '',
      )
      .replace(/\s+/g, ' ')
      .replace(/ (?:&|and|und|et|y|with|mit|avec|con|plus) (?=\S)/gi, '+')
      .replace(/\((?:windows|mac|macos|linux|win|pc|default|standard)\)/gi, ' ')
      .replace(/(?<=[\p{L}\p{N}])[.;:]$/u, '')
      .replace(/\s+/g, ' ')
      .trim()
  );
}
