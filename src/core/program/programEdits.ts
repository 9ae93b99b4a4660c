import { sameData } from '../sync/edits';
import type { Edits } from '../sync/sync';
import type { Program } from './program';
import type { ProgramView } from './programView';

/** What a program says of itself. */
export type Facts = Pick<Program, 'contexts' | 'rules' | 'commands'>;
/** What people do to that: some of it is said anew, as one step, or the last step is taken back. */
export type ProgramEdit =
  | { readonly kind: 'facts'; readonly title: string; readonly facts: Partial<Facts> }
  | { readonly kind: 'undo' };

/** How edits change what a program says of itself. What stood before the last step only the server knows. */
export const programEdits: Edits<ProgramView, ProgramEdit> = {
  apply: (view, edit) =>
    edit.kind === 'undo'
      ? view
      : { ...view, program: { ...view.program, ...edit.facts }, lastStep: edit.title, revision: view.revision + 1 },
  meets: (edit, before, now) =>
    edit.kind === 'undo' ||
    (Object.keys(edit.facts) as (keyof Facts)[]).some((one) => !sameData(before.program[one], now.program[one])),
};
