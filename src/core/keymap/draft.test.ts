import { describe, expect, it } from 'vitest';
import { sampleDraft } from '../testing/sampleDraft';
import { sampleProgram } from '../testing/sampleProgram';
import { type Draft, draftOf, followDraft, tapeLengthOf, withWholeTape } from './draft';
import { BACK_TO_KEPT, type DraftEdit, draftEdits, foresee } from './draftEdits';
import { rowsOf } from './keymap';
import type { DraftState, KeymapView } from './keymapView';
import { applyTicket, type Change, type Ticket } from './ticket';

const change = (before: string[], after: string[]): Change => ({
  command: 'undo',
  before: before.map((chord) => ({ chord })),
  after: after.map((chord) => ({ chord })),
});
const ticket = (one: Change): Ticket => ({ title: 'Undo', changes: [one] });
const view = (values: Partial<DraftState> = {}): KeymapView => ({
  programSlug: 'p',
  program: sampleProgram,
  draft: sampleDraft(values),
  bindings: [['undo', 'F3']],
  spares: [],
  toKept: [change(['F3'], ['F2'])],
  toFactory: [change(['F3'], ['Mod+Z'])],
  tape: [ticket(change(['F2'], ['F3'])), ticket(change(['F3'], ['F4']))],
  earlier: 0,
});

describe('a draft on screen', () => {
  it('is what the server says: bindings now, as kept, as the factory’s', () => {
    const draft = draftOf(view({ cursor: 1 }));
    expect([rowsOf(draft.keymap), rowsOf(draft.kept), rowsOf(draft.factory)]).toEqual([
      [['undo', 'F3']],
      [['undo', 'F2']],
      [['undo', 'Mod+Z']],
    ]);
  });

  it('follows a ticket (undone ones fall off), a move, a keeping, and a discard that needed a ticket', () => {
    const draft = draftOf(view({ cursor: 1 }));
    const next = ticket(change(['F3'], ['F9']));
    const done = (edit: DraftEdit, from = draft) => draftEdits.apply(from, edit);
    const edited = done({ kind: 'ticket', ticket: next });
    expect([edited.tape, rowsOf(edited.keymap)]).toEqual([[draft.tape[0], next], [['undo', 'F9']]]);
    const moved = done({ kind: 'move', cursor: 2 });
    expect([moved.tape, rowsOf(moved.keymap), moved.state.cursor]).toEqual([draft.tape, [['undo', 'F4']], 2]);
    expect(rowsOf(done({ kind: 'keep' }).kept)).toEqual([['undo', 'F3']]);
    const lost = { ...draft, state: { ...draft.state, keptCursor: null } };
    expect(done({ kind: 'discard' }, lost).tape.at(-1)?.title).toBe(BACK_TO_KEPT);
  });

  it('starts an empty tape where the factory keymap was edited', () => {
    const draft = { ...draftOf(view({ factory: true })), tape: [] };
    const next = ticket(change(['F3'], ['F9']));
    const made = draftEdits.apply(draft, { kind: 'ticket', ticket: next });
    expect([made.tape, made.state.factory, made.state.unnamed]).toEqual([[next], false, true]);
  });

  it('takes what the server answers where it is another than was foreseen, and what is the same as it was shown', () => {
    const draft = draftOf(view({ cursor: 1 }));
    const next = ticket(change(['F3'], ['F9']));
    const answer = foresee(draft, { kind: 'ticket', ticket: next });
    const foreseen = draftEdits.apply(draft, { kind: 'ticket', ticket: next });
    if (!answer) throw new Error('Nothing was foreseen.');
    const follows = followDraft(draft, { ...answer, state: { ...answer.state, name: 'Renamed' } }, foreseen);
    expect([follows.keymap, follows.tape]).toEqual([foreseen.keymap, foreseen.tape]);
    expect([follows.keymap === foreseen.keymap, follows.tape === foreseen.tape, follows.state.name]).toEqual([
      true,
      true,
      'Renamed',
    ]);
    const other = followDraft(draft, { ...answer, changes: [change(['F3'], ['F8'])] }, foreseen);
    expect(rowsOf(other.keymap)).toEqual([['undo', 'F8']]);
  });

  it('goes along a tape of which only the newest tickets are here, and tells the place where it goes beyond them', () => {
    const draft = draftOf({ ...view({ cursor: 11 }), earlier: 10 });
    expect(tapeLengthOf(draft)).toBe(12);
    const forth = draftEdits.apply(draft, { kind: 'move', cursor: 12 });
    expect([rowsOf(forth.keymap), forth.state.cursor, forth.earlier]).toEqual([[['undo', 'F4']], 12, 10]);
    const back = draftEdits.apply(draft, { kind: 'move', cursor: 3 });
    expect([rowsOf(back.keymap), back.state.cursor]).toEqual([[['undo', 'F3']], 3]);
    const next = ticket(change(['F3'], ['F9']));
    const after = draftEdits.apply(back, { kind: 'ticket', ticket: next });
    expect([after.tape, after.earlier, tapeLengthOf(after)]).toEqual([[next], 3, 4]);
    const all = Array.from({ length: 12 }, () => next);
    expect(tapeLengthOf(withWholeTape(draft, all))).toBe(12);
  });

  it('stays as it is where what is asked does not fit it, or can’t be told before the server says it', () => {
    const draft = draftOf(view({ cursor: 1 }));
    const locked = { ...draft, state: { ...draft.state, locked: true } };
    const edits: readonly (readonly [Draft, DraftEdit])[] = [
      [draft, { kind: 'ticket', ticket: ticket(change(['F8'], ['F9'])) }],
      [draft, { kind: 'move', cursor: 3 }],
      [draft, { kind: 'keep as new', name: 'Other', owner: '' }],
      [locked, { kind: 'ticket', ticket: ticket(change(['F3'], ['F9'])) }],
      [locked, { kind: 'move', cursor: 0 }],
    ];
    for (const [from, edit] of edits) expect(draftEdits.apply(from, edit)).toBe(from);
  });
});

describe('an edit of a draft that was changed elsewhere', () => {
  const before = draftOf(view({ cursor: 1 }));
  const withKeys = (command: string, chord: string): Draft => ({
    ...before,
    keymap: applyTicket(before.keymap, {
      title: '',
      changes: [{ command, before: before.keymap.bindings.get(command) ?? [], after: [{ chord }] }],
    }),
  });
  const edit: DraftEdit = { kind: 'ticket', ticket: ticket(change(['F3'], ['F9'])) };

  it('goes on where nothing of its own was touched, and not where its command or its keys were', () => {
    expect(draftEdits.meets(edit, before, withKeys('redo', 'F5'))).toBe(false);
    expect(draftEdits.meets(edit, before, withKeys('undo', 'F5'))).toBe(true);
    expect(draftEdits.meets(edit, before, withKeys('redo', 'F9'))).toBe(true);
    expect(draftEdits.meets({ kind: 'move', cursor: 0 }, before, withKeys('redo', 'F5'))).toBe(true);
    expect(draftEdits.meets({ kind: 'lock', locked: true }, before, withKeys('undo', 'F5'))).toBe(false);
  });
});
