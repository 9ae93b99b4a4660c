import { describe, expect, it } from 'vitest';
import { whereOf } from '../keyboard/where';
import { type Keymap, keymapOf, type Row } from '../keymap/keymap';
import { here, sampleProgram } from '../testing/sampleProgram';
import { advisor, RULES, taskOf } from '../testing/transferTask';
import { plainWords } from '../text/sentence';
import { claimKeys } from './claimKeys';
import { type Decided, decideLine } from './decideLine';
import { describeTransferLine, describeWay } from './describeTransferLine';
import { planKnockOns } from './planKnockOns';
import { takeKeys } from './takeKeys';
import { transfer } from './transfer';
import type { InTheWay, KnockOn, LineReason, TransferLine, TransferTask } from './transferTypes';
import { translateKeys } from './translateKeys';

const command = (id: string) => sampleProgram.commands.find((one) => one.id === id)!;
const line = (values: Partial<TransferLine> = {}): TransferLine => ({
  ...{ mine: command('trim'), theirs: command('trim'), theirKeys: ['F5'], before: [], after: [{ chord: 'F5' }] },
  ...{ choice: 'take', byHand: false, reason: { kind: 'taken' }, missed: [], from: [] },
  ...values,
});
const loss = (id: string, lost: string[], instead: string | null): KnockOn => ({
  command: command(id),
  lost,
  to: ['trim'],
  instead,
  reason: 'closest',
});
const said = (one: TransferLine, losses: KnockOn[] = [], spare = false) =>
  plainWords(describeTransferLine(one, new Map(losses.map((each) => [each.command.id, each])), () => spare));
const KEPT: InTheWay = { kind: 'keeper of', command: command('undo') };

describe('what a line says', () => {
  it.each<[string, string, TransferLine, KnockOn[], boolean?]>([
    ['nobody loses anything', 'free here', line(), []],
    ['nothing is left', 'has no keys then', line({ after: [] }), []],
    ['one loses its keys', 'Undo loses F5 and gets F6', line({ from: ['undo'] }), [loss('undo', ['F5', 'F7'], 'F6')]],
    ['one gets none', 'Undo loses F5', line({ from: ['undo'] }), [loss('undo', ['F5'], null)]],
    [
      'a spare gives them up',
      'Undo gives up F5, a spare',
      line({ from: ['undo'] }),
      [loss('undo', ['F5'], null)],
      true,
    ],
    [
      'a spare gets others all the same',
      'Undo loses F5 and gets F6',
      line({ from: ['undo'] }),
      [loss('undo', ['F5'], 'F6')],
      true,
    ],
    [
      'two lose',
      'Undo loses F5 and Clone loses F6',
      line({ from: ['undo', 'clone'] }),
      [loss('undo', ['F5'], null), loss('clone', ['F6'], null)],
    ],
    ['who is not told of is left out', 'free here', line({ from: ['patch'] }), [loss('undo', ['F5'], null)]],
    ['a loss without keys says nothing', '', line({ from: ['undo'] }), [loss('undo', [], null)]],
    [
      'some can’t be had',
      'Undo loses F5 and F6 is a keeper of Undo',
      line({ choice: 'other', from: ['undo'], missed: [{ chord: 'F6', way: KEPT }] }),
      [loss('undo', ['F5'], null)],
    ],
    ['it is the same', 'already the same', line({ choice: 'same', reason: { kind: 'same' } }), []],
    [
      'it stays',
      'has keys of its own',
      line({ choice: 'keep', reason: { kind: 'has keys' }, missed: [{ chord: 'F6', way: KEPT }] }),
      [],
    ],
  ])('where %s: %s', (_, words, one, losses, spare) => {
    expect(said(one, losses, spare)).toBe(words);
  });

  it.each<[LineReason, string]>([
    [{ kind: 'keeper' }, 'marked as a keeper'],
    [{ kind: 'kind left out' }, 'left out by your rules'],
    [{ kind: 'easier' }, 'yours is as easy to reach or easier'],
    [{ kind: 'in the way', chord: 'F6', way: KEPT }, 'F6 is a keeper of Undo'],
    [{ kind: 'by hand' }, 'settled by you'],
  ])('that stays, %j: %s', (reason, words) => {
    expect(said(line({ choice: 'keep', reason }))).toBe(words);
  });

  it.each<[InTheWay, string]>([
    [{ kind: 'stays with', command: command('clone') }, 'F6 stays with Clone'],
    [{ kind: 'wanted more by', command: command('clone') }, 'F6 goes to Clone, which comes first'],
    ...(
      [
        ['fixed by the program', 'is kept by the program itself'],
        ['not allowed', 'is no key that this program gives to such a command'],
        ['no sequences', 'is a sequence, which this program does not take'],
        ['no such key', 'is not on your keyboard'],
        ['needs AltGr', 'needs AltGr on your keyboard'],
        ['types a character', 'types a character on your keyboard'],
        ['taken by the desktop', 'is taken by the desktop'],
        ['opens a menu', 'opens a menu'],
        ['dead key', 'is a dead key on your keyboard'],
        ['in a sequence', 'begins a sequence of others'],
        ['something else', 'can’t be had here'],
      ] as const
    ).map(([finding, words]): [InTheWay, string] => [{ kind: 'not here', finding }, `F6 ${words}`]),
  ])('of what stands in the way, %j: %s', (way, words) => {
    expect(plainWords(describeWay('F6', way))).toBe(words);
  });
});

