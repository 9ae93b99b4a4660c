import { type CountEdit, countEdits } from '@/core/advice/countEdits';
import { type WishEdit, wishEdits } from '@/core/advice/wishEdits';
import type { WishList } from '@/core/advice/wishList';
import { type TickEdit, tickEdits } from '@/core/changeList/tickEdits';
import type { Said } from '@/core/counterpart/knownPairs';
import { type SayEdit, sayEdits } from '@/core/counterpart/sayEdits';
import { type Chosen, type ChosenEdit, chosenEdits } from '@/core/finder/chosen';
import { type Draft, draftOf, followDraft } from '@/core/keymap/draft';
import { type DraftEdit, draftEdits } from '@/core/keymap/draftEdits';
import type { DoneBefore, DraftAnswer, KeymapView } from '@/core/keymap/keymapView';
import { type FormEdit, formEdits, type KeptForm } from '@/core/ownForm/formEdits';
import { type ProgramEdit, programEdits } from '@/core/program/programEdits';
import type { ProgramView } from '@/core/program/programView';
import type { Settings } from '@/core/settings/settings';
import { type SheetEdit, sheetEdits } from '@/core/sheet/sheetEdits';
import type { KeptSheet } from '@/core/sheet/sheetsView';
import type { SaidLink } from '@/core/succession/link';
import type { Answers } from '@/core/succession/succeed';
import { type AnswerEdit, answerEdits, type LinkEdit, linkEdits } from '@/core/succession/successionEdits';
import { fieldEdits, startingAs, wholeEdits } from '@/core/sync/edits';
import type { EditMark, Versioned } from '@/core/sync/versioned';
import type { Derivation, MatchPlan } from '@/core/transfer/matchPlan';
import { type RoomEdit, roomEdits } from '@/core/workspace/roomEdits';
import type { RoomState, RoomView } from '@/core/workspace/roomView';
import type { Said as Spelled } from '@/core/writeBack/spelling';
import { ask } from '../shell/api';
import type { Way } from './createKept';

const patch = 'PATCH' as const;
/** The mark of an edit whose body says itself what it was made on. */
const keyed = (key: string | undefined): EditMark => (key === undefined ? {} : { key });

export const ticksWay = (keymap: number, from: number): Way<readonly string[], TickEdit> => ({
  ...tickEdits,
  send: (_, ticks, mark) => ask(patch, `/api/keymaps/${keymap}/ticks`, { from, ticks }, true, undefined, mark),
});

export const wishesWay = (keymap: number, start: WishList): Way<WishList | null, WishEdit> => ({
  ...startingAs(start, wishEdits),
  send: (_, list, mark) => ask(patch, `/api/keymaps/${keymap}/wishes`, list ?? start, true, undefined, mark),
});

export const usesWay = (keymap: number): Way<Readonly<Record<string, number>>, CountEdit> => ({
  ...countEdits,
  send: (edit, _, mark) => ask(patch, `/api/keymaps/${keymap}/uses`, edit, true, undefined, mark),
});

export const chosenWay = (keymap: number): Way<Chosen, ChosenEdit> => ({
  ...chosenEdits,
  send: (edit, _, mark) => ask(patch, `/api/keymaps/${keymap}/chosen`, edit, true, undefined, mark),
});

export const planWay = (
  keymap: number,
  source: number,
  start: MatchPlan,
): Way<MatchPlan | null, Partial<MatchPlan>> => ({
  ...startingAs(start, fieldEdits<MatchPlan>()),
  send: (_, plan, mark) =>
    ask(patch, `/api/keymaps/${keymap}/match`, { source, plan: plan ?? start }, true, undefined, mark),
});

export const derivationWay = (keymap: number): Way<Derivation | null, Derivation | null> => ({
  ...wholeEdits<Derivation | null>(),
  send: (edit, _, mark) => ask(patch, `/api/keymaps/${keymap}/derivation`, edit ?? {}, true, undefined, mark),
});

export const saidWay: Way<readonly Said[], SayEdit> = {
  ...sayEdits,
  send: (edit, _, mark) => ask('POST', '/api/counterparts', edit, true, undefined, mark),
};

export const linksWay = (program: string): Way<readonly SaidLink[], LinkEdit> => ({
  ...linkEdits,
  send: (_, said, mark) => ask(patch, `/api/programs/${program}/succession`, { said }, true, undefined, mark),
});

export const answersWay = (keymap: number, to: string): Way<Answers, AnswerEdit> => ({
  ...answerEdits,
  send: (_, answers, mark) => ask(patch, `/api/keymaps/${keymap}/answers`, { to, answers }, true, undefined, mark),
});

export const settingsWay: Way<Settings, Partial<Settings>> = {
  ...fieldEdits<Settings>(),
  send: (edit, _, mark) => ask(patch, '/api/settings', edit, true, undefined, mark),
};

