/**
 * How many slips of the finger lie between what was typed and the beginning of a word: letters wrong, missing, too many,
 * or two swapped (restricted Damerau-Levenshtein distance to the nearest beginning of the word).
 * @returns more than `most` where there are more.
 */
export function slips(typed: string, word: string, most: number): number {
  const wide = Math.min(word.length, typed.length + most);
  let before: number[] = [];
  let row = Array.from({ length: wide + 1 }, (_, j) => j);
  for (let i = 1; i <= typed.length; i++) {
    const next = [i];
    let least = i;
    for (let j = 1; j <= wide; j++) {
      const same = typed[i - 1] === word[j - 1];
      let cost = Math.min((row[j - 1] as number) + (same ? 0 : 1), (row[j] as number) + 1, (next[j - 1] as number) + 1);
      if (i > 1 && j > 1 && typed[i - 1] === word[j - 2] && typed[i - 2] === word[j - 1])
        cost = Math.min(cost, (before[j - 2] as number) + 1);
      next.push(cost);
      least = Math.min(least, cost);
    }
    if (least > most) return most + 1;
    before = row;
    row = next;
  }
  return Math.min(...row);
}

/** How many slips are taken for the word: none in short words, one from three letters on, two from eight. */
export const slipsAllowed = (typed: string): number => (typed.length < 3 ? 0 : typed.length < 8 ? 1 : 2);
