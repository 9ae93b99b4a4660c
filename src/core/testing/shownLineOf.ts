import type { Mark, ShownLine } from '../reading/shown/shownLine';

/** A line in which «the name», ‹the keys› and ⟨the place⟩ are marked. */
export function shownLineOf(marked: string): ShownLine {
  const at: Record<string, number> = {};
  let text = '';
  for (const sign of marked) {
    if ('«»‹›⟨⟩'.includes(sign)) at[sign] = text.length;
    else text += sign;
  }
  const mark = (open: string, close: string): Mark | null =>
    at[open] === undefined || at[close] === undefined ? null : [at[open], at[close]];
  return { text, name: mark('«', '»'), keys: mark('‹', '›'), path: mark('⟨', '⟩') };
}
