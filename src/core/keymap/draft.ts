import type { DraftState, KeymapView } from '../view/views';
import { type Keymap, keymapOf } from './keymap';
import { applyTicket, type Ticket } from './ticket';

/** A draft as a screen holds it: the bindings now, as kept and as the factory's, and the tape. */
export type Draft = {
  readonly state: DraftState;
  readonly keymap: Keymap;
  readonly kept: Keymap;
  readonly factory: Keymap;
  readonly tape: readonly Ticket[];
};

/** The draft that a view of the server describes. */
export function draftOf(view: KeymapView): Draft {
  const keymap = keymapOf(view.bindings, view.spares);
  return {
    state: view.draft,
    keymap,
    kept: applyTicket(keymap, { title: '', changes: view.toKept }),
    factory: applyTicket(keymap, { title: '', changes: view.toFactory }),
    tape: view.tape,
  };
}

/** What was done: a ticket put on the tape, a move along it, or a keeping that makes the draft what is kept. */
export type Done =
  | { readonly kind: 'ticket'; readonly ticket: Ticket }
  | { readonly kind: 'moved' }
  | { readonly kind: 'kept' };

/** The draft after the server confirmed what was done. */
export function followDraft(draft: Draft, done: Done, state: DraftState): Draft {
  const keymap = applyTicket(draft.keymap, { title: '', changes: state.changes });
  // An edit of the factory keymap starts a keymap of one's own with an empty tape.
  const applied = draft.state.factory ? [] : draft.tape.slice(0, draft.state.cursor);
  const added = state.cursor > applied.length && done.kind === 'moved' && draft.tape.length < state.cursor;
  return {
    ...draft,
    state,
    keymap,
    kept: done.kind === 'kept' ? keymap : draft.kept,
    tape:
      done.kind === 'ticket'
        ? [...applied, done.ticket]
        : added
          ? [...draft.tape, { title: 'Back to what was kept', changes: state.changes }]
          : draft.tape,
  };
}