const task = (mine: Row[], theirs: Row[], more: Partial<TransferTask> = {}) =>
  taskOf({ keymap: keymapOf(mine), theirKeys: keymapOf(theirs), ...more });
const decided = (whole: TransferTask) => whole.pairs.flatMap((pair) => decideLine(whole, whole.keymap, pair) ?? []);
const claimsOf = (whole: TransferTask) => claimKeys(whole, whole.keymap, decided(whole));
const keys = (keymap: Keymap, id: string) => (keymap.bindings.get(id) ?? []).map((one) => one.chord);

describe('deciding a line', () => {
  const of = (whole: TransferTask, id = 'trim'): Partial<Decided> | undefined =>
    decided(whole).find((one) => one.mine.id === id);
  it('says that it was by hand, whatever was chosen so', () => {
    const chosen = (choice: TransferTask['choices'] extends ReadonlyMap<string, infer C> ? C : never) =>
      of(task([['trim', 'F2']], [['trim', 'F5']], { choices: new Map([['trim', choice]]) }));
    expect(
      [chosen({ kind: 'keep' }), chosen({ kind: 'take' }), chosen({ kind: 'other', chords: ['F8'] })].map(
        (one) => one?.reason,
      ),
    ).toEqual(Array(3).fill({ kind: 'by hand' }));
    expect(of(task([], [['trim', 'F5']], { settled: new Map([['trim', []]]) }))?.reason).toEqual({ kind: 'by hand' });
  });
  it('is the same only where all of their keys are here', () => {
    expect(
      of(
        task(
          [['trim', 'F5']],
          [
            ['trim', 'F5'],
            ['trim', 'F6'],
          ],
        ),
      )?.choice,
    ).toBe('take');
    expect(
      of(
        task(
          [
            ['trim', 'F5'],
            ['trim', 'F6'],
          ],
          [['trim', 'F6']],
        ),
      )?.choice,
    ).toBe('same');
  });
  it('rules about one’s own keys hold only where there are some', () => {
    for (const rule of ['onlyEmpty', 'preferEasier'] as const)
      expect(of(task([], [['trim', 'F5']], { rules: { ...RULES, [rule]: true } }))?.choice).toBe('take');
  });
});

