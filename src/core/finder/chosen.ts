import type { CommandId } from '../program/program';
import type { Edits } from '../sync/sync';
import { wordsOf } from '../text/wordsOf';

/** What a person chose when they typed some words: it comes first for the same words again. */
export type Chosen = Readonly<Record<string, CommandId>>;
export type ChosenEdit = { readonly words: string; readonly command: CommandId };

/** So many are kept of a person in a program, the latest. */
export const MOST_CHOSEN = 500;
/** Longer words are not remembered. */
export const LONGEST_WORDS = 120;

export const chosenEdits: Edits<Chosen, ChosenEdit> = {
  apply: (chosen, { words, command }) => ({ ...chosen, [words]: command }),
  meets: ({ words, command }, before, now) => before[words] !== now[words] && now[words] !== command,
};

/** Typed words in the form in which they are remembered. */
export const wordsTyped = (typed: string): string => wordsOf(typed).join(' ').slice(0, LONGEST_WORDS);
