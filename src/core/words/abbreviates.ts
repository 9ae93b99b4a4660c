/**
 * Whether letters are short for a word: they begin as it does, come in its order, leave out vowels before they leave out
 * consonants ("lyr" for layer, "brsh" for brush), and are at least two and at most five of a longer word.
 */
export function abbreviates(letters: string, word: string): boolean {
  if (letters.length < 2 || letters.length > 5 || word.length <= letters.length || letters[0] !== word[0]) return false;
  if (word.startsWith(letters)) return false;
  let at = 1;
  let skipped = 0;
  for (let i = 1; i < letters.length; i++) {
    const next = word.indexOf(letters[i] as string, at);
    if (next < 0) return false;
    for (let k = at; k < next; k++) if (!VOWELS.has(word[k] as string) && word[k] !== word[k - 1]) skipped++;
    at = next + 1;
  }
  // What is left at the end may be cut off, but not much more than what is written.
  return skipped === 0 && word.length - at <= letters.length;
}
const VOWELS: ReadonlySet<string> = new Set('aeiouy');
