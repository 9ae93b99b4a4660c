import type { Transaction } from 'sequelize';
import { compareKeymaps } from '../../core/keymap/compareKeymaps';
import { BACK_TO_KEPT } from '../../core/keymap/draftEdits';
import { holds, type Keymap } from '../../core/keymap/keymap';
import type { DoneBefore, DraftAnswer, DraftState } from '../../core/keymap/keymapView';
import {
  applyTicket,
  type Change,
  invertTicket,
  replayTickets,
  type Ticket,
  TicketMismatch,
} from '../../core/keymap/ticket';
import { formOf } from '../../core/program/formOf';
import { DEFAULT_RULES } from '../../core/program/program';
import type { EditMark } from '../../core/sync/versioned';
import { changedElsewhere, Problem } from '../../schemas/problem';
import { now } from '../clock';
import { fileStamp, inTransaction, together } from '../database';
import { doneBefore, noteDone } from '../repositories/inStep';
import {
  advance,
  appendTicket,
  bindingsOfRow,
  factoryRow,
  freeSlug,
  insertKeymap,
  insertRevision,
  type KeymapRow,
  keptCursor,
  keymapById,
  leaveAside,
  loadBindings,
  loadKept,
  loadTape,
  loadUndone,
  rememberAfter,
  tapeLength,
  updateKeymap,
  writeChanges,
} from '../repositories/keymaps';
import { rulesFor } from '../repositories/programs';

export function draftState(row: KeymapRow, keptCursor: number | null): DraftState {
  const { id, slug, name, owner, factory, unnamed, locked, revision, cursor, leftAside } = row;
  return { id, slug, name, owner, factory, unnamed, locked, revision, cursor, leftAside, keptCursor };
}

/** What an edit did to the bindings, and to the tape if not all of it stays as it was. */
type Did = {
  /** The keymap after it. */
  readonly row: KeymapRow;
  readonly changes?: readonly Change[];
  readonly tape?: DraftAnswer['tape'];
  readonly keeps?: boolean;
  /** Where on the tape it was kept, where that is known without asking. */
  readonly kept?: number | null;
  /** Whether the edit is remembered as done already. */
  readonly noted?: true;
};

/**
 * Does an edit of a draft if nobody has changed it since what the edit was made on, and once however often it is sent.
 * @param read what the work needs of the file whatever the keymap turns out to be: every wait for the file is one in which
 * nobody else can write, so that as much as can be is asked for at once.
 * @throws Problem "changed elsewhere", and "not allowed" where the keymap is locked.
 */
async function editDraft<Read = undefined>(
  id: number,
  { revision, key }: EditMark,
  work: (row: KeymapRow, transaction: Transaction, read: Read) => Promise<Did>,
  read?: (transaction: Transaction) => Promise<Read>,
): Promise<DraftAnswer | DoneBefore> {
  let remember = (): void => {};
  const answer = await inTransaction(async (transaction) => {
    const [before, row, given] = await together(
      doneBefore(key, transaction),
      keymapById(id, transaction),
      read?.(transaction) ?? Promise.resolve(undefined as Read),
      // Asked for later by whoever remembers.
      fileStamp(),
    );
    if (before) return { doneOn: before.doneOn ?? id };
    mustBe(row, revision);
    const did = await work(row, transaction, given);
    const { row: after, changes = [], keeps = false, tape } = did;
    const [kept, length, next] = await together(
      did.kept === undefined ? keptCursor(after.id, transaction) : Promise.resolve(did.kept),
      tape ? Promise.resolve(0) : tapeLength(after.id, transaction),
      after.id === row.id ? rememberAfter(row, after, changes, keeps) : Promise.resolve(remember),
      did.noted ? Promise.resolve() : noteDone(key, transaction, after.id),
    );
    remember = next;
    return { state: draftState(after, kept), changes, tape: tape ?? { stays: length, added: null }, keeps };
  });
  remember();
  return answer;
}

function mustBe(row: KeymapRow, revision: number | undefined): void {
  if (row.locked)
    throw new Problem('not allowed', `“${row.name}” is locked. Unlock it first, or keep your changes as a new keymap.`);
  if (row.revision !== revision) {
    throw changedElsewhere(`“${row.name}” was`, { revision: row.revision });
  }
}

/**
 * Puts a ticket on the tape of a keymap. On the factory keymap, which can't be edited, it starts a new unnamed keymap
 * with the factory's keys and puts the ticket there.
 * @throws Problem when the draft has moved on, or the ticket does not fit it or the program.
 */
