import type { CommandId } from '../program/program';
import type { Edits } from '../sync/sync';
import type { SaidLink } from './link';
import type { MergeChoice } from './mergeKeymap';
import type { Answers } from './succeed';

/** What is chosen for one command's keys. */
export type AnswerEdit = { readonly command: CommandId; readonly choice: MergeChoice };

const answerFor = (answers: Answers, command: CommandId): string =>
  JSON.stringify(answers.find(([one]) => one === command)?.[1] ?? null);
export const answerEdits: Edits<Answers, AnswerEdit> = {
  apply: (answers, { command, choice }) => [...answers.filter(([one]) => one !== command), [command, choice]],
  meets: ({ command }, before, now) => answerFor(before, command) !== answerFor(now, command),
};

/** What is said of some commands, in place of all that was said of them before; nothing, to leave them to be found. */
export type LinkEdit = {
  readonly before: readonly CommandId[];
  readonly after: readonly CommandId[];
  readonly said: readonly SaidLink[];
};

const about = ({ before, after }: LinkEdit, one: SaidLink): boolean =>
  (one.before !== null && before.includes(one.before)) || (one.after !== null && after.includes(one.after));
const saidAbout = (edit: LinkEdit, said: readonly SaidLink[]): string =>
  JSON.stringify(said.filter((one) => about(edit, one)));
export const linkEdits: Edits<readonly SaidLink[], LinkEdit> = {
  apply: (said, edit) => [...said.filter((one) => !about(edit, one)), ...edit.said],
  meets: (edit, before, now) => saidAbout(edit, before) !== saidAbout(edit, now),
};
