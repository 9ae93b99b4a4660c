/** What a row is known by among all of its file, however it is read: its line, and where in the file its first cell stands. */
export const rowKey = (line: number, at: number): string => `${line}.${at}`;

/** The line and the place that a row is known by. */
export function placeOfKey(key: string): { readonly line: number; readonly at: number } {
  const [line = 0, at = 0] = key.split('.').map(Number);
  return { line, at };
}
