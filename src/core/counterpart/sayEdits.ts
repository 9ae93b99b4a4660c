import type { CommandId } from '../program/program';
import { sameData } from '../sync/edits';
import type { Edits } from '../sync/sync';
import { type Said, withSaid } from './knownPairs';

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