describe('claiming and taking', () => {
  it('goes to whoever is on a place already under another name, and says who comes first', () => {
    const { got, missed } = claimsOf(
      task(
        [['trim', 'Mod+Plus']],
        [
          ['trim', 'Mod+Shift+='],
          ['trim', 'F8'],
          ['undo', 'F8'],
        ],
      ),
    );
    const told = Object.fromEntries([...got].map(([one, chords]) => [one.mine.id, chords]));
    expect(told).toEqual({ undo: ['F8'], trim: [] });
    expect([...missed].map(([one, ways]) => [one.mine.id, ways])).toEqual([
      ['trim', [{ chord: 'F8', way: { kind: 'wanted more by', command: command('undo') } }]],
    ]);
  });
  it('takes nothing that is not on this keyboard, by hand neither', () => {
    const compact = { ...advisor, where: whereOf({ ...here.keyboard.choice, size: 'compact' }, 'windows') };
    const chosen = new Map([['trim', { kind: 'other' as const, chords: ['F11'] }]]);
    const { got, missed } = claimsOf(task([], [], { advisor: compact, choices: chosen }));
    expect([got.size, [...missed.values()].flat()]).toEqual([
      0,
      [{ chord: 'F11', way: { kind: 'not here', finding: 'no such key' } }],
    ]);
  });
  it('takes from those who would clash or have to take turns, never from keepers or what is settled', () => {
    const whole = task(
      [
        ['undo', 'F5'],
        ['clone', 'S'],
        ['dab', 'F5'],
        ['open-row', 'F6'],
      ],
      [
        ['trim', 'F5'],
        ['patch', 'S'],
        ['smear', 'F6'],
      ],
    );
    const fallen = (more: Partial<TransferTask>, keymap = whole.keymap) =>
      takeKeys({ ...whole, ...more }, keymap, claimsOf(whole)).map((one) => [one.command.id, one.lost, one.to]);
    expect(fallen({})).toEqual([
      ['undo', ['F5'], ['trim']],
      ['dab', ['F5'], ['trim']],
      ['clone', ['S'], ['patch']],
    ]);
    const settled = { ...whole, settled: new Map([['undo', []]]) };
    expect(
      takeKeys(settled, whole.keymap, { ...claimsOf(whole), stays: new Set(['undo']) }).map((one) => one.command.id),
    ).toEqual(['dab', 'clone']);
    // Who is said to be the same keeps its other keys, too: the two take turns on them.
    const same = transfer(
      task(
        [
          ['clone', 'S'],
          ['clone', 'F5'],
        ],
        [
          ['clone', 'F5'],
          ['patch', 'S'],
        ],
      ),
      'x',
    );
    expect([
      same.lines.find((one) => one.mine.id === 'clone')?.choice,
      keys(same.keymap, 'clone'),
      keys(same.keymap, 'patch'),
    ]).toEqual(['same', ['S', 'F5'], ['S']]);
    expect(
      fallen(
        {},
        keymapOf([
          ['undo', 'F5', true],
          ['clone', 'S'],
        ]),
      ).map(([id]) => id),
    ).toEqual(['clone']);
  });
});

