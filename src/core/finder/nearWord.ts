/**
 * Whether what was typed is the beginning of a word but for one slip: a letter wrong, missing, too many, or two swapped
 * (restricted Damerau-Levenshtein distance of at most 1 to some beginning of the word).
 */
export function nearWord(typed: string, word: string): boolean {
  let same = 0;
  while (same < typed.length && typed[same] === word[same]) same++;
  if (same === typed.length) return true;
  const a = typed.slice(same);
  const b = word.slice(same);
  return (
    b.startsWith(a.slice(1)) || // a letter too many
    b.slice(1).startsWith(a) || // a letter missing
    (b !== '' && b.slice(1).startsWith(a.slice(1))) || // a letter wrong
    (a.length > 1 && a[0] === b[1] && a[1] === b[0] && b.slice(2).startsWith(a.slice(2))) // two swapped
  );
}
