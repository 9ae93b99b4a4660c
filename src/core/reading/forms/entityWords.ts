import { MODIFIER_WORDS } from '../../chord/modifierWords';

/** A text whose entities are defined in another file, such as `&Ctrl;`, by what they are called. */
export const entityWords = (text: string): string =>
  text.replace(/&(\p{L}[\w.-]{0,40});(?=(\S?))/gu, (_, word: string, next: string) =>
    MODIFIER_WORDS[word.toLowerCase()] !== undefined && (next === '' || next === '&') ? `${word}+` : word,
  );