export function editKeymap(id: number, mark: EditMark, ticket: Ticket): Promise<DraftAnswer | DoneBefore> {
  const touched = touchedBy([ticket]);
  const read = (transaction: Transaction) =>
    together(loadBindings(id, transaction, touched), keptCursor(id, transaction));
  return editDraft(
    id,
    mark,
    async (given, transaction, [keymap, kept]) => {
      let row = given;
      const [taken, undone] = await together(
        rulesFor(row.versionId, touched, transaction),
        loadUndone(row.id, row.cursor, transaction),
      );
      mustFit(row, keymap, ticket);
      await refuseUnknown(row, ticket, transaction, taken);
      if (row.factory) {
        const start = {
          programId: row.programId,
          versionId: row.versionId,
          name: 'Unnamed keymap',
          owner: '',
          unnamed: true,
          keymap: await loadBindings(row.id, transaction),
        };
        row = await insertKeymap(start, transaction);
        return putOnTape(row, ticket, transaction, []);
      }
      const did = putOnTape(row, ticket, transaction, undone, () => noteDone(mark.key, transaction, row.id));
      return { ...(await did), noted: true, kept: kept !== null && kept > row.cursor ? null : kept };
    },
    read,
  );
}

/**
 * A ticket done and on the tape; tickets that were undone are left aside.
 * @param besides what is written with it.
 */
export async function putOnTape(
  row: KeymapRow,
  ticket: Ticket,
  transaction: Transaction,
  undone: readonly Ticket[],
  besides: () => Promise<void> = () => Promise.resolve(),
): Promise<Did> {
  const { changes, ...added } = ticket;
  await leaveAside(row.id, row.cursor, undone, transaction);
  const [moved] = await together(
    advance(row, row.cursor + 1, transaction, row.leftAside + undone.length),
    writeChanges(row.id, changes, transaction),
    appendTicket(row.id, row.cursor, ticket, transaction),
    besides(),
  );
  return { row: moved, changes, tape: { stays: row.cursor, added } };
}

/** The commands that tickets touch: all of a keymap that these need to be judged by. */
const touchedBy = (tickets: readonly Ticket[]): readonly string[] => [
  ...new Set(tickets.flatMap((ticket) => ticket.changes.map((one) => one.command))),
];

/** The keymap after a ticket. @throws Problem when the ticket does not fit it. */
export function mustFit(row: KeymapRow, keymap: Keymap, ticket: Ticket): Keymap {
  try {
    return applyTicket(keymap, ticket);
  } catch (error) {
    if (error instanceof TicketMismatch)
      throw new Problem('changed elsewhere', error.message, { revision: row.revision });
    throw error;
  }
}

/** Refuses a ticket that names unknown commands, or gives keys that the program does not take. @throws Problem */
export async function refuseUnknown(
  row: KeymapRow,
  ticket: Ticket,
  transaction: Transaction,
  given?: Awaited<ReturnType<typeof rulesFor>>,
): Promise<void> {
  const touched = touchedBy([ticket]);
  const { rules = DEFAULT_RULES, kinds } = given ?? (await rulesFor(row.versionId, touched, transaction));
  const fixed = new Set(rules.fixed.map((one) => one.chord));
  let factory: Keymap | null = null;
  for (const { command, before, after } of ticket.changes) {
    const kind = kinds.get(command);
    if (kind === undefined) throw new Problem('not valid', `This program has no command “${command}”.`);
    for (const { chord } of after) {
      const taken = (!chord.includes(' ') || rules.sequences) && rules.forms[kind].includes(formOf(chord));
      // What it had, or came with, it may have again, whatever was said of the program since.
      if (taken || before.some((one) => one.chord === chord)) continue;
      factory ??= await loadBindings((await factoryRow(row.versionId, transaction)).id, transaction, touched);
      if (!holds(factory, command, chord))
        throw new Problem('not allowed', `This program takes no such keys as ${chord} for this kind of command.`);
    }
    const had = new Set(before.map((binding) => binding.chord));
    const has = new Set(after.map((binding) => binding.chord));
    const moved = [...had, ...has].find((chord) => fixed.has(chord) && had.has(chord) !== has.has(chord));
    if (moved)
      throw new Problem('not allowed', `The program itself keeps ${moved}; it can be neither given nor taken.`);
  }
}

/** Goes to another place on the tape: back is undo, forward is redo, each ticket by its exact inverse. */
export function moveOnTape(id: number, mark: EditMark, cursor: number): Promise<DraftAnswer | DoneBefore> {
  return editDraft(id, mark, (row, transaction) => moveTo(row, cursor, transaction));
}

