import { describe, expect, it } from 'vitest';
import { sampleProgram } from '../testing/sampleProgram';
import type { DraftState, KeymapView } from '../view/views';
import { type Done, draftOf, followDraft } from './draft';
import { rowsOf } from './keymap';
import type { Change, Ticket } from './ticket';

const state = (values: Partial<DraftState>): DraftState => ({
  id: 1,
  slug: 'mine',
  name: 'Mine',
  owner: '',
  factory: false,
  unnamed: false,
  locked: false,
  revision: 1,
  cursor: 0,
  keptCursor: 0,
  changes: [],
  ...values,
});
const change = (before: string[], after: string[]): Change => ({
  command: 'undo',
  before: before.map((chord) => ({ chord })),
  after: after.map((chord) => ({ chord })),
});
const ticket = (one: Change): Ticket => ({ title: 'Undo', changes: [one] });
const view = (values: Partial<DraftState> = {}): KeymapView => ({
  programSlug: 'p',
  program: sampleProgram,
  draft: state(values),
  bindings: [['undo', 'F3']],
  spares: [],
  toKept: [change(['F3'], ['F2'])],
  toFactory: [change(['F3'], ['Mod+Z'])],
  tape: [ticket(change(['F2'], ['F3'])), ticket(change(['F3'], ['F4']))],
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
    const edited = followDraft(
      draft,
      { kind: 'ticket', ticket: next },
      state({ cursor: 2, revision: 2, changes: next.changes }),
    );
    expect([edited.tape, rowsOf(edited.keymap)]).toEqual([[draft.tape[0], next], [['undo', 'F9']]]);
    const moved = followDraft(draft, { kind: 'moved' }, state({ cursor: 2, changes: [change(['F3'], ['F4'])] }));
    expect([moved.tape, rowsOf(moved.keymap)]).toEqual([draft.tape, [['undo', 'F4']]]);
    expect(rowsOf(followDraft(draft, { kind: 'kept' }, state({ cursor: 1 })).kept)).toEqual([['undo', 'F3']]);
    const back: Done = { kind: 'moved' };
    const cut = { ...draft, tape: draft.tape.slice(0, 1) };
    expect(followDraft(cut, back, state({ cursor: 2, changes: [change(['F3'], ['F2'])] })).tape).toHaveLength(2);
  });

  it('starts an empty tape where the factory keymap was edited', () => {
    const draft = { ...draftOf(view({ factory: true })), tape: [] };
    const next = ticket(change(['F3'], ['F9']));
    const made = followDraft(
      draft,
      { kind: 'ticket', ticket: next },
      state({ id: 2, unnamed: true, cursor: 1, changes: next.changes }),
    );
    expect(made.tape).toEqual([next]);
  });
});
