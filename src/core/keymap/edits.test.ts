import { describe, expect, it } from 'vitest';
import { sampleDraft } from '../testing/sampleDraft';
import { sampleProgram } from '../testing/sampleProgram';
import { dropKeys, giveKeys, markKeys, markSpare } from './changeKeys';
import { compareKeymaps } from './compareKeymaps';
import { type Draft, draftOf, followDraft, tapeLengthOf } from './draft';
import { draftEdits, foresee } from './draftEdits';
import { historyOf } from './historyOf';
import { inBrief, tallyOf } from './inBrief';
import { inferForms } from './inferForms';
import {
  type Binding,
  binding,
  changedCommands,
  EMPTY_KEYMAP,
  holds,
  keymapOf,
  type Row,
  rowsOf,
  sameBindings,
} from './keymap';
import type { DraftState } from './keymapView';
import { pullTicket, restingOn } from './pullTicket';
import {
  afterChanges,
  applyTicket,
  type Change,
  invertTicket,
  replayTickets,
  type Ticket,
  TicketMismatch,
  trimTicket,
} from './ticket';

const change = (command: string, before: string[], after: string[], spare?: [boolean, boolean]): Change => ({
  command,
  before: before.map((chord) => ({ chord })),
  after: after.map((chord) => ({ chord })),
  ...(spare ? { spare } : {}),
});
const ticket = (title: string, ...changes: Change[]): Ticket => ({ title, changes });

/** A draft of some rows in which a tape led here: three tickets, the last undone. */
const TAPE = [
  ticket('one', change('undo', ['F2'], ['F3'])),
  ticket('two', change('trim', [], ['F8'])),
  ticket('three', change('clone', [], ['S'])),
];
function draft(values: Partial<DraftState> = {}, more: Partial<Draft> = {}): Draft {
  return {
    ...draftOf({
      programSlug: 'p',
      program: sampleProgram,
      draft: sampleDraft({ cursor: 2, keptCursor: 1, revision: 7, ...values }),
      bindings: [
        ['undo', 'F3'],
        ['trim', 'F8'],
      ],
      spares: ['fill'],
      toKept: [change('trim', ['F8'], [])],
      toFactory: [change('undo', ['F3'], ['Mod+Z'])],
      tape: TAPE,
      earlier: 0,
    }),
    ...more,
  };
}
const NEXT = ticket('next', change('patch', [], ['Q']));

