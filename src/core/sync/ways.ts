import type { WishList } from '../advice/wishList';
import type { Said } from '../counterpart/knownPairs';
import { withSaid } from '../counterpart/knownPairs';
import type { CommandId } from '../program/program';
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

/** A thing that may not be there yet, edited as what it begins as. */
export const startingAs = <Value, Edit>(start: Value, edits: Edits<Value, Edit>): Edits<Value | null, Edit> => ({
  apply: (value, edit) => edits.apply(value ?? start, edit),
  meets: (edit, before, now) => edits.meets(edit, before ?? start, now ?? start),
});

/** Steps ticked off, or not any more. */
export type TickEdit = { readonly steps: readonly string[]; readonly done: boolean };
export const tickEdits: Edits<readonly string[], TickEdit> = {
  apply: (ticks, { steps, done }) => {
    const left = ticks.filter((one) => !steps.includes(one));
    return done ? [...left, ...steps] : left;
  },
  // Whoever ticks a step wants it ticked, whatever was ticked meanwhile.
  meets: () => false,
};

/** Some of what is wished for: fields of the list, or commands put on it or taken off. */
export type WishEdit = Partial<WishList> | { readonly commands: readonly CommandId[]; readonly on: boolean };
const wishFields = fieldEdits<WishList>();
export const wishEdits: Edits<WishList, WishEdit> = {
  apply: (list, edit) => {
    if (!('commands' in edit)) return wishFields.apply(list, edit);
    const left = list.wishes.filter((one) => !edit.commands.includes(one));
    return { ...list, wishes: edit.on ? [...left, ...edit.commands] : left };
  },
  meets: (edit, before, now) => !('commands' in edit) && wishFields.meets(edit, before, now),
};

/** Uses a day of some commands; null forgets one; `all`: of all there are. */
export type CountEdit = { readonly uses: Readonly<Record<CommandId, number | null>>; readonly all: boolean };
export const countEdits: Edits<Readonly<Record<CommandId, number>>, CountEdit> = {
  apply: (told, { uses, all }) => {
    const next = Object.entries({ ...(all ? {} : told), ...uses });
    return Object.fromEntries(next.flatMap(([id, perDay]) => (perDay === null ? [] : [[id, perDay] as const])));
  },
  meets: ({ uses, all }, before, now) =>
    (all ? Object.keys({ ...before, ...now }) : Object.keys(uses)).some(
      (id) => before[id] !== now[id] && (uses[id] ?? null) !== (now[id] ?? null),
    ),
};

/** What is said of a command's counterpart; undefined forgets what was said. */
export type SayEdit = Omit<Said, 'counterpart'> & { readonly counterpart: CommandId | null | undefined };
export const sayEdits: Edits<readonly Said[], SayEdit> = {
  apply: (said, { counterpart, ...subject }) => withSaid(said, subject, counterpart),
  meets: (edit, before, now) => {
    const about = (said: readonly Said[]): readonly Said[] =>
      said.filter(
        (one) =>
          (one.program === edit.program && one.other === edit.other && one.command === edit.command) ||
          (one.program === edit.other && one.other === edit.program && one.counterpart === edit.command),
      );
    return !sameData(about(before), about(now));
  },
};