const draftNow = async (id: number): Promise<Versioned<Draft>> => {
  const value = draftOf(await ask<KeymapView>('GET', `/api/keymaps/${id}/view`));
  return { revision: value.state.revision, value };
};

/** Where an edit of a draft is sent, and with what. */
function draftAddress(edit: DraftEdit): readonly [what: string, body: object] {
  switch (edit.kind) {
    case 'ticket':
      return ['edits', { ticket: edit.ticket }];
    case 'move':
      return ['tape', { cursor: edit.cursor }];
    case 'keep as new':
      return ['keep-as-new', { name: edit.name, owner: edit.owner }];
    case 'keep':
    case 'discard':
      return [edit.kind, {}];
    case 'lock':
      return ['', { locked: edit.locked }];
  }
}

export const draftWay: Way<Draft, DraftEdit> = {
  ...draftEdits,
  send: async (edit, next, { revision, key }, stored) => {
    const { id } = stored.state;
    const [what, body] = draftAddress(edit);
    if (edit.kind === 'lock') {
      await ask(patch, `/api/keymaps/${id}`, body, true);
      return { revision: stored.state.revision, value: next };
    }
    const answer = await ask<DraftAnswer | DoneBefore>(
      'POST',
      `/api/keymaps/${id}/${what}`,
      { revision, ...body },
      true,
      undefined,
      keyed(key),
    );
    if ('doneOn' in answer) return draftNow(answer.doneOn);
    const value = followDraft(stored, answer, next);
    return { revision: value.state.revision, value };
  },
  now: (stored) => draftNow(stored.state.id),
  same: (one, other) => one.state.id === other.state.id,
};

/** Where an edit of a room is sent, and with what. */
function roomAddress(program: string, edit: RoomEdit): readonly [address: string, body: object] {
  switch (edit.kind) {
    case 'step':
      return [`/api/programs/${program}/room`, { title: edit.title, parts: edit.parts }];
    case 'move':
      return [`/api/programs/${program}/room/steps`, { cursor: edit.cursor }];
    case 'switch':
      return [`/api/workspaces/${edit.workspace}/switch`, {}];
    case 'keep':
      return [`/api/programs/${program}/workspaces`, { name: edit.name, owner: edit.owner, parts: edit.parts }];
    case 'keep over':
      return [`/api/workspaces/${edit.workspace}/keep`, { parts: edit.parts }];
  }
}

/** How a person's room in a program stands, and what is kept there. */
export const roomNow = async (program: string): Promise<Versioned<RoomView>> => {
  const value = await ask<RoomView>('GET', `/api/programs/${program}/room`);
  return { revision: value.state.revision, value };
};

export const roomWay = (program: string): Way<RoomView, RoomEdit> => ({
  ...roomEdits,
  send: async (edit, _, { revision, key }, stored) => {
    const [address, body] = roomAddress(program, edit);
    const given = { person: stored.state.person, revision, ...body };
    const state = await ask<RoomState>('POST', address, given, true, undefined, keyed(key));
    // With a workspace the list of them has changed as well.
    if (edit.kind === 'keep' || edit.kind === 'keep over') return roomNow(program);
    return { revision: state.revision, value: { ...stored, state } };
  },
  now: () => roomNow(program),
  same: (one, other) => one.state.person === other.state.person,
});

export const programWay = (slug: string): Way<ProgramView, ProgramEdit> => ({
  ...programEdits,
  send: async (edit, { program }, { revision, key }) => {
    const { contexts, rules, commands } = program;
    const [what, body] =
      edit.kind === 'undo'
        ? ['undo', { revision }]
        : ['facts', { revision, title: edit.title, facts: { contexts, rules, commands } }];
    const address = `/api/programs/${slug}/${what}`;
    const value = await ask<ProgramView>('POST', address, body, true, undefined, keyed(key));
    return { revision: value.revision, value };
  },
});

export const formsWay = (program: string): Way<readonly KeptForm[], FormEdit> => ({
  ...formEdits,
  send: (edit, _, mark) =>
    edit.kind === 'keep'
      ? ask('POST', `/api/programs/${program}/own-forms`, edit.form, true, undefined, mark)
      : ask(patch, `/api/own-forms/${edit.id}`, edit.change, true, undefined, mark),
});

export const spellingWay = (file: number): Way<Spelled, Partial<Spelled>> => ({
  ...fieldEdits<Spelled>(),
  send: (_, said, mark) => ask(patch, `/api/source-files/${file}/said`, said, true, undefined, mark),
});

export const sheetsWay = (keymap: number): Way<readonly KeptSheet[], SheetEdit> => ({
  ...sheetEdits,
  send: (edit, _, mark) =>
    edit.kind === 'keep'
      ? ask('POST', `/api/keymaps/${keymap}/sheets`, { name: edit.name, spec: edit.spec }, true, undefined, mark)
      : ask(patch, `/api/sheets/${edit.id}`, edit.change, true, undefined, mark),
});
