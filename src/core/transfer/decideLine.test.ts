import { describe, expect, it } from 'vitest';
import { keymapOf, type Row } from '../keymap/keymap';
import { RULES, taskOf } from '../testing/transferTask';
import { claimKeys } from './claimKeys';
import { type Decided, decideLine } from './decideLine';
import type { TransferTask } from './transferTypes';

type Given = Partial<TransferTask> & { readonly mine?: readonly Row[]; readonly theirs?: readonly Row[] };
const task = ({ mine = [], theirs = [], ...more }: Given): TransferTask =>
  taskOf({ keymap: keymapOf([...mine]), theirKeys: keymapOf([...theirs]), ...more });
const decide = (given: Given, pair = { mine: 'trim', theirs: 'trim' }): Decided | null => {
  const whole = task(given);
  return decideLine(whole, whole.keymap, pair);
};
const THEIRS: readonly Row[] = [['trim', 'F5']];

describe('a line of a transfer', () => {
  it.each<readonly [what: string, given: Given, said: object | null]>([
    ['takes their keys', { theirs: THEIRS }, { choice: 'take', wanted: ['F5'], reason: { kind: 'taken' } }],
    ['is none where they have no keys', { mine: [['trim', 'F6']] }, null],
    ['is the same where mine has them all', { mine: [['trim', 'F5']], theirs: THEIRS }, { choice: 'same' }],
    [
      'is the same where one chord is only written otherwise',
      { mine: [['trim', 'Mod+Plus']], theirs: [['trim', 'Mod+Shift+=']] },
      { choice: 'same' },
    ],
    [
      'keeps a keeper',
      { mine: [['trim', 'F6', true]], theirs: THEIRS },
      { choice: 'keep', reason: { kind: 'keeper' }, protects: false },
    ],
    [
      'keeps what is of a kind left out',
      { theirs: THEIRS, rules: { ...RULES, kinds: ['tool'] } },
      { choice: 'keep', reason: { kind: 'kind left out' } },
    ],
    [
      'keeps what has keys where only empty ones are to take',
      { mine: [['trim', 'F6']], theirs: THEIRS, rules: { ...RULES, onlyEmpty: true } },
      { choice: 'keep', reason: { kind: 'has keys' } },
    ],
    [
      'keeps what is easier to reach, and nobody may take it',
      { mine: [['trim', 'S']], theirs: [['trim', 'Mod+Alt+Shift+F12']], rules: { ...RULES, preferEasier: true } },
      { choice: 'keep', reason: { kind: 'easier' }, protects: true },
    ],
    [
      'takes what is easier there',
      { mine: [['trim', 'Mod+Alt+Shift+F12']], theirs: [['trim', 'S']], rules: { ...RULES, preferEasier: true } },
      { choice: 'take', reason: { kind: 'taken' } },
    ],
    [
      'is kept by hand against every rule, even without keys there',
      { mine: [['trim', 'F6']], choices: new Map([['trim', { kind: 'keep' }]]) },
      { choice: 'keep', byHand: true, protects: true },
    ],
    [
      'is taken by hand over a keeper',
      { mine: [['trim', 'F6', true]], theirs: THEIRS, choices: new Map([['trim', { kind: 'take' }]]) },
      { choice: 'take', byHand: true },
    ],
    [
      'gets other keys by hand',
      { theirs: THEIRS, choices: new Map([['trim', { kind: 'other', chords: ['F9'] }]]) },
      { choice: 'other', byHand: true, wanted: ['F9'] },
    ],
    [
      'stays as it was settled, whatever was chosen',
      { theirs: THEIRS, settled: new Map([['trim', []]]), choices: new Map([['trim', { kind: 'take' }]]) },
      { choice: 'keep', byHand: true, protects: true },
    ],
  ])('%s', (_, given, said) => {
    if (said === null) expect(decide(given)).toBeNull();
    else expect(decide(given)).toMatchObject(said);
  });

  it('is none for a command that one of the programs does not have', () => {
    expect(decide({ theirs: THEIRS }, { mine: 'trim', theirs: 'no such' })).toBeNull();
    expect(decide({ theirs: THEIRS }, { mine: 'no such', theirs: 'trim' })).toBeNull();
  });
});

describe('giving out keys', () => {
  /** What each command got, and what it could not have and why. */
  const claimed = (given: Given) => {
    const whole = task(given);
    const decided = whole.pairs.flatMap((pair) => decideLine(whole, whole.keymap, pair) ?? []);
    const { got, missed } = claimKeys(whole, whole.keymap, decided);
    return {
      got: Object.fromEntries([...got].map(([line, chords]) => [line.mine.id, chords])),
      missed: Object.fromEntries(
        [...missed].map(([line, ways]) => [
          line.mine.id,
          ways.map(({ way }) => ('command' in way ? `${way.kind} ${way.command.id}` : `${way.kind} ${way.finding}`)),
        ]),
      ),
    };
  };
  const BOTH: readonly Row[] = [
    ['trim', 'F5'],
    ['lift-stain', 'F5'],
  ];

  it('gives a chord to whom it is worth most: by hand first, then by uses, else in order', () => {
    expect(claimed({ theirs: BOTH })).toEqual({
      got: { 'lift-stain': ['F5'] },
      missed: { trim: ['wanted more by lift-stain'] },
    });
    const often = { theirs: BOTH, usesOf: ({ id }: { id: string }) => (id === 'trim' ? 9 : 1) };
    expect(claimed(often).got).toEqual({ trim: ['F5'] });
    expect(claimed({ ...often, choices: new Map([['lift-stain', { kind: 'take' }]]) }).got).toEqual({
      'lift-stain': ['F5'],
    });
  });

  it('gives one chord to several that take turns on it, or are heard in places apart', () => {
    const turns: readonly Row[] = [
      ['clone', 'S'],
      ['patch', 'S'],
      ['dab', 'F5'],
      ['open-row', 'F5'],
    ];
    expect(claimed({ theirs: turns })).toEqual({
      got: { clone: ['S'], patch: ['S'], dab: ['F5'], 'open-row': ['F5'] },
      missed: {},
    });
  });

  it('takes none from a keeper, from what is fixed, or from what stays by choice; from anybody else', () => {
    const theirs: readonly Row[] = [['trim', 'F5']];
    expect(claimed({ theirs, mine: [['undo', 'F5']] }).got).toEqual({ trim: ['F5'] });
    expect(claimed({ theirs, mine: [['undo', 'F5', true]] }).missed).toEqual({ trim: ['keeper of undo'] });
    expect(claimed({ theirs, mine: [['undo', 'F5']], choices: new Map([['undo', { kind: 'keep' }]]) }).missed).toEqual({
      trim: ['stays with undo'],
    });
    expect(claimed({ theirs: [['trim', 'Escape']] }).missed).toEqual({ trim: ['not here fixed by the program'] });
  });

  it('gives what may not be heard only to whom it was chosen for by hand', () => {
    // The desktop takes it first.
    const theirs: readonly Row[] = [['trim', 'Alt+F4']];
    expect(claimed({ theirs }).got).toEqual({});
    expect(claimed({ theirs, choices: new Map([['trim', { kind: 'take' }]]) }).got).toEqual({ trim: ['Alt+F4'] });
  });
});
