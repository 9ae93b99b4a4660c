/** The place of the first entry of a sorted list whose text does not come before one; those that begin with it stand there. */
export function firstFrom(
  sorted: readonly (readonly [text: string, ...rest: readonly unknown[]])[],
  text: string,
): number {
  let low = 0;
  let high = sorted.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((sorted[middle]?.[0] ?? '') < text) low = middle + 1;
    else high = middle;
  }
  return low;
}
