import { type Attributes, Op, type Transaction } from 'sequelize';
import { slugs } from '../../core/text/slug';
import type { RoomStep, Workspace } from '../../core/workspace/room';
import { Problem } from '../../schemas/problem';
import { now } from '../clock';
import { models, within } from '../models/models';
import type { RoomModel, WorkspaceModel, WorkspaceVersionModel } from '../models/workspaces';
import { plain } from './rows';

export type RoomRow = Attributes<RoomModel>;
export type WorkspaceRow = Attributes<WorkspaceModel>;
export type VersionRow = Attributes<WorkspaceVersionModel>;
/** A step of a room, and which workspace it stood as before and after. */
export type StoredStep = RoomStep & { readonly workspaces: readonly [before: number | null, after: number | null] };

/** A person's room in a program; null where nothing was ever changed. */
export async function findRoom(programId: number, person: string, transaction?: Transaction): Promise<RoomRow | null> {
  const { Room } = await models();
  const row = await Room.findOne({ where: { programId, person }, ...within(transaction) });
  return row && plain(row);
}

/** Stores a room that was never changed before. */
export async function insertRoom(
  programId: number,
  person: string,
  contents: Workspace,
  transaction: Transaction,
): Promise<RoomRow> {
  const { Room } = await models();
  const start = { programId, person, contents, workspaceId: null, revision: 0, cursor: 0 };
  return plain(await Room.create(start, { transaction }));
}

/** Writes how a room stands, one revision on. */
export async function writeRoom(
  id: number,
  contents: Workspace,
  workspaceId: number | null,
  cursor: number,
  transaction: Transaction,
): Promise<void> {
  const { Room } = await models();
  await Room.update({ contents, workspaceId, cursor }, { where: { id }, transaction });
  await Room.increment('revision', { where: { id }, transaction });
}

/** Every step of a room, applied ones and undone ones. */
export async function loadSteps(roomId: number, transaction?: Transaction): Promise<StoredStep[]> {
  const { RoomStep } = await models();
  const rows = await RoomStep.findAll({ where: { roomId }, order: ['position'], ...within(transaction) });
  return rows.map(({ title, before, after, workspaceBefore, workspaceAfter }) => {
    return { title, before, after, workspaces: [workspaceBefore, workspaceAfter] };
  });
}

/** Adds a step after the applied ones; undone steps beyond it fall off. */
export async function appendRoomStep(
  roomId: number,
  position: number,
  { title, before, after, workspaces: [workspaceBefore, workspaceAfter] }: StoredStep,
  transaction: Transaction,
): Promise<void> {
  const { RoomStep } = await models();
  await RoomStep.destroy({ where: { roomId, position: { [Op.gt]: position } }, transaction });
  const step = { title, before, after, workspaceBefore, workspaceAfter };
  await RoomStep.create({ roomId, position: position + 1, ...step, createdAt: now() }, { transaction });
}

/** Every workspace of a program, as they were made. */
export async function listWorkspaces(programId: number, transaction?: Transaction): Promise<WorkspaceRow[]> {
  const { Workspace } = await models();
  return (await Workspace.findAll({ where: { programId }, order: ['id'], ...within(transaction) })).map(plain);
}

/** A workspace by its number; @throws Problem when there is none. */
export async function workspaceById(id: number, transaction?: Transaction): Promise<WorkspaceRow> {
  const { Workspace } = await models();
  const row = await Workspace.findByPk(id, within(transaction));
  if (!row) throw new Problem('not found', 'This workspace is no longer there. Choose another.');
  return plain(row);
}

/** Every version of the workspaces of a program, the newest first. */
export async function listVersions(programId: number): Promise<VersionRow[]> {
  const { Workspace, WorkspaceVersion } = await models();
  const rows = await WorkspaceVersion.findAll({
    include: { model: Workspace, as: 'workspace', attributes: [], where: { programId }, required: true },
    order: [['number', 'DESC']],
    ...within(undefined),
  });
  return rows.map(plain);
}

/** A version of a workspace, the newest unless a number is given. @throws Problem when there is none. */
export async function loadVersion(
  id: number,
  number: number | null,
  transaction?: Transaction,
): Promise<{ readonly number: number; readonly contents: Workspace }> {
  const { WorkspaceVersion } = await models();
  const row = await WorkspaceVersion.findOne({
    where: { workspaceId: id, ...(number === null ? {} : { number }) },
    order: [['number', 'DESC']],
    ...within(transaction),
  });
  if (!row) throw new Problem('not found', 'This version of the workspace is not there.');
  return plain(row);
}

/** Stores a new workspace with its first version. */
export async function insertWorkspace(
  given: { readonly programId: number; readonly name: string; readonly owner: string; readonly contents: Workspace },
  transaction: Transaction,
): Promise<WorkspaceRow> {
  const { Workspace } = await models();
  const { programId, name, owner, contents } = given;
  const taken = await listWorkspaces(programId, transaction);
  const slug = slugs(taken.map((row) => row.slug))(name);
  const row = await Workspace.create(
    { programId, slug, name, owner, putAwayAt: null, lastUsedAt: null, createdAt: now() },
    { transaction },
  );
  await insertVersion(row.id, contents, transaction);
  return plain(row);
}

/** Keeps contents as a workspace's next version. */
export async function insertVersion(id: number, contents: Workspace, transaction: Transaction): Promise<void> {
  const { WorkspaceVersion } = await models();
  const last = await WorkspaceVersion.max<number | null, WorkspaceVersionModel>('number', {
    where: { workspaceId: id },
    transaction,
  });
  await WorkspaceVersion.create({ workspaceId: id, number: (last ?? 0) + 1, contents, keptAt: now() }, { transaction });
}

/** Renames a workspace, changes whose it is, puts it away or back, notes that it was used. */
export async function updateWorkspace(
  id: number,
  values: Partial<Pick<WorkspaceRow, 'name' | 'owner' | 'putAwayAt' | 'lastUsedAt'>>,
  transaction: Transaction,
): Promise<void> {
  const { Workspace } = await models();
  await Workspace.update(values, { where: { id }, transaction });
}
