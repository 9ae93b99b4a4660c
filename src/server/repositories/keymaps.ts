import { type Attributes, Op, type Transaction } from 'sequelize';
import type { FileDraft } from '../../core/file/belongings';
import { type Tally, tallyAfter, tallyOf } from '../../core/keymap/inBrief';
import { type Binding, type Keymap, keymapOf, rowsOf } from '../../core/keymap/keymap';
import type { LeftAside } from '../../core/keymap/keymapView';
import { afterChanges, type Change, type Ticket } from '../../core/keymap/ticket';
import { slugs } from '../../core/text/slug';
import type { WholeKeymap } from '../../core/whole/whole';
import { changedElsewhere, Problem } from '../../schemas/problem';
import { now } from '../clock';
import type { KeymapModel, RevisionModel } from '../models/keymaps';
import { models, within } from '../models/models';
import { remembering } from './remembering';
import { among, canBeNamed, inParts, insertMany, plain, readMany } from './rows';

export type KeymapRow = Attributes<KeymapModel>;

/** Every keymap of a program, the factory's first, then as they were made. */
export async function listKeymaps(programId: number, transaction?: Transaction): Promise<KeymapRow[]> {
  const { Keymap } = await models();
  const rows = await Keymap.findAll({
    where: { programId },
    order: [['factory', 'DESC'], 'id'],
    ...within(transaction),
  });
  return rows.map(plain);
}

/** A keymap by its address; @throws Problem when there is none. */
export async function findKeymap(programId: number, slug: string): Promise<KeymapRow> {
  const { Keymap } = await models();
  const row = canBeNamed(slug) ? await Keymap.findOne({ where: { programId, slug }, ...within(undefined) }) : null;
  if (!row) throw new Problem('not found', `There is no keymap at this address (${slug}). Choose one on the Shelf.`);
  return plain(row);
}

/** A keymap by its number; @throws Problem when there is none. */
export async function keymapById(id: number, transaction?: Transaction): Promise<KeymapRow> {
  const { Keymap } = await models();
  const row = await Keymap.findByPk(id, within(transaction));
  if (!row) throw new Problem('not found', 'This keymap is no longer there. Choose another on the Shelf.');
  return plain(row);
}

/** The factory keymap of a version. */
export async function factoryRow(versionId: number, transaction?: Transaction): Promise<KeymapRow> {
  const { Keymap } = await models();
  const row = await Keymap.findOne({ where: { versionId, factory: true }, ...within(transaction) });
  if (!row) throw new Problem('not found', 'The factory keymap of this version is missing.');
  return plain(row);
}

type BindingRow = readonly [id: number, command: string, chord: string, keeper: 0 | 1, hook: string];

/**
 * What the draft of a keymap holds now, or of it the commands named; for the factory keymap, what it always holds.
 */
export async function loadBindings(
  keymapId: number,
  transaction?: Transaction,
  commands?: readonly string[],
): Promise<Keymap> {
  const { Binding, Spare } = await models();
  const where = { keymapId, ...among(commands) };
  const [rows, spares] = await Promise.all([
    readMany<BindingRow>(Binding, ['id', 'command', 'chord', 'keeper', 'hook'], where, transaction),
    Spare.findAll({ attributes: ['command'], where, order: ['id'], raw: true, ...within(transaction) }),
  ]);
  return keymapOf(
    rows.map(([, command, chord, keeper, hook]) => [command, chord, keeper === 1, hook]),
    spares.map((row) => row.command),
  );
}

const rememberBindings = remembering<Keymap>('bindings', 64);

/** What the draft of a keymap holds at its revision. */
export const bindingsOfRow = ({ id, revision }: Pick<KeymapRow, 'id' | 'revision'>): Promise<Keymap> =>
  rememberBindings.read(`${id} ${revision}`, () => loadBindings(id));

const rememberTally = remembering<Tally>('tallies', 64);

/** What is counted of the draft of a keymap at its revision, and whether it had to be counted for this. */
export async function tallyOfRow(row: KeymapRow): Promise<{ readonly tally: Tally; readonly counted: boolean }> {
  let counted = false;
  const tally = await rememberTally.read(`${row.id} ${row.revision}`, async () => {
    counted = true;
    const factory = await bindingsOfRow(await factoryRow(row.versionId));
    return tallyOf(await bindingsOfRow(row), factory, (await loadKept(row.id)).keymap);
  });
  return { tally, counted };
}

