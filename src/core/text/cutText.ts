/** The beginning of a text, at most so many UTF-16 units long and never ending in half a character. */
export function cutText(text: string, most: number): string {
  if (text.length <= most) return text;
  const last = text.charCodeAt(most - 1);
  // The first half of a pair stands alone without the second.
  return text.slice(0, last >= 0xd800 && last <= 0xdbff ? most - 1 : most);
}
