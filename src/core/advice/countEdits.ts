import type { CommandId } from '../program/program';
import type { Edits } from '../sync/sync';

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
