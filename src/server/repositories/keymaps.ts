import type { Transaction } from 'sequelize';
import { type Binding, type Keymap, keymapOf, type Row, rowsOf } from '../../core/keymap/keymap';
import type { Change, Ticket } from '../../core/keymap/ticket';
import { slugs } from '../../core/text/slug';
import { Problem } from '../../schemas/problem';
import { change, insert, insertMany, select } from './rows';

export type KeymapRow = {
  id: number;
  program_id: number;
  version_id: number;
  slug: string;
  name: string;
  owner: string;
  factory: 0 | 1;
  unnamed: 0 | 1;
  /** A locked keymap takes no edits until it is unlocked. */
  locked: 0 | 1;
  /** Counts every change of the draft; an edit names the one it was made on. */
  revision: number;
  /** How many tickets of the tape are applied; the ones after it have been undone. */
  cursor: number;
  put_away_at: string | null;
  last_used_at: string | null;
  created_at: string;
};

/** Every keymap of a program, the factory's first, then as they were made. */
export function listKeymaps(programId: number, transaction?: Transaction): Promise<KeymapRow[]> {
  return select<KeymapRow>(
    'SELECT * FROM keymaps WHERE program_id = :programId ORDER BY factory DESC, id',
    { programId },
    transaction,
  );
}

/** A keymap by its address; @throws Problem when there is none. */
export async function findKeymap(programId: number, slug: string): Promise<KeymapRow> {
  const [row] = await select<KeymapRow>('SELECT * FROM keymaps WHERE program_id = :programId AND slug = :slug', {
    programId,
    slug,
  });
  if (!row) throw new Problem('not found', `There is no keymap at this address (${slug}). Choose one on the Shelf.`);
  return row;
}

/** A keymap by its number; @throws Problem when there is none. */
export async function keymapById(id: number, transaction?: Transaction): Promise<KeymapRow> {
  const [row] = await select<KeymapRow>('SELECT * FROM keymaps WHERE id = :id', { id }, transaction);
  if (!row) throw new Problem('not found', 'This keymap is no longer there. Choose another on the Shelf.');
  return row;
}

/** The factory keymap of a version. */
export async function factoryRow(versionId: number, transaction?: Transaction): Promise<KeymapRow> {
  const [row] = await select<KeymapRow>(
    'SELECT * FROM keymaps WHERE version_id = :versionId AND factory = 1',
    { versionId },
    transaction,
  );
  if (!row) throw new Problem('not found', 'The factory keymap of this version is missing.');
  return row;
}

/** What the draft of a keymap holds now; for the factory keymap, what it always holds. */
export async function loadBindings(keymapId: number, transaction?: Transaction): Promise<Keymap> {
  const rows = await select<{ command: string; chord: string; keeper: 0 | 1; hook: string }>(
    'SELECT command, chord, keeper, hook FROM bindings WHERE keymap_id = :keymapId ORDER BY id',
    { keymapId },
    transaction,
  );
  const spares = await select<{ command: string }>(
    'SELECT command FROM spares WHERE keymap_id = :keymapId ORDER BY id',
    { keymapId },
    transaction,
  );
  return keymapOf(
    rows.map((row): Row => [row.command, row.chord, row.keeper === 1, row.hook]),
    spares.map((row) => row.command),
  );
}

export type Kept = {
  readonly number: number;
  readonly keymap: Keymap;
  readonly cursor: number | null;
  readonly keptAt: string;
};
type RevisionRow = { number: number; bindings: string; spares: string; cursor: number | null; kept_at: string };

function keptOf(row: RevisionRow): Kept {
  const keymap = keymapOf(JSON.parse(row.bindings) as Row[], JSON.parse(row.spares) as string[]);
  return { number: row.number, keymap, cursor: row.cursor, keptAt: row.kept_at };
}

/** Every kept version of a keymap, the newest first. */
export async function listKept(keymapId: number, transaction?: Transaction): Promise<Kept[]> {
  const rows = await select<RevisionRow>(
    'SELECT number, bindings, spares, cursor, kept_at FROM revisions WHERE keymap_id = :keymapId ORDER BY number DESC',
    { keymapId },
    transaction,
  );
  return rows.map(keptOf);
}

/** The last kept version; `cursor` is where on the tape it was kept, if the tape still leads there. */
export async function loadKept(keymapId: number, transaction?: Transaction): Promise<Kept> {
  const [row] = await select<RevisionRow>(
    'SELECT number, bindings, spares, cursor, kept_at FROM revisions WHERE keymap_id = :keymapId ORDER BY number DESC LIMIT 1',
    { keymapId },
    transaction,
  );
  if (!row) throw new Problem('not found', 'This keymap has never been kept.');
  return keptOf(row);
}

/** The whole tape, applied tickets and undone ones. */
export async function loadTape(keymapId: number, transaction?: Transaction): Promise<Ticket[]> {
  const rows = await select<{ title: string; changes: string; pulled: string | null }>(
    'SELECT title, changes, pulled FROM tickets WHERE keymap_id = :keymapId ORDER BY position',
    { keymapId },
    transaction,
  );
  return rows.map((row) => ({
    title: row.title,
    changes: JSON.parse(row.changes) as Change[],
    ...(row.pulled === null ? {} : { pulled: JSON.parse(row.pulled) as number[] }),
  }));
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
};

