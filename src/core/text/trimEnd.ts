/** A text without the characters at its end that are one of some. Linear, where `/[…]+$/` looks from every one of them anew. */
export function trimEnd(text: string, characters: string): string {
  let end = text.length;
  while (end > 0 && characters.includes(text[end - 1] as string)) end--;
  return text.slice(0, end);
}
