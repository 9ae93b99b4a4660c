/**
 * Characters that no name, note or address holds, since nobody could see them: control characters but for tab and line
 * ends, halves of a pair, marks that turn the direction of writing, spaces of no width. The two that join letters in some
 * scripts and pictures (U+200C, U+200D) are as they should be.
 */
const ODD = /(?![\t\n\r])\p{Cc}|[\u00AD\u200B\u200E\u200F\u2028-\u202E\u2060-\u206F\uFEFF\uFFF9-\uFFFB]|\p{Cs}/u;
const EVERY = new RegExp(ODD, 'gu');

/** The first character of a text that can't be seen, as `U+202E`; null where there is none. */
export function oddCharacter(text: string): string | null {
  const found = ODD.exec(text)?.[0];
  return found === undefined ? null : `U+${found.charCodeAt(0).toString(16).toUpperCase().padStart(4, '0')}`;
}

/** A text without them, as a list that somebody else wrote is read; what marked the end of a line does so still. */
export function withoutOdd(text: string): string {
  return text.replace(/[\u2028\u2029]/g, '\n').replace(EVERY, '');
}