/** Stores a new keymap, kept as its first version. */
export async function insertKeymap(given: NewKeymap, now: string, transaction: Transaction): Promise<KeymapRow> {
  const slug = await freeSlug(given.programId, given.name, transaction);
  const id = await insert(
    'keymaps',
    {
      program_id: given.programId,
      version_id: given.versionId,
      slug,
      name: given.name,
      owner: given.owner,
      factory: given.factory ? 1 : 0,
      unnamed: given.unnamed ? 1 : 0,
      locked: 0,
      revision: 1,
      cursor: given.tape?.length ?? 0,
      put_away_at: null,
      last_used_at: null,
      created_at: now,
    },
    transaction,
  );
  const rows = [...given.keymap.bindings].flatMap(([command, bindings]) => bindingRows(id, command, bindings));
  await insertMany('bindings', rows, transaction);
  await insertMany(
    'spares',
    [...given.keymap.spares].map((command) => ({ keymap_id: id, command })),
    transaction,
  );
  const tickets = (given.tape ?? []).map((one, i) => ticketRow(id, i + 1, one, now));
  await insertMany('tickets', tickets, transaction);
  await insertRevision(id, given.keymap, tickets.length, now, transaction);
  return keymapById(id, transaction);
}

/** An address in the program that no other keymap has. */
export async function freeSlug(programId: number, name: string, transaction: Transaction): Promise<string> {
  const taken = await listKeymaps(programId, transaction);
  return slugs(taken.map((row) => row.slug))(name);
}

/** Keeps the given state as the keymap's next version. */
export async function insertRevision(
  keymapId: number,
  keymap: Keymap,
  cursor: number,
  now: string,
  transaction: Transaction,
): Promise<void> {
  await change(
    `INSERT INTO revisions (keymap_id, number, bindings, spares, cursor, kept_at)
     SELECT :keymapId, coalesce(max(number), 0) + 1, :bindings, :spares, :cursor, :now FROM revisions WHERE keymap_id = :keymapId`,
    { keymapId, bindings: JSON.stringify(rowsOf(keymap)), spares: JSON.stringify([...keymap.spares]), cursor, now },
    transaction,
  );
}

/**
 * Moves the draft on by one revision, if nobody else has.
 * @throws Problem "changed elsewhere" when the draft is no longer at the revision the edit was made on.
 */
export async function advance(
  row: KeymapRow,
  revision: number,
  cursor: number,
  now: string,
  transaction: Transaction,
): Promise<number> {
  const changed = await change(
    'UPDATE keymaps SET revision = revision + 1, cursor = :cursor, last_used_at = :now WHERE id = :id AND revision = :revision',
    { id: row.id, revision, cursor, now },
    transaction,
  );
  if (changed !== 1) {
    throw new Problem(
      'changed elsewhere',
      `${row.name} was changed in another window. Nothing of yours is lost: look at the newer state, then make your step again.`,
      { revision: row.revision },
    );
  }
  return revision + 1;
}

/** Writes what changes leave each command with. */
export async function writeChanges(
  keymapId: number,
  changes: readonly Change[],
  transaction: Transaction,
): Promise<void> {
  for (const { command, after, spare } of changes) {
    await change(
      'DELETE FROM bindings WHERE keymap_id = :keymapId AND command = :command',
      { keymapId, command },
      transaction,
    );
    await insertMany('bindings', bindingRows(keymapId, command, after), transaction);
    if (spare?.[1]) await insertMany('spares', [{ keymap_id: keymapId, command }], transaction);
    else if (spare)
      await change(
        'DELETE FROM spares WHERE keymap_id = :keymapId AND command = :command',
        { keymapId, command },
        transaction,
      );
  }
}

const bindingRows = (keymapId: number, command: string, bindings: readonly Binding[]) =>
  bindings.map(({ chord, keeper, hook }, position) => {
    return { keymap_id: keymapId, command, chord, keeper: keeper ? 1 : 0, hook: hook ?? '', position };
  });

const ticketRow = (keymapId: number, position: number, ticket: Ticket, now: string) => ({
  keymap_id: keymapId,
  position,
  title: ticket.title,
  changes: JSON.stringify(ticket.changes),
  pulled: ticket.pulled ? JSON.stringify(ticket.pulled) : null,
  created_at: now,
});

/** Puts a ticket on the tape after the applied ones; undone tickets beyond it fall off. */
export async function appendTicket(
  keymapId: number,
  position: number,
  ticket: Ticket,
  now: string,
  transaction: Transaction,
): Promise<void> {
  await change(
    'DELETE FROM tickets WHERE keymap_id = :keymapId AND position > :position',
    { keymapId, position },
    transaction,
  );
  await change(
    'UPDATE revisions SET cursor = NULL WHERE keymap_id = :keymapId AND cursor > :position',
    { keymapId, position },
    transaction,
  );
  await insert('tickets', ticketRow(keymapId, position + 1, ticket, now), transaction);
}

/** Renames a keymap, changes whose it is, puts it away or back, notes that it was used. */
export async function updateKeymap(
  id: number,
  values: {
    name?: string;
    slug?: string;
    owner?: string;
    unnamed?: 0 | 1;
    locked?: 0 | 1;
    put_away_at?: string | null;
    last_used_at?: string;
  },
  transaction: Transaction,
): Promise<void> {
  const names = Object.keys(values) as (keyof typeof values)[];
  if (names.length === 0) return;
  const set = names.map((name) => `${name} = :${name}`).join(', ');
  await change(`UPDATE keymaps SET ${set} WHERE id = :id`, { id, ...values }, transaction);
}
