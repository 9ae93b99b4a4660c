import { bindingsOf, type Keymap, keymapOf, sameBindings } from './keymap';
import type { DraftAnswer, DraftState, KeymapView } from './keymapView';
import { applyTicket, type Change, type Ticket } from './ticket';

/** A draft as a screen holds it: the bindings now, as kept and as the factory's, and the tape. */
export type Draft = {
  readonly state: DraftState;
  readonly keymap: Keymap;
  readonly kept: Keymap;
  readonly factory: Keymap;
  /** The newest tickets of the tape, undone ones among them. */
  readonly tape: readonly Ticket[];
  /** So many tickets came before these, which are read when they are asked for. */
  readonly earlier: number;
};

/** How many tickets the whole tape of a draft has, applied ones and undone ones. */
export const tapeLengthOf = ({ tape, earlier }: Pick<Draft, 'tape' | 'earlier'>): number => earlier + tape.length;

/** The draft with all of its tape. @param all every ticket there is. */
export const withWholeTape = (draft: Draft, all: readonly Ticket[]): Draft => ({ ...draft, tape: all, earlier: 0 });

/** The draft that a view of the server describes. */
export function draftOf(view: KeymapView): Draft {
  const keymap = keymapOf(view.bindings, view.spares);
  return {
    state: view.draft,
    keymap,
    kept: applyTicket(keymap, { title: '', changes: view.toKept }),
    factory: applyTicket(keymap, { title: '', changes: view.toFactory }),
    tape: view.tape,
    earlier: view.earlier,
  };
}

/**
 * The draft after the server did an edit of it.
 * @param foreseen what was shown meanwhile; what is the same is taken from it, so that nobody reckons with it anew.
 */
export function followDraft(draft: Draft, { state, changes, tape, keeps }: DraftAnswer, foreseen?: Draft): Draft {
  const as = foreseen && agrees(foreseen, state, changes) ? foreseen : null;
  const keymap = as?.keymap ?? applyTicket(draft.keymap, { title: '', changes });
  const earlier = Math.min(draft.earlier, tape.stays);
  const stays = draft.tape.slice(0, tape.stays - earlier);
  const tickets = tape.added ? [...stays, { ...tape.added, changes }] : stays;
  return {
    ...draft,
    state,
    keymap,
    kept: keeps ? keymap : draft.kept,
    earlier,
    tape: as && sameTitles(as.tape, tickets) ? as.tape : tickets,
  };
}

/** Whether the keys of a draft are what an answer's changes lead to; the edit that was foreseen changed no others. */
const agrees = ({ state: at, keymap }: Draft, state: DraftState, changes: readonly Change[]): boolean =>
  at.cursor === state.cursor &&
  at.revision === state.revision &&
  changes.every(
    ({ command, after, spare }) =>
      sameBindings(bindingsOf(keymap, command), after) && (!spare || keymap.spares.has(command) === spare[1]),
  );
const sameTitles = (a: readonly Ticket[], b: readonly Ticket[]): boolean =>
  a.length === b.length && a.every((one, i) => one.title === b[i]?.title);
