/** A sentence with its emphasis and keys marked, so that screen and paper can each set them their own way. */
export type Span =
  | { readonly text: string }
  | { readonly strong: string }
  | { readonly soft: string }
  /** The text of a chord. */
  | { readonly keys: string };
export type Sentence = readonly Span[];

/** A sentence without its marks. */
export function plainWords(sentence: Sentence): string {
  return sentence.map((span) => Object.values(span)[0]).join('');
}

/** Several phrases as one: `a`, `a and b`, `a, b and c`. */
export function listed(phrases: readonly Sentence[]): Sentence {
  return phrases.flatMap((phrase, i) => {
    const joiner = i === 0 ? [] : [{ text: i === phrases.length - 1 ? ' and ' : ', ' }];
    return [...joiner, ...phrase];
  });
}

/** `1 change`, `2 changes`. */
export function counted(n: number, one: string, many = `${one}s`): string {
  return `${n} ${n === 1 ? one : many}`;
}
