import type { Command, CommandId } from '../program/program';
import { listed, type Sentence } from '../text/sentence';
import type { InTheWay, KnockOn, TransferLine } from './transferTypes';

const NOT_HERE: Readonly<Record<string, string>> = {
  'fixed by the program': ' is kept by the program itself',
  'not allowed': ' is no key that this program gives to such a command',
  'no sequences': ' is a sequence, which this program does not take',
  'no such key': ' is not on your keyboard',
  'needs AltGr': ' needs AltGr on your keyboard',
  'types a character': ' types a character on your keyboard',
  'taken by the desktop': ' is taken by the desktop',
  'opens a menu': ' opens a menu',
  'dead key': ' is a dead key on your keyboard',
  'in a sequence': ' begins a sequence of others',
};

/** What happens to a line, as one phrase: who loses keys to it, or why one's own stay. */
export function describeTransferLine(
  line: TransferLine,
  knockOns: ReadonlyMap<CommandId, KnockOn>,
  isSpare: (command: CommandId) => boolean,
): Sentence {
  const { reason, choice, missed } = line;
  const short = missed.length > 0 && choice !== 'keep' ? missed.map(({ chord, way }) => describeWay(chord, way)) : [];
  if (choice === 'take' || choice === 'other') {
    const lost = line.from.flatMap((id) => knockOns.get(id) ?? []).map((one) => describeLoss(one, isSpare));
    if (lost.length + short.length > 0) return listed([...lost, ...short]);
    return line.after.length === 0 ? [{ text: 'has no keys then' }] : [{ text: 'free here' }];
  }
  switch (reason.kind) {
    case 'same':
      return [{ text: 'already the same' }];
    case 'keeper':
      return [{ text: 'marked as a keeper' }];
    case 'kind left out':
      return [{ text: 'left out by your rules' }];
    case 'has keys':
      return [{ text: 'has keys of its own' }];
    case 'easier':
      return [{ text: 'yours is as easy to reach or easier' }];
    case 'in the way':
      return describeWay(reason.chord, reason.way);
    default:
      return [{ text: 'settled by you' }];
  }
}

function describeLoss({ command, lost, instead }: KnockOn, isSpare: (command: CommandId) => boolean): Sentence {
  const [first] = lost;
  if (first === undefined) return [];
  if (isSpare(command.id) && instead === null)
    return [{ strong: command.name }, { text: ' gives up ' }, { keys: first }, { text: ', a spare' }];
  return [
    { strong: command.name },
    { text: ' loses ' },
    { keys: first },
    ...(instead === null ? [] : [{ text: ' and gets ' }, { keys: instead }]),
  ];
}

/** What stands in the way of having some keys, as one phrase. */
export function describeWay(chord: string, way: InTheWay): Sentence {
  const name = (command: Command): Sentence => [{ strong: command.name }];
  switch (way.kind) {
    case 'keeper of':
      return [{ keys: chord }, { text: ' is a keeper of ' }, ...name(way.command)];
    case 'stays with':
      return [{ keys: chord }, { text: ' stays with ' }, ...name(way.command)];
    case 'wanted more by':
      return [{ keys: chord }, { text: ' goes to ' }, ...name(way.command), { text: ', which comes first' }];
    case 'not here':
      return [{ keys: chord }, { text: NOT_HERE[way.finding] ?? ' can’t be had here' }];
  }
}