describe('what an edit will be answered with', () => {
  it('a ticket: one more revision, what was undone is left aside until it is kept, and what was kept stays on the tape only before it', () => {
    expect(foresee(draft(), { kind: 'ticket', ticket: NEXT })).toEqual({
      state: { ...draft().state, revision: 8, cursor: 3, leftAside: draft().tape.length - 2, keptCursor: 1 },
      changes: NEXT.changes,
      tape: { stays: 2, added: { title: 'next' } },
      keeps: false,
    });
    expect(foresee(draft({ leftAside: 4 }), { kind: 'keep' })?.state.leftAside).toBe(0);
    const kept = (keptCursor: number | null) =>
      foresee(draft({ keptCursor }), { kind: 'ticket', ticket: NEXT })?.state.keptCursor;
    expect([kept(2), kept(3), kept(null), kept(0)]).toEqual([2, null, null, 0]);
  });

  it('a ticket on the factory’s keymap begins one of its own', () => {
    const begun = foresee(draft({ factory: true, owner: 'Tarn', name: 'Factory keys' }), {
      kind: 'ticket',
      ticket: NEXT,
    });
    expect(begun?.state).toMatchObject({ factory: false, unnamed: true, name: 'Unnamed keymap', owner: '', cursor: 1 });
    expect(begun?.tape.stays).toBe(0);
    expect(foresee(draft({ owner: 'Tarn', name: 'Mine' }), { kind: 'ticket', ticket: NEXT })?.state).toMatchObject({
      unnamed: false,
      name: 'Mine',
      owner: 'Tarn',
    });
  });

  it.each<[string, Ticket, Partial<DraftState>]>([
    ['on a locked keymap', NEXT, { locked: true }],
    ['resting on keys that are others', ticket('x', change('undo', ['F2'], ['Q'])), {}],
    ['of which one part rests on others', ticket('x', NEXT.changes[0] as Change, change('undo', ['F2'], ['Q'])), {}],
    ['that takes for spare what is not', ticket('x', change('patch', [], [], [true, false])), {}],
    ['that takes for needed what is spare', ticket('x', change('fill', [], [], [false, true])), {}],
  ])('a ticket %s is not foreseen', (_, wrong, values) => {
    expect(foresee(draft(values), { kind: 'ticket', ticket: wrong })).toBeNull();
    expect(
      foresee(draft(), { kind: 'ticket', ticket: ticket('x', change('fill', [], [], [true, false])) }),
    ).not.toBeNull();
  });

  it('a move: to any place of the tape, with what lies between; beyond it, or locked, to none', () => {
    const to = (cursor: number, values: Partial<DraftState> = {}, more: Partial<Draft> = {}) =>
      foresee(draft(values, more), { kind: 'move', cursor });
    expect(to(0)).toEqual({
      state: { ...draft().state, revision: 8, cursor: 0 },
      changes: [change('undo', ['F3'], ['F2']), change('trim', ['F8'], [])],
      tape: { stays: 3, added: null },
      keeps: false,
    });
    expect(to(3)?.changes).toEqual([change('clone', [], ['S'])]);
    expect(to(2)?.changes).toEqual([]);
    expect([to(-1), to(4), to(1, { locked: true })]).toEqual([null, null, null]);
    // Two tickets came before those that are here: of the way to where they are, only the place is known.
    const far = { earlier: 2, tape: TAPE.slice(2) };
    expect(to(2, {}, far)?.changes).toEqual([]);
    expect(to(3, {}, far)?.changes).toEqual([change('clone', [], ['S'])]);
    expect(to(1, {}, far)).toMatchObject({ changes: [], state: { cursor: 1 } });
  });

  it('keeping and discarding: to what was kept, by the tape where it leads there, else by a ticket', () => {
    expect(foresee(draft(), { kind: 'keep' })).toMatchObject({
      keeps: true,
      changes: [],
      state: { keptCursor: 2, revision: 8 },
    });
    expect([{ factory: true }, { unnamed: true }].map((one) => foresee(draft(one), { kind: 'keep' }))).toEqual([
      null,
      null,
    ]);
    expect(foresee(draft(), { kind: 'keep as new', name: 'Other', owner: '' })).toBeNull();
    expect(foresee(draft(), { kind: 'discard' })).toMatchObject({
      state: { cursor: 1 },
      changes: [change('trim', ['F8'], [])],
    });
    const lost = draft({ keptCursor: null });
    expect(foresee(lost, { kind: 'discard' })).toMatchObject({
      changes: [change('trim', ['F8'], [])],
      tape: { stays: 2, added: { title: 'Back to what was kept' } },
    });
    const same = { ...lost, kept: lost.keymap };
    expect(foresee(same, { kind: 'discard' })).toMatchObject({
      changes: [],
      state: lost.state,
      keeps: false,
      tape: { stays: 3, added: null },
    });
    expect(foresee(draft(), { kind: 'lock', locked: true })).toMatchObject({
      state: { locked: true, revision: 7 },
      keeps: false,
    });
  });
});

