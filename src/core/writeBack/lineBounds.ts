/** Where the line of a place begins. */
export function lineStart(text: string, at: number): number {
  let from = at;
  while (from > 0 && text[from - 1] !== '\n' && text[from - 1] !== '\r') from--;
  return from;
}

/** Where it ends, without its end of line. */
export function lineEnd(text: string, at: number): number {
  let to = at;
  while (to < text.length && text[to] !== '\n' && text[to] !== '\r') to++;
  return to;
}