/** Within an edit: @returns what remembers the draft after it, to be called when the edit is stored. */
export async function rememberAfter(
  before: KeymapRow,
  after: KeymapRow,
  changes: readonly Change[],
  keeps: boolean,
): Promise<() => void> {
  const names = [`${before.id} ${before.revision}`, `${after.id} ${after.revision}`] as const;
  const [nextBindings, nextTally] = [await rememberBindings.next(...names), await rememberTally.next(...names)];
  return () => {
    const keymap = nextBindings((one) => afterChanges(one, changes));
    // What was kept is what is counted against.
    if (!keymap || keeps) return;
    const touched = changes.map(({ command }) => command);
    nextTally((one) => tallyAfter(one, keymap, touched));
  };
}

export type Kept = {
  readonly number: number;
  readonly keymap: Keymap;
  readonly cursor: number | null;
  readonly keptAt: string;
};

const keptOf = ({ number, bindings, spares, cursor, keptAt }: RevisionModel): Kept => ({
  number,
  keymap: keymapOf(bindings, spares),
  cursor,
  keptAt,
});

/** Every kept version of a keymap, the newest first. */
export async function listKept(keymapId: number, transaction?: Transaction): Promise<Kept[]> {
  const { Revision } = await models();
  const rows = await Revision.findAll({ where: { keymapId }, order: [['number', 'DESC']], ...within(transaction) });
  return rows.map(keptOf);
}

/** The last kept version; `cursor` is where on the tape it was kept, if the tape still leads there. */
export async function loadKept(keymapId: number, transaction?: Transaction): Promise<Kept> {
  const { Revision } = await models();
  const last = await Revision.findOne({
    attributes: ['id', 'number', 'cursor', 'keptAt'],
    where: { keymapId },
    order: [['number', 'DESC']],
    ...within(transaction),
  });
  if (!last) throw new Problem('not found', 'This keymap has never been kept.');
  const { id, number, cursor, keptAt } = last;
  const keymap = await rememberKept.read(`${id}`, async () => {
    const row = await Revision.findByPk(id, { attributes: ['bindings', 'spares'], ...within(transaction) });
    return keymapOf(row?.bindings ?? [], row?.spares ?? []);
  });
  return { number, keymap, cursor, keptAt };
}
const rememberKept = remembering<Keymap>('kept', 24);

/** Where on the tape a keymap was kept last, if the tape still leads there. */
export async function keptCursor(keymapId: number, transaction?: Transaction): Promise<number | null> {
  const { Revision } = await models();
  const row = await Revision.findOne({
    attributes: ['cursor'],
    where: { keymapId },
    order: [['number', 'DESC']],
    ...within(transaction),
  });
  return row?.cursor ?? null;
}

type TicketRow = readonly [position: number, title: string, changes: string, pulled: string | null];

/** The tape, applied tickets and undone ones; of it, where so asked, what lies after one place and up to another. */
export async function loadTape(
  keymapId: number,
  transaction?: Transaction,
  after = 0,
  upTo = Number.MAX_SAFE_INTEGER,
): Promise<Ticket[]> {
  const { Ticket } = await models();
  const where = { keymapId, position: { [Op.gt]: after, [Op.lte]: upTo } };
  const rows = await readMany<TicketRow>(Ticket, ['position', 'title', 'changes', 'pulled'], where, transaction);
  return rows.map(([, title, changes, pulled]) => ({
    title,
    changes: JSON.parse(changes) as Change[],
    ...(pulled === null ? {} : { pulled: JSON.parse(pulled) as number[] }),
  }));
}

/** How many tickets the tape has, applied ones and undone ones. */
export async function tapeLength(keymapId: number, transaction?: Transaction): Promise<number> {
  const { Ticket } = await models();
  return Ticket.count({ where: { keymapId }, ...within(transaction) });
}

