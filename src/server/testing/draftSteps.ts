import type { DoneBefore, DraftAnswer, DraftState } from '../../core/keymap/keymapView';
import type { Ticket } from '../../core/keymap/ticket';
import * as drafts from '../useCases/editKeymap';

/** The steps of a draft as a test makes them, each on a revision, and where the draft stands after each. */
const state = async (answer: Promise<DraftAnswer | DoneBefore>): Promise<DraftState> => {
  const said = await answer;
  if ('doneOn' in said) throw new Error('Done before.');
  return said.state;
};
export const editKeymap = (id: number, revision: number, ticket: Ticket) =>
  state(drafts.editKeymap(id, { revision }, ticket));
export const moveOnTape = (id: number, revision: number, cursor: number) =>
  state(drafts.moveOnTape(id, { revision }, cursor));
export const keepKeymap = (id: number, revision: number) => state(drafts.keepKeymap(id, { revision }));
export const keepAsNew = (id: number, revision: number, name: string, owner: string) =>
  state(drafts.keepAsNew(id, { revision }, name, owner));
export const discardDraft = (id: number, revision: number) => state(drafts.discardDraft(id, { revision }));