async function moveTo(row: KeymapRow, cursor: number, transaction: Transaction): Promise<Did> {
  const { id } = row;
  if (cursor < 0 || cursor > (await tapeLength(id, transaction)))
    throw new Problem('not valid', 'The tape does not reach that far.');
  const back = cursor < row.cursor;
  const tape = await loadTape(id, transaction, Math.min(cursor, row.cursor), Math.max(cursor, row.cursor));
  const steps = back ? tape.reverse().map(invertTicket) : tape;
  const from = await loadBindings(id, transaction, touchedBy(tape));
  const to = replayTickets(from, steps);
  const changes = compareKeymaps(from, to);
  await writeChanges(id, changes, transaction);
  return { row: await advance(row, cursor, transaction), changes };
}

/** Keeps the draft as the keymap's next version. */
export function keepKeymap(id: number, mark: EditMark): Promise<DraftAnswer | DoneBefore> {
  return editDraft(id, mark, async (row, transaction) => {
    if (row.factory)
      throw new Problem('not allowed', 'The factory keymap stays as it is. Keep your changes as a new keymap.');
    if (row.unnamed)
      throw new Problem('not valid', 'This keymap has no name yet. Keep it as a new keymap and give it one.');
    await insertRevision(id, await loadBindings(id, transaction), row.cursor, transaction);
    return { row: await advance(row, row.cursor, transaction, 0), keeps: true };
  });
}

/**
 * Keeps the draft as a keymap of its own under a name. An unnamed keymap takes the name itself; from a named one a new
 * keymap is made, with the tape, and the old one goes back to what was kept of it.
 */
export function keepAsNew(id: number, mark: EditMark, name: string, owner: string): Promise<DraftAnswer | DoneBefore> {
  return editDraft(id, mark, async (row, transaction) => {
    const keymap = await loadBindings(id, transaction);
    if (row.unnamed) {
      const slug = await freeSlug(row.programId, name, transaction);
      const named = { name, owner, slug, unnamed: false };
      await updateKeymap(id, named, transaction);
      await insertRevision(id, keymap, row.cursor, transaction);
      return { row: { ...(await advance(row, row.cursor, transaction, 0)), ...named }, keeps: true };
    }
    const tape = await loadTape(id, transaction, 0, row.cursor);
    const made = await insertKeymap(
      { programId: row.programId, versionId: row.versionId, name, owner, keymap, tape },
      transaction,
    );
    if (!row.factory) await backToKept(row, transaction);
    return { row: made, keeps: true };
  });
}

/** Discards the draft: back to what was last kept, in a way that redo or undo brings it back. */
export function discardDraft(id: number, mark: EditMark): Promise<DraftAnswer | DoneBefore> {
  return editDraft(id, mark, backToKept);
}

async function backToKept(row: KeymapRow, transaction: Transaction): Promise<Did> {
  const kept = await loadKept(row.id, transaction);
  if (kept.cursor !== null) return moveTo(row, kept.cursor, transaction);
  // The tape no longer leads to what was kept, so one ticket does.
  const changes = compareKeymaps(await loadBindings(row.id, transaction), kept.keymap);
  if (changes.length === 0) return { row };
  const undone = await loadUndone(row.id, row.cursor, transaction);
  return putOnTape(row, { title: BACK_TO_KEPT, changes }, transaction, undone);
}

/** A copy of a keymap as its draft stands, under a name of its own. */
export function duplicateKeymap(id: number, name: string, owner: string): Promise<DraftState> {
  return inTransaction(async (transaction) => {
    const row = await keymapById(id, transaction);
    const keymap = await loadBindings(row.id, transaction);
    const made = await insertKeymap(
      { programId: row.programId, versionId: row.versionId, name, owner, keymap },
      transaction,
    );
    return draftState(made, made.cursor);
  });
}

/** Renames a keymap, says whose it is, or puts it away or back. The factory keymap keeps its name and its place. */
export function changeKeymap(
  id: number,
  wish: { name?: string; owner?: string; putAway?: boolean; locked?: boolean },
): Promise<void> {
  return inTransaction(async (transaction) => {
    const row = await keymapById(id, transaction);
    if (row.factory)
      throw new Problem('not allowed', 'The factory keymap stays as it is. Duplicate it to make one of your own.');
    await updateKeymap(
      id,
      {
        ...(wish.name === undefined ? {} : { name: wish.name, unnamed: false }),
        ...(wish.owner === undefined ? {} : { owner: wish.owner }),
        ...(wish.locked === undefined ? {} : { locked: wish.locked }),
        ...(wish.putAway === undefined ? {} : { putAwayAt: wish.putAway ? now() : null }),
      },
      transaction,
    );
  });
}

/** The factory keymap that a keymap's pins are told apart by. */
export async function factoryOf(row: KeymapRow) {
  return bindingsOfRow(await factoryRow(row.versionId));
}
