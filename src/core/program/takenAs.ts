import type { ChordText } from '../chord/chord';
import type { Command, Rules } from './program';

/** Whether commands of its kind act only while keys are held, so that any press for it means holding. */
export function actsOnlyHeld({ kind }: Pick<Command, 'kind'>, { forms }: Pick<Rules, 'forms'>): boolean {
  return forms[kind].length > 0 && forms[kind].every((form) => form === 'held');
}

/** Keys pressed for a command as it takes them: what acts only while keys are held takes every press as held. */
export function takenAs(chord: ChordText, command: Pick<Command, 'kind'>, rules: Pick<Rules, 'forms'>): ChordText {
  // Two strokes one after the other can't be held, which the verdict says.
  if (!actsOnlyHeld(command, rules) || chord.startsWith('hold:') || chord.includes(' ')) return chord;
  return `hold:${chord}`;
}