describe('what rests on what somebody else has changed', () => {
  const before = draft();
  const now = (...rows: Row[]): Draft => ({ ...before, keymap: keymapOf(rows, ['fill']) });
  const meets = (after: Draft, ...changes: Change[]) =>
    draftEdits.meets({ kind: 'ticket', ticket: ticket('x', ...changes) }, before, after);
  const mine = change('patch', [], ['Q']);
  it.each<[string, Draft, boolean]>([
    ['nothing', before, false],
    ['other keys of another command', now(['undo', 'F3'], ['trim', 'F9']), false],
    ['the same command', now(['undo', 'F3'], ['trim', 'F8'], ['patch', 'W']), true],
    ['the same keys', now(['undo', 'F3'], ['trim', 'F8'], ['clone', 'Q']), true],
    ['both, one of them elsewhere', now(['undo', 'F9'], ['trim', 'F8'], ['clone', 'Q']), true],
    ['a lock', { ...before, state: { ...before.state, locked: true } }, true],
    ['another keymap in its place', { ...before, state: { ...before.state, id: 99 } }, true],
  ])('%s', (_, after, met) => {
    expect(meets(after, mine)).toBe(met);
  });
  it('moves meet anything, locks nothing', () => {
    expect([
      draftEdits.meets({ kind: 'move', cursor: 0 }, before, before),
      draftEdits.meets({ kind: 'lock', locked: true }, before, now()),
    ]).toEqual([true, false]);
  });
});

describe('following an answer', () => {
  const answer = { ...foresee(draft(), { kind: 'ticket', ticket: NEXT }) } as NonNullable<ReturnType<typeof foresee>>;
  const shown = draftEdits.apply(draft(), { kind: 'ticket', ticket: NEXT });
  it('takes what was shown where it is the same, and the answer where it is not', () => {
    expect(followDraft(draft(), answer, shown).keymap).toBe(shown.keymap);
    for (const other of [
      { ...answer, state: { ...answer.state, cursor: 4 } },
      { ...answer, state: { ...answer.state, revision: 9 } },
      { ...answer, changes: [...answer.changes, change('clone', [], ['W'])] },
      { ...answer, changes: [change('fill', [], [], [true, false])] },
    ])
      expect(followDraft(draft(), other, shown).keymap).not.toBe(shown.keymap);
    const spare = ticket('s', change('fill', [], [], [true, false]));
    const foreseen = draftEdits.apply(draft(), { kind: 'ticket', ticket: spare });
    const said = foresee(draft(), { kind: 'ticket', ticket: spare }) as typeof answer;
    expect(followDraft(draft(), said, foreseen).keymap).toBe(foreseen.keymap);
  });
  it('keeps the tape that was shown only where all of its titles are the same', () => {
    expect(followDraft(draft(), answer, shown).tape).toBe(shown.tape);
    const renamed = { ...answer, tape: { stays: 2, added: { title: 'renamed' } } };
    expect(followDraft(draft(), renamed, shown).tape.map((one) => one.title)).toEqual(['one', 'two', 'renamed']);
    expect(followDraft(draft({}, { earlier: 4 }), { ...answer, tape: { stays: 5, added: null } })).toMatchObject({
      earlier: 4,
      tape: [TAPE[0]],
    });
    expect(tapeLengthOf({ tape: TAPE, earlier: 4 })).toBe(7);
  });
});

describe('tickets', () => {
  const keymap = keymapOf([['undo', 'F3', true, 'three']], ['fill']);
  it('say of which command they can’t be done, and don’t hide any other trouble', () => {
    const wrong = ticket('x', change('undo', ['F2'], []));
    expect(() => applyTicket(keymap, wrong)).toThrow(
      expect.objectContaining({ name: 'TicketMismatch', command: 'undo' }),
    );
    expect(() => applyTicket(keymap, ticket('x', change('fill', [], [], [false, true])))).toThrow(TicketMismatch);
    const broken = {
      title: '',
      get changes(): Change[] {
        throw new RangeError('no changes');
      },
    };
    expect(() => replayTickets(keymap, [broken])).toThrow(RangeError);
    expect(rowsOf(replayTickets(keymap, [wrong]))).toEqual([]);
  });
  it('lose what changes nothing', () => {
    const same = { command: 'undo', before: [], after: [{ chord: 'F3', keeper: true as const, hook: 'three' }] };
    const trimmed = (...changes: Change[]) => trimTicket(keymap, { title: 't', changes })?.changes ?? null;
    expect(trimmed(same)).toBeNull();
    expect(trimmed(same, change('trim', [], ['Q']))).toEqual([change('trim', [], ['Q'])]);
    expect(trimmed({ ...same, spare: [false, true] })).toHaveLength(1);
    expect(trimmed({ ...same, spare: [true, true] })).toBeNull();
  });
  it('put what they change last, with the marks it has and no others', () => {
    const after = afterChanges(
      keymapOf([
        ['undo', 'F3'],
        ['trim', 'Q'],
      ]),
      [change('undo', ['F3'], ['F4']), change('trim', ['Q'], [], [false, true])],
    );
    expect([rowsOf(after), [...after.spares]]).toEqual([[['undo', 'F4']], ['trim']]);
    expect([...afterChanges(after, [change('trim', [], [], [true, false])]).spares]).toEqual([]);
    expect(after.bindings.get('undo')).toEqual([{ chord: 'F4' }]);
    expect(invertTicket(ticket('t', change('trim', ['Q'], [], [false, true]))).changes).toEqual([
      change('trim', [], ['Q'], [true, false]),
    ]);
  });
});

