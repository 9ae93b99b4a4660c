import { describe, expect, it } from 'vitest';
import { sampleProgram } from '../core/testing/sampleProgram';
import { EMPTY_PLAN } from '../core/transfer/matchPlan';
import { newCommand, newFixed, newPlace, newWorkspace, programNaming } from './forms';
import { changedElsewhere, PROBLEM_STATUS, Problem } from './problem';
import * as bodies from './requests';

type Body = (body: unknown) => unknown;
const ticket = { title: 'Undo', changes: [{ command: 'undo', before: [], after: [{ chord: 'F2' }] }] };
const wishes = {
  ...{ wishes: ['undo'], layers: [['Alt'], []], functionKeys: true, spendSpares: false, spendBelow: null },
  ...{ pins: [['undo', 'F2']], forbids: [], stays: [], settled: [['undo', null]] },
};
const { contexts, rules, commands } = sampleProgram;

/** What each body takes, and what makes it one that is refused. */
const TABLE: readonly (readonly [name: string, body: Body, good: object, wrong: readonly object[]])[] = [
  [
    'an edit',
    bodies.editBody,
    { revision: 3, ticket },
    [
      { revision: 0.5 },
      { revision: -1 },
      { revision: undefined },
      { ticket: { ...ticket, title: '' } },
      { ticket: { ...ticket, changes: [] } },
      { ticket: { ...ticket, changes: [{ command: 'undo', before: [], after: [{ chord: 'Frobnicate' }] }] } },
      { ticket: { ...ticket, changes: [...ticket.changes, ...ticket.changes] } },
      { more: 1 },
    ],
  ],
  [
    'a place on the tape',
    bodies.tapeBody,
    { revision: 3, cursor: 0 },
    [{ cursor: -1 }, { cursor: 'x' }, { cursor: undefined }],
  ],
  ['a revision', bodies.revisionBody, { revision: 3 }, [{ revision: 'three' }, { revision: null }]],
  [
    'a name to keep something under',
    bodies.keepAsNewBody,
    { revision: 3, name: 'Mine', owner: 'Plate retoucher' },
    [{ name: '' }, { name: ' ' }, { name: 'x'.repeat(300) }, { name: 'a\u202eb' }, { owner: 'x'.repeat(300) }],
  ],
  ['a copy', bodies.duplicateBody, { name: 'Copy', owner: '' }, [{ name: undefined }, { name: 7 }]],
  [
    'a change',
    bodies.changeBody,
    { name: 'Mine', owner: '', putAway: true, locked: false },
    [{ putAway: 'perhaps' }, { name: '' }, { color: 'red' }],
  ],
  [
    'what a program says of itself',
    bodies.factsBody,
    { revision: 3, title: 'Turns', facts: { contexts, rules, commands } },
    [
      { title: '' },
      { title: 'x'.repeat(201) },
      { facts: { contexts: [], rules, commands } },
      { facts: { contexts, rules, commands: [{ ...commands[0], kind: 'spell' }] } },
      { facts: { contexts, commands } },
    ],
  ],
  [
    'settings',
    bodies.settingsBody,
    {
      lamp: 'dim',
      textSize: 'large',
      notation: 'mac',
      desktop: 'linux',
      hand: 'right',
      person: '',
      shape: 'iso',
      size: 'compact',
      layout: 'de',
    },
    [
      { lamp: 'candle' },
      { textSize: 12 },
      { notation: 'runes' },
      { desktop: 'other' },
      { hand: 'both' },
      { shape: 'round' },
      { size: 'huge' },
      { layout: 'xx' },
    ],
  ],
  [
    'a wish list',
    bodies.wishListBody,
    wishes,
    [
      { wishes: ['undo', 'undo'] },
      { wishes: [''] },
      { settled: [['undo']] },
      { layers: [['Alt', 'Alt']] },
      { layers: [['Hyper']] },
      { functionKeys: undefined },
      { spendBelow: -1 },
      { spendBelow: 1e9 },
      { pins: [['undo']] },
      { pins: [['undo', 'Frobnicate']] },
      { stays: 'undo' },
    ],
  ],
  [
    'uses',
    bodies.usesBody,
    { uses: { undo: 40, trim: null }, all: true },
    [{ uses: { undo: -1 } }, { uses: { undo: 'often' } }, { uses: undefined }, { all: 'all' }],
  ],
  [
    'a match',
    bodies.matchBody,
    {
      source: 2,
      plan: {
        ...EMPTY_PLAN,
        choices: [
          ['undo', { kind: 'take' }],
          ['trim', { kind: 'other', chords: ['F2'] }],
        ],
        instead: [
          ['undo', null],
          ['trim', 'F3'],
        ],
        madeOn: { shape: 'ansi', size: 'full', layout: 'us', desktop: 'mac', move: 'letters' },
      },
    },
    [
      { source: 0 },
      { plan: { ...EMPTY_PLAN, rules: { ...EMPTY_PLAN.rules, kinds: ['spell'] } } },
      { plan: { ...EMPTY_PLAN, choices: [['undo', { kind: 'leave' }]] } },
      { plan: { ...EMPTY_PLAN, choices: [['undo', { kind: 'other' }]] } },
      { plan: { ...EMPTY_PLAN, instead: [['undo', 'Frobnicate']] } },
      { plan: { ...EMPTY_PLAN, madeOn: { shape: 'ansi' } } },
    ],
  ],
  [
    'a counterpart',
    bodies.counterpartBody,
    { program: 'tarnlight', command: 'undo', other: 'nibshore', counterpart: null },
    [{ program: '' }, { command: undefined }, { other: 3 }, { counterpart: '' }],
  ],
  [
    'a keymap that is derived',
    bodies.deriveBody,
    { name: 'Derived', owner: '', source: 2, ticket: null, plan: EMPTY_PLAN },
    [{ name: '' }, { source: 'two' }, { ticket: undefined }, { plan: null }],
  ],
  [
    'a derivation',
    bodies.derivationBody,
    { plan: EMPTY_PLAN, derived: [['undo', 'F2']], theirs: [['undo', 'F2', true, 'two']] },
    [{ derived: [['undo']] }, { theirs: [['undo', 'F2', 'yes']] }, { theirs: [['undo', 'F2', true, 'x'.repeat(121)]] }],
  ],
  [
    'ticks',
    bodies.ticksBody,
    { from: 2, ticks: ['set undo F2'] },
    [{ from: 0 }, { ticks: ['a', 'a'] }, { ticks: [''] }, { ticks: ['x'.repeat(4001)] }],
  ],
  ['the mark of a list', bodies.listQuery, { mark: 'abc' }, [{ mark: 'x'.repeat(65) }, { mark: undefined }]],
];