export type NewKeymap = {
  readonly programId: number;
  readonly versionId: number;
  readonly name: string;
  readonly owner: string;
  readonly factory?: boolean;
  readonly unnamed?: boolean;
  readonly keymap: Keymap;
  /** The applied tickets it comes with, if any. */
  readonly tape?: readonly Ticket[];
  /** How it became so, where that is known. */
  readonly draft?: FileDraft;
};

/** Stores a new keymap; unless it is said how it became so, it is kept as its first version. */
export async function insertKeymap(given: NewKeymap, transaction: Transaction): Promise<KeymapRow> {
  const { Keymap } = await models();
  const { programId, versionId, name, owner, factory = false, unnamed = false, keymap, tape = [] } = given;
  const state = { bindings: rowsOf(keymap), spares: [...keymap.spares] };
  const draft = given.draft ?? {
    tape: tape.map((one) => ({ ...one, createdAt: now() })),
    cursor: tape.length,
    kept: [{ ...state, cursor: tape.length, keptAt: now() }],
    leftAside: [],
  };
  const row = await Keymap.create(
    {
      programId,
      versionId,
      slug: await freeSlug(programId, name, transaction),
      name,
      owner,
      factory,
      unnamed,
      revision: 1,
      cursor: draft.cursor,
      leftAside: ticketsAside(draft),
      putAwayAt: null,
      lastUsedAt: null,
      createdAt: now(),
    },
    { transaction },
  );
  await insertKeymapState(row.id, { ...draft, rows: state.bindings, spares: state.spares }, transaction);
  return plain(row);
}

/** How many tickets were left aside. */
export const ticketsAside = ({ leftAside }: Pick<WholeKeymap, 'leftAside'>): number =>
  leftAside.reduce((sum, one) => sum + one.tickets.length, 0);

/** Stores what a keymap is and how it became so, where nothing of that is stored yet. */
export async function insertKeymapState(
  keymapId: number,
  { rows, spares, tape, kept, leftAside }: Omit<FileDraft, 'cursor'> & Pick<WholeKeymap, 'rows' | 'spares'>,
  transaction: Transaction,
): Promise<void> {
  const { Binding, Spare, Ticket, Revision, LeftAside } = await models();
  const bindings = [...keymapOf(rows).bindings].flatMap(([command, list]) => bindingRows(keymapId, command, list));
  await insertMany(Binding, bindings, transaction);
  await insertMany(
    Spare,
    [...new Set(spares)].map((command) => ({ keymapId, command })),
    transaction,
  );
  await insertMany(
    Ticket,
    tape.map(({ pulled = null, ...one }, i) => ({ ...one, pulled, keymapId, position: i + 1 })),
    transaction,
  );
  // A factory keymap can't be changed once it is kept, so this comes last.
  await insertMany(
    Revision,
    kept.map((one, i) => ({ ...one, keymapId, number: i + 1 })),
    transaction,
  );
  await insertMany(
    LeftAside,
    leftAside.map((one) => ({ ...one, keymapId })),
    transaction,
  );
}

/** An address in the program that no other keymap has. */
export async function freeSlug(programId: number, name: string, transaction: Transaction): Promise<string> {
  const taken = await listKeymaps(programId, transaction);
  return slugs(taken.map((row) => row.slug))(name);
}

/** Keeps the given state as the keymap's next version; what was left aside on the way there is gone. */
export async function insertRevision(
  keymapId: number,
  keymap: Keymap,
  cursor: number,
  transaction: Transaction,
): Promise<void> {
  const { Revision, LeftAside } = await models();
  await LeftAside.destroy({ where: { keymapId }, transaction });
  const last = await Revision.max<number | null, RevisionModel>('number', { where: { keymapId }, transaction });
  await Revision.create(
    { keymapId, number: (last ?? 0) + 1, bindings: rowsOf(keymap), spares: [...keymap.spares], cursor, keptAt: now() },
    { transaction },
  );
}

/**
 * Moves the draft on by one revision, if nobody else has. @returns the keymap then.
 * @throws Problem "changed elsewhere" when the draft is no longer at the revision the edit was made on.
 */
