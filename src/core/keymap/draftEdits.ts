import type { Edits } from '../sync/sync';
import { compareKeymaps } from './compareKeymaps';
import { type Draft, followDraft, tapeLengthOf } from './draft';
import { bindingsOf, sameBindings } from './keymap';
import type { DraftAnswer } from './keymapView';
import { invertTicket, replayTickets, type Ticket } from './ticket';

/** What people do to a draft. */
export type DraftEdit =
  | { readonly kind: 'ticket'; readonly ticket: Ticket }
  /** Back is undo, forth is redo. */
  | { readonly kind: 'move'; readonly cursor: number }
  | { readonly kind: 'keep' }
  | { readonly kind: 'keep as new'; readonly name: string; readonly owner: string }
  | { readonly kind: 'discard' }
  | { readonly kind: 'lock'; readonly locked: boolean };

/** What the way back to what was kept is called where a ticket is needed for it. */
export const BACK_TO_KEPT = 'Back to what was kept';

/** How edits change a draft, and which of them rest on what somebody else has changed. */
export const draftEdits: Edits<Draft, DraftEdit> = {
  apply: (draft, edit) => {
    const answer = foresee(draft, edit);
    return answer ? followDraft(draft, answer) : draft;
  },
  meets: (edit, before, now) => {
    if (edit.kind === 'lock') return false;
    if (edit.kind !== 'ticket' || now.state.locked || now.state.id !== before.state.id) return true;
    const given = new Set(edit.ticket.changes.flatMap((change) => change.after.map((one) => one.chord)));
    const touched = new Set(edit.ticket.changes.map((change) => change.command));
    return compareKeymaps(before.keymap, now.keymap).some(
      (change) => touched.has(change.command) || change.after.some((one) => given.has(one.chord)),
    );
  },
};

/**
 * What the server will answer to an edit, as far as a page can know it; null where it can't be told before, or the edit
 * does not fit the draft and will be refused.
 */
export function foresee(draft: Draft, edit: DraftEdit): DraftAnswer | null {
  const { state } = draft;
  const next = { ...state, revision: state.revision + 1 };
  const same = { changes: [], tape: { stays: tapeLengthOf(draft), added: null }, keeps: false };
  switch (edit.kind) {
    case 'ticket':
      return fits(draft, edit.ticket) ? withTicket(draft, edit.ticket) : null;
    case 'move':
      return moved(draft, edit.cursor);
    case 'keep':
      return state.factory || state.unnamed
        ? null
        : { ...same, state: { ...next, keptCursor: state.cursor, leftAside: 0 }, keeps: true };
    case 'keep as new':
      return null;
    case 'discard': {
      if (state.keptCursor !== null) return moved(draft, state.keptCursor);
      const changes = compareKeymaps(draft.keymap, draft.kept);
      return changes.length === 0 ? { ...same, state } : withTicket(draft, { title: BACK_TO_KEPT, changes });
    }
    case 'lock':
      return { ...same, state: { ...state, locked: edit.locked } };
  }
}

function fits({ keymap, state }: Draft, { changes }: Ticket): boolean {
  return (
    !state.locked &&
    changes.every(
      ({ command, before, spare }) =>
        sameBindings(bindingsOf(keymap, command), before) && (!spare || keymap.spares.has(command) === spare[0]),
    )
  );
}

/** A ticket on the tape; those that were undone are left aside. One on the factory keymap begins a tape of one's own. */
function withTicket(draft: Draft, { changes, ...added }: Ticket): DraftAnswer {
  const { state } = draft;
  const stays = state.factory ? 0 : state.cursor;
  const left = state.factory ? 0 : tapeLengthOf(draft) - stays;
  const { keptCursor } = state;
  return {
    state: {
      ...state,
      ...(state.factory ? { factory: false, unnamed: true, name: 'Unnamed keymap', owner: '' } : {}),
      revision: state.revision + 1,
      cursor: stays + 1,
      leftAside: state.leftAside + left,
      keptCursor: keptCursor !== null && keptCursor > stays ? null : keptCursor,
    },
    changes,
    tape: { stays, added },
    keeps: false,
  };
}

/** Somewhere else on the tape. Where tickets in between are not here, only the place is known before the answer. */
function moved(draft: Draft, cursor: number): DraftAnswer | null {
  const { state, tape, earlier, keymap } = draft;
  if (cursor < 0 || cursor > tapeLengthOf(draft) || state.locked) return null;
  const from = Math.min(cursor, state.cursor) - earlier;
  const between = from < 0 ? [] : tape.slice(from, Math.max(cursor, state.cursor) - earlier);
  const steps = cursor < state.cursor ? [...between].reverse().map(invertTicket) : between;
  const touched = new Set(between.flatMap((ticket) => ticket.changes.map((one) => one.command)));
  const to = replayTickets(keymap, steps);
  return {
    state: { ...state, revision: state.revision + 1, cursor },
    changes: compareKeymaps(keymap, to).filter((one) => touched.has(one.command)),
    tape: { stays: tapeLengthOf(draft), added: null },
    keeps: false,
  };
}
