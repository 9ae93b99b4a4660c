import { type Command, pathText } from '../program/program';
import { listed, type Sentence } from '../text/sentence';
import type { EntryStep } from './planEntry';

/** A step as it is done by hand: where the command lives, what to take off, what to press. */
export function describeStep(step: EntryStep, nameOf: (command: string) => string): Sentence {
  const had = new Set(step.before);
  const has = new Set(step.after);
  const off = step.before.filter((one) => !has.has(one));
  const on = step.after.filter((one) => !had.has(one));
  const keys = (chords: readonly string[]): Sentence => listed(chords.map((one) => [{ keys: one }]));
  if (step.kind === 'free')
    return [
      { text: 'Take off ' },
      ...keys(off),
      { text: ' for now' },
      ...(step.waiting ? [{ text: ', so that ' }, { strong: nameOf(step.waiting) }, { text: ' can have it' }] : []),
      { text: '.' },
    ];
  const takeOff: Sentence = off.length === 0 ? [] : [{ text: 'Take off ' }, ...keys(off)];
  const press: Sentence = on.length === 0 ? [] : [{ text: off.length === 0 ? 'Press ' : ', press ' }, ...keys(on)];
  if (off.length === 0 && on.length === 0) return [{ text: 'Put in this order: ' }, ...keys(step.after), { text: '.' }];
  return [...takeOff, ...press, { text: '.' }];
}

/** Where a command lives in the program, for whoever looks for it there. */
export function whereWords(command: Command): string {
  return pathText(command.path);
}

/** What tells a step apart from every other, so that it stays ticked off when the list is made again. */
export function stepKey({ kind, command, after }: EntryStep): string {
  return `${kind} ${command} ${after.join(' | ')}`;
}
