/** So far is looked for what stands before and behind a record. */
export const NEAR = 400;

/** How much of a text of whole lines there is without what is remarked at its end, and blanks. */
export function filledLength(text: string): number {
  const bare = text.trimEnd();
  const quoted = bare.lastIndexOf('"') + 1;
  const notes = ['//', '/*'].map((sign) => bare.indexOf(sign, quoted)).filter((at) => at >= 0);
  return notes.length === 0 ? bare.length : bare.slice(0, Math.min(...notes)).trimEnd().length;
}
/** Whether a record's line ends with a comma. */
export const endsInComma = (text: string): boolean => text[filledLength(text) - 1] === ',';

/** A comma with the blanks around it that stands at a place; else nothing. */
export function commaAt(text: string, at: number): string {
  return /^\s{0,80}[,;]\s{0,80}/u.exec(text.slice(at, at + NEAR))?.[0] ?? '';
}
