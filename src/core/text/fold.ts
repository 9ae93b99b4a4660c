/** A text as it is compared: lower case, without accents. */
export function fold(text: string): string {
  // Most texts have no accents to take off.
  if (/^[ -~]*$/.test(text)) return text.toLowerCase();
  return text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase();
}
