import type { Transaction } from 'sequelize';
import { compareKeymaps } from '../../core/keymap/compareKeymaps';
import { holds, type Keymap } from '../../core/keymap/keymap';
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
import type { DraftState } from '../../core/view/views';
import { Problem } from '../../schemas/problem';
import { now } from '../clock';
import { inTransaction } from '../database';
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
  loadBindings,
  loadKept,
  loadTape,
  tapeLength,
  updateKeymap,
  writeChanges,
} from '../repositories/keymaps';
import { rulesFor } from '../repositories/programs';

export function draftState(row: KeymapRow, keptCursor: number | null, changes: readonly Change[]): DraftState {
  return {
    id: row.id,
    slug: row.slug,
    name: row.name,
    owner: row.owner,
    factory: row.factory,
    unnamed: row.unnamed,
    locked: row.locked,
    revision: row.revision,
    cursor: row.cursor,
    keptCursor,
    changes,
  };
}

async function stateNow(id: number, changes: readonly Change[], transaction: Transaction): Promise<DraftState> {
  const row = await keymapById(id, transaction);
  return draftState(row, await keptCursor(id, transaction), changes);
}

function mustBe(row: KeymapRow, revision: number): void {
  if (row.locked)
    throw new Problem('not allowed', `“${row.name}” is locked. Unlock it first, or keep your changes as a new keymap.`);
  if (row.revision !== revision) {
    throw new Problem(
      'changed elsewhere',
      `“${row.name}” was changed in another window. Look at the newer state, then make your step again.`,
      { revision: row.revision },
    );
  }
}

/**
 * Puts a ticket on the tape of a keymap. On the factory keymap, which can't be edited, it starts a new unnamed keymap
 * with the factory's keys and puts the ticket there.
 * @throws Problem when the draft has moved on, or the ticket does not fit it or the program.
 */
export function editKeymap(id: number, revision: number, ticket: Ticket): Promise<DraftState> {
  return inTransaction(async (transaction) => {
    let row = await keymapById(id, transaction);
    mustBe(row, revision);
    mustFit(row, await loadBindings(row.id, transaction, touchedBy([ticket])), ticket);
    await refuseUnknown(row, ticket, transaction);
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
    }
    await writeChanges(row.id, ticket.changes, transaction);
    await appendTicket(row.id, row.cursor, ticket, transaction);
    await advance(row, row.revision, row.cursor + 1, transaction);
    return stateNow(row.id, ticket.changes, transaction);
  });
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
export async function refuseUnknown(row: KeymapRow, ticket: Ticket, transaction: Transaction): Promise<void> {
  const touched = touchedBy([ticket]);
  const { rules = DEFAULT_RULES, kinds } = await rulesFor(row.versionId, touched, transaction);
  const fixed = new Set(rules.fixed.map((one) => one.chord));
  const factory = await loadBindings((await factoryRow(row.versionId, transaction)).id, transaction, touched);
  for (const { command, before, after } of ticket.changes) {
    const kind = kinds.get(command);
    if (kind === undefined) throw new Problem('not valid', `This program has no command “${command}”.`);
    const given = after.find(({ chord }) => {
      // What it had, or came with, it may have again, whatever was said of the program since.
      if (before.some((one) => one.chord === chord) || holds(factory, command, chord)) return false;
      return (chord.includes(' ') && !rules.sequences) || !rules.forms[kind].includes(formOf(chord));
    });
    if (given)
      throw new Problem('not allowed', `This program takes no such keys as ${given.chord} for this kind of command.`);
    const had = new Set(before.map((binding) => binding.chord));
    const has = new Set(after.map((binding) => binding.chord));
    const moved = [...had, ...has].find((chord) => fixed.has(chord) && had.has(chord) !== has.has(chord));
    if (moved)
      throw new Problem('not allowed', `The program itself keeps ${moved}; it can be neither given nor taken.`);
  }
}