describe('pulling out', () => {
  it('rests on keys set free further on, not on those that stayed', () => {
    const tape = [
      ticket('a', change('undo', ['F2', 'F3'], ['F3'])),
      ticket('b', change('trim', ['F8'], ['F2'])),
      ticket('c', change('clone', [], ['F8'])),
      ticket('d', change('patch', [], ['F3'])),
      ticket('e', change('fill', ['F2'], ['F2', 'W'])),
    ];
    expect(restingOn(tape, 1)).toEqual([2, 3]);
    expect(restingOn(tape, 2)).toEqual([3]);
    expect([restingOn(tape, 0), restingOn(tape, 6), restingOn([...tape, { ...ticket('f'), pulled: [1] }], 1)]).toEqual([
      [],
      [],
      [],
    ]);
    expect(restingOn(tape, 4, (chord) => (chord === 'F3' ? 'F9' : chord))).toEqual([]);
  });
  it('names the first and counts the others, in the order of the tape', () => {
    const start = keymapOf([]);
    const tape = [
      ticket('First', change('undo', [], ['Q'])),
      ticket('Second', change('trim', [], ['W'])),
      ticket('Third', change('clone', [], ['S'])),
    ];
    const now = tape.reduce(applyTicket, start);
    expect(pullTicket(now, tape, [3, 1])).toMatchObject({ title: 'Pull out Third and 1 more', pulled: [1, 3] });
    expect(pullTicket(now, tape, [2])?.title).toBe('Pull out Second');
  });
  it('is told of each ticket that touched a command, undone ones too', () => {
    const told = historyOf(TAPE, 2, 'clone').map(({ position, state }) => [position, state]);
    expect([told, historyOf(TAPE, 3, 'clone')[0]?.state, historyOf(TAPE, 3, 'patch')]).toEqual([
      [[3, 'undone']],
      'applied',
      [],
    ]);
    // What an undone ticket would pull out is not gone.
    expect(historyOf([...TAPE, { ...ticket('p'), pulled: [3] }], 3, 'clone')[0]?.state).toBe('applied');
  });
});

