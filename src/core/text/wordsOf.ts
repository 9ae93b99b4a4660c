import { fold } from './fold';

/** The folded words of a text. */
export function wordsOf(text: string): string[] {
  return fold(text).match(/[\p{L}\p{N}%]+/gu) ?? [];
}