describe('what routes take', () => {
  it.each(TABLE)('%s, as it is meant', (_, body, good) => {
    expect(body(good)).toEqual(good);
  });
  it.each(
    TABLE.flatMap(([name, body, good, wrong]) =>
      wrong.map((one) => [name, JSON.stringify(one).slice(0, 60), body, { ...good, ...one }] as const),
    ),
  )('%s, but not with %s, and it is said in a sentence', (_, __, body, wrong) => {
    let said: unknown;
    try {
      body(wrong);
    } catch (error) {
      said = error;
    }
    expect(said).toBeInstanceOf(Problem);
    expect((said as Problem).code).toBe('not valid');
    expect((said as Problem).message).toMatch(/^[A-Z].{10,}[.!?]$/s);
  });
  it('the usual stands for what may be left out', () => {
    expect(bodies.duplicateBody({ name: ' Copy ' })).toEqual({ name: 'Copy', owner: '' });
    expect(bodies.usesBody({ uses: {} })).toEqual({ uses: {}, all: false });
    expect(bodies.counterpartBody({ program: 'a', command: 'b', other: 'c' })).toEqual({
      program: 'a',
      command: 'b',
      other: 'c',
    });
    for (const body of [bodies.changeBody, bodies.settingsBody]) expect(() => body({})).toThrow(Problem);
    for (const body of Object.values(bodies.wishList.describe().keys))
      expect((body as { flags?: { presence?: string } }).flags?.presence).toBe('required');
  });
  it('numbers of keymaps are read off an address, and nothing else is', () => {
    expect(bodies.idOf('12')).toBe(12);
    for (const wrong of ['0', '-1', '1.5', 'x', '', '1e400', 'NaN'])
      expect(() => bodies.idOf(wrong)).toThrow('There is no keymap at this address.');
  });
});

describe('what forms take', () => {
  const said = (form: { validate: (given: object) => { error?: Error | undefined } }, given: object) =>
    form.validate(given).error?.message ?? null;
  it.each([
    [programNaming, { name: 'Copperlamp', version: '3' }, { name: '' }, 'Give the program a name.'],
    [
      programNaming,
      { name: 'Copperlamp', version: '' },
      { version: 'x'.repeat(41) },
      'A version has 40 characters at most.',
    ],
    [newPlace, { name: 'in the list', parent: 'everywhere' }, { name: ' ' }, 'Give it a name.'],
    [newFixed, { chord: 'Ctrl+Tab', why: '' }, { chord: '' }, 'Type the keys, for example Ctrl+Tab.'],
    [
      newFixed,
      { chord: 'Ctrl+Tab', why: '' },
      { chord: 'Ctrl+Tba' },
      "We don't know a key called “Tba”. Did you mean Ctrl+Tab?",
    ],
    [newFixed, { chord: 'Ctrl+Tab', why: '' }, { why: 'x'.repeat(201) }, 'Say it in 200 characters at most.'],
    [
      newCommand,
      { name: 'Count', menu: 'A › B', kind: 'script', context: 'everywhere' },
      { menu: 'A › '.repeat(9) },
      'A place has 8 steps at most, each of 120 characters at most.',
    ],
    [newWorkspace, { name: 'Desk', owner: '', parts: ['panels'] }, { parts: [] }, 'Choose at least one part.'],
  ] as const)('takes what is meant, and says at its field what it can’t take: %#', (form, good, wrong, words) => {
    expect(said(form, good)).toBeNull();
    expect(said(form, { ...good, ...wrong })).toBe(words);
  });
  it('makes typed keys canonical', () => {
    expect(newFixed.validate({ chord: ' strg + tab ', why: '' }).value).toMatchObject({ chord: 'Mod+Tab' });
  });
});

describe('a problem', () => {
  it('has a status for each kind, and hands its sentence on where a page fails', () => {
    expect(new Problem('busy', 'Held.').digest).toBe('said: Held.');
    expect(changedElsewhere('Mine was', { revision: 4 })).toMatchObject({
      code: 'changed elsewhere',
      details: { revision: 4 },
      message: expect.stringContaining('Mine was changed in another window'),
    });
    expect(Object.values(PROBLEM_STATUS).every((one) => one >= 400 && one < 600)).toBe(true);
    expect([PROBLEM_STATUS['not found'], PROBLEM_STATUS['changed elsewhere'], PROBLEM_STATUS['no room']]).toEqual([
      404, 409, 507,
    ]);
  });
});
