import type { ChordText } from '../chord/chord';
import type { Keymap } from '../keymap/keymap';
import { pathText } from '../program/program';
import { listed, type Sentence } from '../text/sentence';
import type { Holder } from './clashIndex';
import { lossesOf } from './lossesOf';
import type { Verdict } from './verdict';

/** The verdict as one plain sentence that names who, where, and what is lost. Keys are marked, to be set as key caps. */
export function describeVerdict(verdict: Verdict, chord: ChordText, keymap: Keymap): Sentence {
  switch (verdict.kind) {
    case 'free':
      return [{ keys: chord }, { text: ' is free.' }];
    case 'already yours':
      return [{ text: 'This command already answers to ' }, { keys: chord }, { text: '.' }];
    case 'fixed by the program':
      return [
        { text: 'The program itself keeps ' },
        { keys: chord },
        { text: `: ${verdict.why}. It can't be given to anything else.` },
      ];
    case 'takes turns with':
      return [
        ...who(verdict.turns),
        { text: verdict.turns.length === 1 ? ' holds ' : ' hold ' },
        { keys: chord },
        { text: '. Tools may share a key here: each press moves on to the next.' },
      ];
    case 'held by':
      return [
        ...who(verdict.holders),
        { text: verdict.holders.length === 1 ? ' holds ' : ' hold ' },
        { keys: chord },
        { text: `. ${loss(verdict.holders, keymap)}` },
      ];
  }
}

function who(holders: readonly Holder[]): Sentence {
  return listed(
    holders.map(({ command }) => [
      { strong: command.name },
      ...(command.path.length > 0 ? [{ soft: ` (${pathText(command.path)})` }] : []),
    ]),
  );
}

function loss(holders: readonly Holder[], keymap: Keymap): string {
  const losses = lossesOf(keymap, holders);
  const bare = losses.filter((change) => change.after.length === 0).map((change) => change.command);
  const names = holders
    .map((holder) => holder.command)
    .filter((command) => bare.includes(command.id))
    .map((command) => command.name);
  if (names.length === 0)
    return losses.length === 1 ? 'Taking it leaves it its other keys.' : 'Taking it leaves them their other keys.';
  return `Taking it leaves ${[...new Set(names)].join(' and ')} with no key.`;
}