export async function advance(
  row: KeymapRow,
  cursor: number,
  transaction: Transaction,
  leftAside = row.leftAside,
): Promise<KeymapRow> {
  const { Keymap } = await models();
  const moved = { revision: row.revision + 1, cursor, leftAside, lastUsedAt: now() };
  // One statement that compares and sets, so that nobody comes in between.
  const [changed] = await Keymap.update(moved, { where: { id: row.id, revision: row.revision }, transaction });
  if (changed !== 1) {
    throw changedElsewhere(`${row.name} was`, { revision: row.revision });
  }
  return { ...row, ...moved };
}

/** Writes what changes leave each command with. */
export async function writeChanges(
  keymapId: number,
  changes: readonly Change[],
  transaction: Transaction,
): Promise<void> {
  const { Binding, Spare } = await models();
  const named = (some: readonly Change[]) => ({ keymapId, command: some.map((one) => one.command) });
  await inParts(changes, (some) => Binding.destroy({ where: named(some), transaction }));
  await insertMany(
    Binding,
    changes.flatMap(({ command, after }) => bindingRows(keymapId, command, after)),
    transaction,
  );
  const told = changes.filter(({ spare }) => spare !== undefined);
  if (told.length === 0) return;
  await inParts(told, (some) => Spare.destroy({ where: named(some), transaction }));
  const spares = told.flatMap(({ command, spare }) => (spare?.[1] ? [{ keymapId, command }] : []));
  await insertMany(Spare, spares, transaction);
}

const bindingRows = (keymapId: number, command: string, bindings: readonly Binding[]) =>
  bindings.map(({ chord, keeper = false, hook = '' }, position) => {
    return { keymapId, command, chord, keeper, hook, position };
  });

const ticketRow = (keymapId: number, position: number, { title, changes, pulled }: Ticket) => {
  return { keymapId, position, title, changes: [...changes], pulled: pulled ? [...pulled] : null, createdAt: now() };
};

/** Puts a ticket on the tape after the applied ones, of which there are so many. */
export async function appendTicket(
  keymapId: number,
  position: number,
  ticket: Ticket,
  transaction: Transaction,
): Promise<void> {
  const { Ticket } = await models();
  await Ticket.create(ticketRow(keymapId, position + 1, ticket), { transaction });
}

/** The undone tickets of a tape, those after a place: mostly there are none, which is soon known. */
export async function loadUndone(keymapId: number, position: number, transaction: Transaction): Promise<Ticket[]> {
  const { Ticket } = await models();
  const where = { keymapId, position: { [Op.gt]: position } };
  const first = await Ticket.findOne({ attributes: ['id'], where, raw: true, transaction });
  return first === null ? [] : loadTape(keymapId, transaction, position);
}

/** Takes undone tickets, those after a place, off the tape and keeps them beside it. */
export async function leaveAside(
  keymapId: number,
  position: number,
  tickets: readonly Ticket[],
  transaction: Transaction,
): Promise<void> {
  if (tickets.length === 0) return;
  const { Ticket, Revision, LeftAside } = await models();
  await LeftAside.create({ keymapId, tickets, leftAt: now() }, { transaction });
  await Ticket.destroy({ where: { keymapId, position: { [Op.gt]: position } }, transaction });
  // What was kept among them is no longer to be found on the tape.
  await Revision.update({ cursor: null }, { where: { keymapId, cursor: { [Op.gt]: position } }, transaction });
}

/** What was left aside since a keymap was last kept, the newest first. */
export async function listLeftAside(keymapId: number): Promise<LeftAside[]> {
  const { LeftAside } = await models();
  const rows = await LeftAside.findAll({ where: { keymapId }, order: [['id', 'DESC']], ...within(undefined) });
  return rows.map(({ tickets, leftAt }) => ({ tickets, leftAt }));
}

/** Renames a keymap, changes whose it is, puts it away or back, notes that it was used. */
export async function updateKeymap(
  id: number,
  values: Partial<Pick<KeymapRow, 'name' | 'slug' | 'owner' | 'unnamed' | 'locked' | 'putAwayAt' | 'lastUsedAt'>>,
  transaction: Transaction,
): Promise<void> {
  const { Keymap } = await models();
  await Keymap.update(values, { where: { id }, transaction });
}
