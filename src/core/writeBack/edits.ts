/** A part of a text that becomes another. */
export type TextEdit = { readonly from: number; readonly to: number; readonly text: string };

/** A text with all its edits done, which are in order and apart. */
export function edited(text: string, edits: readonly TextEdit[]): string {
  let result = '';
  let at = 0;
  for (const one of edits) {
    result += text.slice(at, one.from) + one.text;
    at = one.to;
  }
  return result + text.slice(at);
}

/** Edits in order; what is taken out twice is taken out once. Null where two others overlap. */
export function joined(edits: readonly TextEdit[]): readonly TextEdit[] | null {
  const result: TextEdit[] = [];
  for (const one of inOrder(edits)) {
    const last = result.at(-1);
    if (!last || one.from >= last.to) result.push(one);
    else if (last.text === '' && one.text === '')
      result[result.length - 1] = { ...last, to: Math.max(last.to, one.to) };
    // What is put where something is taken out stands in its place.
    else if (one.from === one.to && last.text === '') result[result.length - 1] = { ...last, text: one.text };
    else return null;
  }
  return result;
}

/** Edits as they stand in the text. */
const inOrder = (edits: readonly TextEdit[]): readonly TextEdit[] =>
  edits
    .map((one, i) => [one, i] as const)
    .sort(([a, i], [b, j]) => a.from - b.from || a.to - b.to || i - j)
    .map(([one]) => one);
