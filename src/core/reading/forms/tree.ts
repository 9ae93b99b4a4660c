import type { Span } from '../tables';

/** What a structured file holds, whatever its form: texts, lists, and maps whose entries have names. */
export type Tree =
  | { readonly kind: 'text'; readonly text: string; readonly span: Span }
  | { readonly kind: 'list'; readonly items: readonly Tree[]; readonly span: Span }
  | { readonly kind: 'map'; readonly entries: readonly Entry[]; readonly span: Span };
export type Entry = { readonly name: string; readonly nameSpan: Span; readonly value: Tree };

/** Deeper than any list of commands lies. */
export const DEEPEST_TREE = 60;

/** Whether brackets nest deeper than in any list. */
export function tooDeep(text: string): boolean {
  let depth = 0;
  for (let i = 0; i < text.length; i++) {
    const code = text.charCodeAt(i);
    if (code === 91 || code === 123) depth++;
    else if (code === 93 || code === 125) depth--;
    if (depth > 10 * DEEPEST_TREE) return true;
  }
  return false;
}
