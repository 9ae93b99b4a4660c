/** Whether a text can be read to somebody: begun and ended as a sentence, with nothing missing or doubled inside. */
export function isSentence(text: string): boolean {
  return /^[\p{Lu}\p{N}⌘⌥⇧⌃●“].*[.!?]$/su.test(text) && !/undefined|null|NaN| {2}| \.|\.\.|\[object|,,/.test(text);
}
