/** A part of a line, in UTF-16 units. */
export type Mark = readonly [from: number, to: number];

/**
 * A line in which a person marked what is the name, the keys and the place of a command; or, where the place alone is
 * marked, a heading that gives the place of what stands below it.
 */
export type ShownLine = {
  readonly text: string;
  readonly name: Mark | null;
  readonly keys: Mark | null;
  readonly path: Mark | null;
};
export const FIELDS = ['name', 'keys', 'path'] as const;
export type Field = (typeof FIELDS)[number];

/** More lines than anybody has to show, and longer than any is shown. */
export const MOST_SHOWN = 8;
export const LONGEST_SHOWN = 2000;

/** The marks of a line in the order they stand in. */
export function marksOf(line: ShownLine): readonly { readonly field: Field; readonly mark: Mark }[] {
  return FIELDS.flatMap((field) => {
    const mark = line[field];
    return mark ? [{ field, mark }] : [];
  }).sort((a, b) => a.mark[0] - b.mark[0]);
}