describe('keymaps', () => {
  const keymap = keymapOf([
    ['undo', 'F3'],
    ['undo', 'F4', true],
    ['trim', 'Q', false, 'hook'],
    ['undo', 'F3', true],
  ]);
  it('keep keepers and hooks, and a repeated row as it was first', () => {
    expect(rowsOf(keymap)).toEqual([
      ['undo', 'F3'],
      ['undo', 'F4', true],
      ['trim', 'Q', false, 'hook'],
    ]);
    expect([binding('Q'), binding('Q', true), binding('Q', false, 'h')]).toEqual([
      { chord: 'Q' },
      { chord: 'Q', keeper: true },
      { chord: 'Q', hook: 'h' },
    ]);
    expect([holds(keymap, 'undo', 'F4'), holds(keymap, 'undo', 'Q'), holds(keymap, 'gone', 'Q')]).toEqual([
      true,
      false,
      false,
    ]);
  });
  it.each<[readonly Binding[], readonly Binding[], boolean]>([
    [[{ chord: 'Q' }], [{ chord: 'Q' }], true],
    [[{ chord: 'Q' }], [{ chord: 'W' }], false],
    [[{ chord: 'Q' }], [{ chord: 'Q', keeper: true }], false],
    [[{ chord: 'Q', hook: 'a' }], [{ chord: 'Q', hook: 'b' }], false],
    [[{ chord: 'Q' }], [{ chord: 'Q' }, { chord: 'W' }], false],
    [[{ chord: 'Q' }, { chord: 'W' }], [{ chord: 'W' }, { chord: 'Q' }], false],
  ])('%j and %j are the same: %s', (a, b, same) => {
    expect(sameBindings(a, b)).toBe(same);
  });
  it('are compared by all that is noted, or by their keys alone', () => {
    const marked = keymapOf(
      [
        ['undo', 'F3'],
        ['undo', 'F4'],
        ['trim', 'Q', false, 'hook'],
      ],
      ['fill'],
    );
    expect(changedCommands(keymap, marked)).toEqual([]);
    expect(compareKeymaps(keymap, marked).map((one) => one.command)).toEqual(['undo', 'fill']);
    expect(changedCommands(EMPTY_KEYMAP, keymap)).toEqual(['undo', 'trim']);
    expect(compareKeymaps(marked, EMPTY_KEYMAP).find((one) => one.command === 'fill')?.spare).toEqual([true, false]);
  });
  it('are changed one command at a time', () => {
    expect(dropKeys(keymap, 'undo', ['F3', 'X'])).toMatchObject({ after: [{ chord: 'F4', keeper: true }] });
    expect(dropKeys(keymap, 'undo', ['F3', 'F4']).after).toEqual([]);
    expect(giveKeys(keymap, 'undo', 'F4', () => false)).toMatchObject({ after: [{ chord: 'F4', keeper: true }] });
    expect(giveKeys(keymap, 'undo', 'W', (one) => one.keeper === true).after).toEqual([
      { chord: 'F4', keeper: true },
      { chord: 'W' },
    ]);
    expect(markKeys(keymap, 'undo', 'F4', { hook: 'four' }).after).toEqual([
      { chord: 'F3' },
      { chord: 'F4', keeper: true, hook: 'four' },
    ]);
    expect(markKeys(keymap, 'trim', 'Q', { keeper: true }).after).toEqual([{ chord: 'Q', keeper: true, hook: 'hook' }]);
    expect(markSpare(keymap, ['undo'], true)).toMatchObject([{ spare: [false, true] }]);
    expect(markSpare(keymapOf([], ['undo']), ['undo', 'trim'], false)).toMatchObject([
      { command: 'undo', spare: [true, false] },
    ]);
  });
  it('tell which forms a program takes for each kind: the usual, and those its factory keys have', () => {
    const forms = inferForms(
      sampleProgram.commands,
      keymapOf([
        ['undo', 'Q'],
        ['clone', 'hold:Space'],
      ]),
    );
    expect(forms).toEqual({
      'menu item': ['bare', 'named', 'modified'],
      tool: ['bare', 'named', 'modified', 'held'],
      panel: ['named', 'modified'],
      value: ['bare', 'named', 'modified'],
      script: ['named', 'modified'],
      'held action': ['held'],
    });
  });
  it('at a glance: a key is yours where one of yours is pressed with it, and not where the factory’s all are', () => {
    const factory = keymapOf([
      ['undo', 'F3'],
      ['trim', 'Q'],
    ]);
    const mine = keymapOf([
      ['undo', 'F3'],
      ['undo', 'Shift+F4'],
      ['trim', 'Q'],
    ]);
    expect(inBrief(tallyOf(mine, factory, mine))).toEqual({
      bindings: 3,
      yours: 1,
      draftChanges: 0,
      pins: [
        ['F3', false],
        ['F4', true],
        ['Q', false],
      ],
    });
  });
});
