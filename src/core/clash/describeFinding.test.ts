import { describe, expect, it } from 'vitest';
import type { Desktop } from '../desktop/desktopKeys';
import { whereOf } from '../keyboard/where';
import { type Keymap, keymapOf } from '../keymap/keymap';
import { DEFAULT_FORMS, type Program } from '../program/program';
import { sampleProgram } from '../testing/sampleProgram';
import { plainWords } from '../text/sentence';
import { buildClashIndex, programFacts } from './clashIndex';
import { judge } from './judge';

type Case = {
  readonly keymap?: Keymap;
  readonly command?: string;
  readonly keys: string;
  readonly rules?: Partial<Program['rules']>;
  readonly layout?: string;
  readonly size?: 'full' | 'compact';
  readonly desktop?: Desktop;
  readonly says: readonly string[];
  readonly weight: string;
};

/** Every sentence of the product about keys, as a person reads it. */
const CASES: readonly Case[] = [
  { keys: 'F2', says: ['F2 is free.'], weight: 'fine' },
  {
    keymap: keymapOf([['trim', 'F2']]),
    keys: 'F2',
    says: ['This command already answers to F2.'],
    weight: 'fine',
  },
  {
    keys: 'Escape',
    says: ["The program itself keeps Escape: it leaves a tool. It can't be given to anything else."],
    weight: 'stops',
  },
  {
    keys: 'W',
    rules: { forms: DEFAULT_FORMS },
    says: [
      "Menu items of this program can't have a character alone or with Shift. What each kind may have stands under “What the program allows”.",
    ],
    weight: 'stops',
  },
  {
    keys: 'Mod+K S',
    rules: { sequences: false },
    says: [
      'This program takes no two strokes one after the other. If it does, say so under “What the program allows”.',
    ],
    weight: 'stops',
  },
  {
    keymap: keymapOf([
      ['undo', 'Alt+W', true],
      ['dab', 'Alt+W'],
    ]),
    keys: 'Alt+W',
    says: ['Undo (Repair) and Dab (Brush) hold Alt+W, marked as a keeper. Taking it leaves Undo and Dab with no key.'],
    weight: 'asks',
  },
  {
    keymap: keymapOf([['clone', 'S']]),
    command: 'patch',
    keys: 'S',
    says: ['Clone (Tool rail) holds S. Tools may share a key here: each press moves on to the next.'],
    weight: 'tells',
  },
  {
    keymap: keymapOf([['trim', 'Q']]),
    command: 'dab',
    keys: 'Q',
    rules: { shadow: true },
    says: [
      'Trim (Repair) holds Q in a wider place. Where this command is heard it goes first; elsewhere nothing changes.',
    ],
    weight: 'tells',
  },
  {
    keymap: keymapOf([['dab', 'Q']]),
    keys: 'Q',
    rules: { shadow: true },
    says: ['Dab (Brush) holds Q in a narrower place and goes first there. Everywhere else this command is heard.'],
    weight: 'tells',
  },
  {
    keymap: keymapOf([['undo', 'hold:Space']]),
    keys: 'Space',
    says: ['Space is free.', 'Held down, these keys are Undo (Repair). A quick press is told apart.'],
    weight: 'tells',
  },
  {
    keymap: keymapOf([['undo', 'Space']]),
    keys: 'hold:Space',
    says: [
      'hold:Space is free.',
      'Pressed and let go, these keys are Undo (Repair). Held down, they act until let go.',
    ],
    weight: 'tells',
  },
  {
    keymap: keymapOf([['undo', 'Mod+K S']]),
    keys: 'Mod+K',
    says: ['Mod+K is free.', 'Mod+K also begins the keys of Undo (Repair), which could no longer be reached.'],
    weight: 'warns',
  },
  {
    keymap: keymapOf([['undo', 'Mod+K']]),
    keys: 'Mod+K S',
    says: [
      'Mod+K S is free.',
      'The first of these strokes is already Undo (Repair), so the second is never waited for.',
    ],
    weight: 'warns',
  },
  {
    keymap: keymapOf([['undo', 'Mod+Numpad5']]),
    keys: 'Mod+5',
    says: [
      'Mod+5 is free.',
      'The same character from the other block, Mod+Numpad5, is Undo (Repair). They are different keys.',
    ],
    weight: 'tells',
  },
  {
    keys: 'Mod+Q',
    desktop: 'mac',
    says: ['Mod+Q is free.', 'As it comes, a Mac quits the program with Mod+Q before any program hears it.'],
    weight: 'warns',
  },
  {
    keys: 'Shift+Meta+S',
    says: [
      'Shift+Meta+S is free.',
      'As it comes, Windows takes a picture of part of the screen with Shift+Meta+S before any program hears it.',
    ],
    weight: 'warns',
  },
  {
    keys: 'Alt+R',
    desktop: 'linux',
    rules: { menuLetters: { Repair: 'R' } },
    says: ['Alt+R is free.', 'On Linux, Alt+R opens the menu Repair of this program.'],
    weight: 'warns',
  },
  {
    keys: 'F9',
    size: 'compact',
    says: ['F9 is free.', 'There is no F9 on this keyboard (US, compact).'],
    weight: 'warns',
  },
  {
    keys: 'Mod+Alt+E',
    layout: 'de',
    says: [
      'Mod+Alt+E is free.',
      'On this keyboard (German) Ctrl and Alt together are AltGr: with the key E they type € instead.',
    ],
    weight: 'warns',
  },
  {
    keys: 'Mod+Alt+K',
    layout: 'de',
    says: [
      'Mod+Alt+K is free.',
      'On this keyboard (German) Ctrl and Alt together are AltGr: with the key K they may type ĸ instead.',
    ],
    weight: 'tells',
  },
  {
    keys: '^',
    layout: 'de',
    says: [
      '^ is free.',
      'On this keyboard (German) ^ is an accent that waits for the next letter, so a press alone may not be heard.',
    ],
    weight: 'warns',
  },
];

describe('a verdict in words', () => {
  it.each(CASES.map((one) => [`${one.command ?? 'trim'} on ${one.keys}: ${one.says.at(-1)}`, one] as const))(
    '%s',
    (_, {
      keymap = keymapOf([]),
      command = 'trim',
      keys,
      rules = {},
      layout = 'us',
      size = 'full',
      desktop,
      says,
      weight,
    }) => {
      const program = { ...sampleProgram, rules: { ...sampleProgram.rules, ...rules } };
      const where = whereOf({ layout, size, shape: layout === 'us' ? 'ansi' : 'iso' }, desktop ?? 'windows');
      const facts = programFacts(program);
      const on = facts.commands.get(command);
      if (!on) throw new Error(`no ${command}`);
      const said = judge(buildClashIndex(facts, keymap, where.place), where, on, keys);
      expect(said.sentences.map((one) => plainWords(one.sentence))).toEqual(says);
      expect(said.weight).toBe(weight);
    },
  );
});