/** Goes to another place on the tape: back is undo, forward is redo, each ticket by its exact inverse. */
export function moveOnTape(id: number, revision: number, cursor: number): Promise<DraftState> {
  return inTransaction((transaction) => moveTo(id, revision, cursor, transaction));
}

async function moveTo(id: number, revision: number, cursor: number, transaction: Transaction): Promise<DraftState> {
  const row = await keymapById(id, transaction);
  mustBe(row, revision);
  if (cursor < 0 || cursor > (await tapeLength(id, transaction)))
    throw new Problem('not valid', 'The tape does not reach that far.');
  const back = cursor < row.cursor;
  const tape = await loadTape(id, transaction, Math.min(cursor, row.cursor), Math.max(cursor, row.cursor));
  const steps = back ? tape.reverse().map(invertTicket) : tape;
  const from = await loadBindings(id, transaction, touchedBy(tape));
  const to = replayTickets(from, steps);
  const changes = compareKeymaps(from, to);
  await writeChanges(id, changes, transaction);
  await advance(row, row.revision, cursor, transaction);
  return stateNow(id, changes, transaction);
}

/** Keeps the draft as the keymap's next version. */
export function keepKeymap(id: number, revision: number): Promise<DraftState> {
  return inTransaction(async (transaction) => {
    const row = await keymapById(id, transaction);
    mustBe(row, revision);
    if (row.factory)
      throw new Problem('not allowed', 'The factory keymap stays as it is. Keep your changes as a new keymap.');
    if (row.unnamed)
      throw new Problem('not valid', 'This keymap has no name yet. Keep it as a new keymap and give it one.');
    await insertRevision(id, await loadBindings(id, transaction), row.cursor, transaction);
    await advance(row, row.revision, row.cursor, transaction);
    return stateNow(id, [], transaction);
  });
}

/**
 * Keeps the draft as a keymap of its own under a name. An unnamed keymap takes the name itself; from a named one a new
 * keymap is made, with the tape, and the old one goes back to what was kept of it.
 */
export function keepAsNew(id: number, revision: number, name: string, owner: string): Promise<DraftState> {
  return inTransaction(async (transaction) => {
    const row = await keymapById(id, transaction);
    mustBe(row, revision);
    const keymap = await loadBindings(id, transaction);
    if (row.unnamed) {
      const slug = await freeSlug(row.programId, name, transaction);
      await updateKeymap(id, { name, owner, slug, unnamed: false }, transaction);
      await insertRevision(id, keymap, row.cursor, transaction);
      await advance(row, row.revision, row.cursor, transaction);
      return stateNow(id, [], transaction);
    }
    const tape = await loadTape(id, transaction, 0, row.cursor);
    const made = await insertKeymap(
      { programId: row.programId, versionId: row.versionId, name, owner, keymap, tape },
      transaction,
    );
    if (!row.factory) await backToKept(row, transaction);
    return stateNow(made.id, [], transaction);
  });
}

/** Discards the draft: back to what was last kept, in a way that redo or undo brings it back. */
export function discardDraft(id: number, revision: number): Promise<DraftState> {
  return inTransaction(async (transaction) => {
    const row = await keymapById(id, transaction);
    mustBe(row, revision);
    return backToKept(row, transaction);
  });
}

async function backToKept(row: KeymapRow, transaction: Transaction): Promise<DraftState> {
  const kept = await loadKept(row.id, transaction);
  if (kept.cursor !== null) return moveTo(row.id, row.revision, kept.cursor, transaction);
  // The tape no longer leads to what was kept, so one ticket does.
  const changes = compareKeymaps(await loadBindings(row.id, transaction), kept.keymap);
  if (changes.length === 0) return stateNow(row.id, [], transaction);
  await writeChanges(row.id, changes, transaction);
  await appendTicket(row.id, row.cursor, { title: 'Back to what was kept', changes }, transaction);
  await advance(row, row.revision, row.cursor + 1, transaction);
  return stateNow(row.id, changes, transaction);
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
    return stateNow(made.id, [], transaction);
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
