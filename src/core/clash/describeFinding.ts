import type { ChordText } from '../chord/chord';
import { keyLabel } from '../chord/keyNames';
import { DESKTOP_NAMES } from '../desktop/desktopKeys';
import type { Where } from '../keyboard/where';
import type { Keymap } from '../keymap/keymap';
import { type Form, KIND_PLURALS, pathText } from '../program/program';
import { listed, type Sentence } from '../text/sentence';
import type { Holder } from './clashIndex';
import { lossesOf } from './lossesOf';
import type { Finding } from './verdict';

const FORM_WORDS: Readonly<Record<Form, string>> = {
  bare: 'a character alone or with Shift',
  named: 'a key such as F5 alone or with Shift',
  modified: 'keys with Ctrl, Alt or Command',
  held: 'keys that act only while held',
};
/** A finding as one plain sentence that names who, where, and what is lost. Keys are marked, to be set as key caps. */
export function describeFinding(finding: Finding, chord: ChordText, keymap: Keymap, where: Where): Sentence {
  const { desktop, keyboard } = where;
  const keys = { keys: chord };
  switch (finding.kind) {
    case 'free':
      return [keys, { text: ' is free.' }];
    case 'already yours':
      return [{ text: 'This command already answers to ' }, keys, { text: '.' }];
    case 'fixed by the program':
      return [
        { text: 'The program itself keeps ' },
        keys,
        { text: `: ${finding.why}. It can't be given to anything else.` },
      ];
    case 'not allowed':
      return [
        {
          text: `${KIND_PLURALS[finding.command.kind]} of this program can't have ${FORM_WORDS[finding.form]}. What each kind may have stands under “What the program allows”.`,
        },
      ];
    case 'no sequences':
      return [
        {
          text: 'This program takes no two strokes one after the other. If it does, say so under “What the program allows”.',
        },
      ];
    case 'held by': {
      const { holders } = finding;
      const keepers = holders.filter((holder) => holder.keeper);
      const spare = holders.every((holder) => holder.spare);
      const end = spare
        ? `. ${holders.length === 1 ? 'It is spare, so these keys are' : 'They are spare, so these keys are'} yours to spend.`
        : keepers.length > 0
          ? `, marked as ${keepers.length === 1 ? 'a keeper' : 'keepers'}. ${loss(holders, keymap)}`
          : `. ${loss(holders, keymap)}`;
      return [...who(holders), { text: holders.length === 1 ? ' holds ' : ' hold ' }, keys, { text: end }];
    }
    case 'takes turns with':
      return [
        ...who(finding.holders),
        { text: finding.holders.length === 1 ? ' holds ' : ' hold ' },
        keys,
        { text: '. Tools may share a key here: each press moves on to the next.' },
      ];
    case 'shadows':
      return [
        ...who(finding.holders),
        { text: finding.holders.length === 1 ? ' holds ' : ' hold ' },
        keys,
        { text: ' in a wider place. Where this command is heard it goes first; elsewhere nothing changes.' },
      ];
    case 'shadowed by':
      return [
        ...who(finding.holders),
        { text: finding.holders.length === 1 ? ' holds ' : ' hold ' },
        keys,
        { text: ' in a narrower place and goes first there. Everywhere else this command is heard.' },
      ];
    case 'also a hold key':
      return finding.held
        ? [
            { text: 'Pressed and let go, these keys are ' },
            ...who(finding.holders),
            { text: '. Held down, they act until let go.' },
          ]
        : [{ text: 'Held down, these keys are ' }, ...who(finding.holders), { text: '. A quick press is told apart.' }];
    case 'in a sequence':
      return finding.begins
        ? [
            keys,
            { text: ' also begins the keys of ' },
            ...who(finding.holders),
            { text: ', which could no longer be reached.' },
          ]
        : [
            { text: 'The first of these strokes is already ' },
            ...who(finding.holders),
            { text: ', so the second is never waited for.' },
          ];
    case 'from the number pad':
      return [
        { text: 'The same character from the other block, ' },
        { keys: finding.chord },
        { text: ', is ' },
        ...who(finding.holders),
        { text: '. They are different keys.' },
      ];
    case 'taken by the desktop':
      return [
        { text: `As it comes, ${DESKTOP_NAMES[desktop]} ${finding.does} with ` },
        keys,
        { text: ' before any program hears it.' },
      ];
    case 'opens a menu':
      return [
        { text: `On ${DESKTOP_NAMES[desktop]}, ` },
        keys,
        { text: ' opens the menu ' },
        { strong: finding.menu },
        { text: ' of this program.' },
      ];
    case 'no such key':
      return [{ text: `There is no ${keyLabel(finding.key, 'windows')} on this keyboard (${keyboardWords(where)}).` }];
    case 'needs AltGr':
      return [
        {
          text: `On this keyboard (${keyboard.name}) ${finding.key} stands behind AltGr on the key ${finding.at}, so `,
        },
        keys,
        { text: ' can hardly be pressed.' },
      ];
    case 'needs Shift':
      return [
        { text: `On this keyboard (${keyboard.name}) ${keyLabel(finding.key, 'symbols')} needs Shift: press ` },
        { keys: finding.pressed },
        { text: '.' },
      ];
    case 'types a character':
      return [
        {
          text: `On this keyboard (${keyboard.name}) Ctrl and Alt together are AltGr: with the key ${finding.at} they ${finding.sure ? '' : 'may '}type ${finding.char} instead.`,
        },
      ];
    case 'dead key':
      return [
        {
          text: `On this keyboard (${keyboard.name}) ${finding.key} is an accent that waits for the next letter, so a press alone may not be heard.`,
        },
      ];
  }
}

function keyboardWords({ keyboard }: Where): string {
  return `${keyboard.name}, ${keyboard.choice.size === 'full' ? 'full size' : keyboard.choice.size === 'no pad' ? 'without number pad' : 'compact'}`;
}

function who(holders: readonly Holder[]): Sentence {
  return listed(
    holders
      .slice(0, 4)
      .map(({ command }) => [
        { strong: command.name },
        ...(command.path.length > 0 ? [{ soft: ` (${pathText(command.path)})` }] : []),
      ]),
  ).concat(holders.length > 4 ? [{ text: ` and ${holders.length - 4} more` }] : []);
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