describe('a whole transfer', () => {
  const of = (whole: TransferTask) => transfer(whole, 'Like theirs');
  it('gives who loses its keys the closest, what was answered, or nothing, and says why', () => {
    const whole = task(
      [
        ['undo', 'Mod+F5'],
        ['stain-mask', 'Mod+F6'],
        ['stain-mask', 'F9'],
        ['lift-stain', 'Mod+F7'],
        ['fill', 'Mod+F8'],
      ],
      [
        ['trim', 'Mod+F5'],
        ['dab', 'Mod+F6'],
        ['smear', 'Mod+F7'],
        ['clone', 'Mod+F8'],
      ],
      {
        keymap: keymapOf(
          [
            ['undo', 'Mod+F5'],
            ['stain-mask', 'Mod+F6'],
            ['stain-mask', 'F9'],
            ['lift-stain', 'Mod+F7'],
            ['fill', 'Mod+F8'],
          ],
          ['fill'],
        ),
      },
    );
    const reasons = (instead: [string, string | null][]) =>
      Object.fromEntries(
        of({ ...whole, instead: new Map(instead) }).knockOns.map((one) => [one.command.id, [one.reason, one.instead]]),
      );
    expect(reasons([])).toEqual({
      undo: ['closest', expect.any(String)],
      'stain-mask': ['has others', null],
      'lift-stain': ['closest', expect.any(String)],
      fill: ['spare', null],
    });
    expect(
      reasons([
        ['undo', 'Alt+F9'],
        ['lift-stain', null],
        ['fill', 'Alt+F10'],
      ]),
    ).toMatchObject({ undo: ['by hand', 'Alt+F9'], 'lift-stain': ['by hand', null], fill: ['by hand', 'Alt+F10'] });
    // An answer that is not free is said to be lost, and the closest is given.
    const lost = of({ ...whole, instead: new Map([['undo', 'F9']]) });
    expect([lost.lostAnswers, lost.knockOns.find((one) => one.command.id === 'undo')?.reason]).toEqual([
      ['undo'],
      'closest',
    ]);
    expect(lost.ticket?.title).toBe('Like theirs');
  });
  it('has no ticket where nothing changes, and keeps what could not be had with the reason', () => {
    expect(of(task([['trim', 'F5']], [['trim', 'F5']])).ticket).toBeNull();
    const kept = of(
      task(
        [
          ['undo', 'F5', true],
          ['trim', 'F2'],
        ],
        [['trim', 'F5']],
      ),
    );
    expect([kept.ticket, kept.lines[0]?.choice, kept.lines[0]?.reason.kind]).toEqual([null, 'keep', 'in the way']);
    // One of two: it takes what it can, and its own reason stays.
    const some = of(
      task(
        [
          ['undo', 'F5', true],
          ['trim', 'F2'],
        ],
        [
          ['trim', 'F5'],
          ['trim', 'F6'],
        ],
      ),
    );
    expect([some.lines[0]?.choice, some.lines[0]?.reason.kind, keys(some.keymap, 'trim')]).toEqual([
      'take',
      'taken',
      ['F6'],
    ]);
    expect(
      of(task([['trim', 'F2']], [['trim', 'F6']], { rules: { ...RULES, besides: true } })).lines[0]?.after.map(
        (one) => one.chord,
      ),
    ).toEqual(['F6', 'F2']);
  });
});

describe('keys instead', () => {
  const near = (lost: string, id = 'undo', keymap = keymapOf([])) =>
    planKnockOns(advisor, keymap, [{ command: command(id), lost, uses: 1 }], new Map()).given.get(id) ?? '';
  it('are near to those that were lost: on the same row or beside, with the same modifiers', () => {
    expect(near('Mod+Shift+J')).toMatch(/^Mod\+Shift\+[A-Z0-9;'[\],./=-]$/);
    expect(near('Mod+Plus')).not.toBe('');
    expect(near('NoSuchKey')).not.toBe('');
    const taken = near('Mod+Shift+J');
    expect(near('Mod+Shift+J', 'undo', keymapOf([['trim', taken]]))).not.toBe(taken);
  });
});

describe('keys of another desktop', () => {
  const mac = { where: whereOf(here.keyboard.choice, 'mac'), move: 'letters' as const };
  it.each([
    ['Mod+S', 'Mod+S'],
    ['Ctrl+S', 'Meta+S'],
    ['Ctrl+Alt+S Meta+K', 'Alt+Meta+S Ctrl+K'],
    ['nothing known', 'nothing known'],
  ])('%s becomes %s', (made, wanted) => {
    expect(translateKeys(made, mac, here)).toBe(wanted);
  });
  it('stay as they are on the same, and where it isn’t said on what they were made', () => {
    expect([translateKeys('Ctrl+S', null, here), translateKeys('Ctrl+S', { ...mac, where: here }, here)]).toEqual([
      'Ctrl+S',
      'Ctrl+S',
    ]);
    const german = { where: whereOf({ shape: 'iso', size: 'full', layout: 'de' }, 'windows') };
    expect([
      translateKeys('Mod+Z', { ...german, move: 'letters' }, here),
      translateKeys('Mod+Z', { ...german, move: 'positions' }, here),
    ]).toEqual(['Mod+Z', 'Mod+Y']);
  });
});
