import type { Edits } from './sync';

/** Whether two values of plain data are the same. */
export const sameData = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

/** Edits that set some of a thing's fields: they meet what was changed elsewhere in the same field to something else. */
export const fieldEdits = <Value extends object>(): Edits<Value, Partial<Value>> => ({
  apply: (value, edit) => ({ ...value, ...edit }),
  meets: (edit, before, now) =>
    (Object.keys(edit) as (keyof Value)[]).some(
      (field) => !sameData(before[field], now[field]) && !sameData(edit[field], now[field]),
    ),
});

/** Edits that write a thing as a whole: they meet whatever was made of it elsewhere, unless it is the same. */
export const wholeEdits = <Value>(): Edits<Value, Value> => ({
  apply: (_, edit) => edit,
  meets: (edit, before, now) => !sameData(before, now) && !sameData(edit, now),
});

/** What people do to a list of kept things: another is kept, or something is said anew of one. */
export type ListEdit<Made, Change> =
  | ({ readonly kind: 'keep' } & Made)
  | { readonly kind: 'change'; readonly id: number; readonly change: Change };

/** Edits of a list of kept things. A new one has its number once the server says it. */
export const listEdits = <Item extends { readonly id: number }, Made, Change extends Partial<Item>>(): Edits<
  readonly Item[],
  ListEdit<Made, Change>
> => ({
  apply: (items, edit) =>
    edit.kind === 'keep' ? items : items.map((one) => (one.id === edit.id ? { ...one, ...edit.change } : one)),
  meets: (edit, before, now) => {
    if (edit.kind === 'keep') return false;
    const [was, is] = [before, now].map((items) => items.find((one) => one.id === edit.id));
    return (Object.keys(edit.change) as (keyof Item)[]).some((field) => !sameData(was?.[field], is?.[field]));
  },
});

/** A thing that may not be there yet, edited as what it begins as. */
export const startingAs = <Value, Edit>(start: Value, edits: Edits<Value, Edit>): Edits<Value | null, Edit> => ({
  apply: (value, edit) => edits.apply(value ?? start, edit),
  meets: (edit, before, now) => edits.meets(edit, before ?? start, now ?? start),
});
