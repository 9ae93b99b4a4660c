import type { Edits } from '../sync/sync';

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
