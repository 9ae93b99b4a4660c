import type { Transaction } from 'sequelize';
import { slugs } from '../../core/text/slug';
import type { RoomStep, Workspace } from '../../core/workspace/room';
import { Problem } from '../../schemas/problem';
import { change, insert, select } from './rows';

export type RoomRow = {
  id: number;
  program_id: number;
  /** Whose room it is; empty for those who don't say. */
  person: string;
  contents: string;
  /** The workspace switched to or kept last. */
  workspace_id: number | null;
  /** Counts every change; an edit names the one it was made on. */
  revision: number;
  /** How many steps are applied; the ones after it have been undone. */
  cursor: number;
};
export type WorkspaceRow = {
  id: number;
  program_id: number;
  slug: string;
  name: string;
  owner: string;
  put_away_at: string | null;
  last_used_at: string | null;
  created_at: string;
};
export type VersionRow = { workspace_id: number; number: number; contents: string; kept_at: string };
/** A step of a room, and which workspace it stood as before and after. */
export type StoredStep = RoomStep & { readonly workspaces: readonly [before: number | null, after: number | null] };

/** A person's room in a program; null where nothing was ever changed. */
export async function findRoom(programId: number, person: string, transaction?: Transaction): Promise<RoomRow | null> {
  const [row] = await select<RoomRow>(
    'SELECT * FROM rooms WHERE program_id = :programId AND person = :person',
    { programId, person },
    transaction,
  );
  return row ?? null;
}

/** Stores a room that was never changed before. */
export async function insertRoom(
  programId: number,
  person: string,
  contents: Workspace,
  transaction: Transaction,
): Promise<RoomRow> {
  const values = { contents: JSON.stringify(contents), workspace_id: null, revision: 0, cursor: 0 };
  const id = await insert('rooms', { program_id: programId, person, ...values }, transaction);
  return { id, program_id: programId, person, ...values };
}

/** Writes how a room stands, one revision on. */
export async function writeRoom(
  id: number,
  contents: Workspace,
  workspace: number | null,
  cursor: number,
  transaction: Transaction,
): Promise<void> {
  await change(
    `UPDATE rooms SET contents = :contents, workspace_id = :workspace, cursor = :cursor, revision = revision + 1
     WHERE id = :id`,
    { id, contents: JSON.stringify(contents), workspace, cursor },
    transaction,
  );
}

/** Every step of a room, applied ones and undone ones. */
export async function loadSteps(roomId: number, transaction?: Transaction): Promise<StoredStep[]> {
  const rows = await select<{
    title: string;
    before: string;
    after: string;
    workspace_before: number | null;
    workspace_after: number | null;
  }>('SELECT * FROM room_steps WHERE room_id = :roomId ORDER BY position', { roomId }, transaction);
  return rows.map((row) => ({
    title: row.title,
    before: JSON.parse(row.before) as Workspace,
    after: JSON.parse(row.after) as Workspace,
    workspaces: [row.workspace_before, row.workspace_after],
  }));
}

/** Adds a step after the applied ones; undone steps beyond it fall off. */
export async function appendRoomStep(
  roomId: number,
  position: number,
  step: StoredStep,
  now: string,
  transaction: Transaction,
): Promise<void> {
  await change(
    'DELETE FROM room_steps WHERE room_id = :roomId AND position > :position',
    { roomId, position },
    transaction,
  );
  await insert(
    'room_steps',
    {
      room_id: roomId,
      position: position + 1,
      title: step.title,
      before: JSON.stringify(step.before),
      after: JSON.stringify(step.after),
      workspace_before: step.workspaces[0],
      workspace_after: step.workspaces[1],
      created_at: now,
    },
    transaction,
  );
}

/** Every workspace of a program, as they were made. */
export function listWorkspaces(programId: number, transaction?: Transaction): Promise<WorkspaceRow[]> {
  return select<WorkspaceRow>(
    'SELECT * FROM workspaces WHERE program_id = :programId ORDER BY id',
    { programId },
    transaction,
  );
}

/** A workspace by its number; @throws Problem when there is none. */
export async function workspaceById(id: number, transaction?: Transaction): Promise<WorkspaceRow> {
  const [row] = await select<WorkspaceRow>('SELECT * FROM workspaces WHERE id = :id', { id }, transaction);
  if (!row) throw new Problem('not found', 'This workspace is no longer there. Choose another.');
  return row;
}

/** Every version of the workspaces of a program, the newest first. */
export function listVersions(programId: number): Promise<VersionRow[]> {
  return select<VersionRow>(
    `SELECT v.* FROM workspace_versions v JOIN workspaces w ON w.id = v.workspace_id
     WHERE w.program_id = :programId ORDER BY v.number DESC`,
    { programId },
  );
}

/** A version of a workspace, the newest unless a number is given. @throws Problem when there is none. */
export async function loadVersion(
  id: number,
  number: number | null,
  transaction?: Transaction,
): Promise<{ readonly number: number; readonly contents: Workspace }> {
  const [row] = await select<VersionRow>(
    `SELECT * FROM workspace_versions WHERE workspace_id = :id AND (:number IS NULL OR number = :number)
     ORDER BY number DESC LIMIT 1`,
    { id, number },
    transaction,
  );
  if (!row) throw new Problem('not found', 'This version of the workspace is not there.');
  return { number: row.number, contents: JSON.parse(row.contents) as Workspace };
}

/** Stores a new workspace with its first version. */
export async function insertWorkspace(
  given: { readonly programId: number; readonly name: string; readonly owner: string; readonly contents: Workspace },
  now: string,
  transaction: Transaction,
): Promise<WorkspaceRow> {
  const taken = await listWorkspaces(given.programId, transaction);
  const slug = slugs(taken.map((row) => row.slug))(given.name);
  const values = {
    program_id: given.programId,
    slug,
    name: given.name,
    owner: given.owner,
    put_away_at: null,
    last_used_at: null,
    created_at: now,
  };
  const id = await insert('workspaces', values, transaction);
  await insertVersion(id, given.contents, now, transaction);
  return { id, ...values };
}

/** Keeps contents as a workspace's next version. */
export async function insertVersion(
  id: number,
  contents: Workspace,
  now: string,
  transaction: Transaction,
): Promise<void> {
  await change(
    `INSERT INTO workspace_versions (workspace_id, number, contents, kept_at)
     SELECT :id, coalesce(max(number), 0) + 1, :contents, :now FROM workspace_versions WHERE workspace_id = :id`,
    { id, contents: JSON.stringify(contents), now },
    transaction,
  );
}

/** Renames a workspace, changes whose it is, puts it away or back, notes that it was used. */
export async function updateWorkspace(
  id: number,
  values: { name?: string; owner?: string; put_away_at?: string | null; last_used_at?: string },
  transaction: Transaction,
): Promise<void> {
  const names = Object.keys(values) as (keyof typeof values)[];
  if (names.length === 0) return;
  const set = names.map((name) => `${name} = :${name}`).join(', ');
  await change(`UPDATE workspaces SET ${set} WHERE id = :id`, { id, ...values }, transaction);
}
