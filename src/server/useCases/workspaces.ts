import type { Transaction } from 'sequelize';
import type { Program } from '../../core/program/program';
import type { EditMark } from '../../core/sync/versioned';
import { type Dressing, PLAIN_MENUS } from '../../core/workspace/dressing';
import {
  applyWorkspace,
  factoryRoom,
  fitWorkspace,
  PARTS,
  type Part,
  pickParts,
  type Room,
  type RoomStep,
  stepTo,
  type Workspace,
} from '../../core/workspace/room';
import type { RoomState, RoomView, WorkspacesView } from '../../core/workspace/roomView';
import { USUAL_ICONS } from '../../core/workspace/usualIcon';
import { changedElsewhere, Problem } from '../../schemas/problem';
import type { At as AtRevision } from '../../schemas/workspaces';
import { now } from '../clock';
import { inTransaction, ofOneMoment } from '../database';
import { iconsNamed } from '../icons';
import { doneBefore, noteDone } from '../repositories/inStep';
import { bindingsOfRow, factoryRow, type KeymapRow, listKeymaps, updateKeymap } from '../repositories/keymaps';
import { findProgram, loadProgram, type ProgramRow, programById } from '../repositories/programs';
import { listOwners } from '../repositories/shelf';
import {
  appendRoomStep,
  findRoom,
  insertRoom,
  insertVersion,
  insertWorkspace,
  listVersions,
  listWorkspaces,
  loadSteps,
  loadVersion,
  type RoomRow,
  type StoredStep,
  updateWorkspace,
  type WorkspaceRow,
  workspaceById,
  writeRoom,
} from '../repositories/workspaces';
import { loadKeymapViewById } from './screens';
import { loadSettings } from './settings';

/** Whose room an edit is of, what it was made on, and its key. */
type At = AtRevision & Pick<EditMark, 'key'>;

/** A program with what a room of it is made from. */
type Ground = {
  readonly row: ProgramRow;
  readonly program: Program;
  readonly factory: Room;
  readonly keymaps: readonly KeymapRow[];
};

async function groundOf(slug: string, transaction?: Transaction): Promise<Ground> {
  return groundOfRow(await findProgram(slug, transaction), transaction);
}

async function groundOfRow(row: ProgramRow, transaction?: Transaction): Promise<Ground> {
  const keymaps = await listKeymaps(row.id, transaction);
  const versionId = keymaps.find((one) => one.factory)?.versionId ?? 0;
  const { program } = await loadProgram(row, versionId, transaction);
  const factoryKeys = await bindingsOfRow(await factoryRow(versionId, transaction));
  return { row, program, factory: factoryRoom(program, factoryKeys), keymaps };
}

/** The room that is stored, without what the program no longer has; the factory's where nothing is. */
function roomOf({ program, factory }: Ground, row: RoomRow | null): Room {
  return row ? applyWorkspace(factory, fitWorkspace(row.contents, program)) : factory;
}

function stateOf(ground: Ground, person: string, row: RoomRow | null, steps: readonly StoredStep[]): RoomState {
  return {
    person,
    room: roomOf(ground, row),
    workspace: row?.workspaceId ?? null,
    revision: row?.revision ?? 0,
    cursor: row?.cursor ?? 0,
    steps: steps.map((one) => one.title),
  };
}

async function stateNow(ground: Ground, person: string, transaction?: Transaction): Promise<RoomState> {
  const row = await findRoom(ground.row.id, person, transaction);
  return stateOf(ground, person, row, row ? await loadSteps(row.id, transaction) : []);
}

/** The room of a program as the person who sits here has it, and what is kept. @throws Problem when there is no such program. */
export const loadRoom = ofOneMoment(async function loadRoom(slug: string): Promise<RoomView> {
  const { person } = await loadSettings();
  const ground = await groundOf(slug);
  const state = await stateNow(ground, person);
  const versions = await listVersions(ground.row.id);
  const rows = await listWorkspaces(ground.row.id);
  const first = (one: { owner: string }): number => (person !== '' && one.owner === person ? 0 : 1);
  const workspaces = [...rows]
    .sort((a, b) => first(a) - first(b))
    .map((one) => ({
      id: one.id,
      slug: one.slug,
      name: one.name,
      owner: one.owner,
      putAway: one.putAwayAt !== null,
      versions: versions
        .filter((version) => version.workspaceId === one.id)
        .map((version) => ({
          number: version.number,
          keptAt: version.keptAt,
          contents: fitWorkspace(version.contents, ground.program),
        })),
    }));
  const chosen = [state.room, ...workspaces.map((one) => one.versions[0]?.contents)].flatMap(
    (one) => one?.tools?.icons.map(([, icon]) => icon) ?? [],
  );
  return {
    state,
    factory: ground.factory,
    workspaces,
    keymaps: ground.keymaps
      .filter((one) => one.putAwayAt === null || one.id === state.room.keymap)
      .map(({ id, slug: own, name, owner }) => ({ id, slug: own, name, owner })),
    icons: iconsNamed([...USUAL_ICONS, ...chosen]),
  };
});

/** How the menus of a program are dressed, as the person who sits here has them. */
export async function loadDressing(row: ProgramRow, program: Program): Promise<Dressing> {
  const { person } = await loadSettings();
  const room = await findRoom(row.id, person);
  return (room ? fitWorkspace(room.contents, program).menus : undefined) ?? PLAIN_MENUS;
}

/** Everything the Workspaces screen shows of a program. */
export const loadWorkspaces = ofOneMoment(async function loadWorkspaces(slug: string): Promise<WorkspacesView> {
  const roomView = await loadRoom(slug);
  const ground = await groundOf(slug);
  const factory = ground.keymaps.find((one) => one.factory)?.id ?? 0;
  return {
    roomView,
    view: await loadKeymapViewById(roomView.state.room.keymap ?? factory),
    persons: await listPersons(),
  };
});

/** Everybody who owns a keymap or a workspace. */
export async function listPersons(): Promise<string[]> {
  const { person } = await loadSettings();
  return [...new Set([...(await listOwners()), ...(person === '' ? [] : [person])])];
}

type Work = (at: {
  readonly ground: Ground;
  readonly row: RoomRow;
  readonly room: Room;
  readonly transaction: Transaction;
}) => Promise<void>;

/**
 * Does an edit of a room if nobody has changed it since what the edit was made on, and once however often it is sent.
 * @throws Problem "changed elsewhere".
 */
function editInRoom(
  groundIn: (transaction: Transaction) => Promise<Ground>,
  { person, revision, key }: At,
  work: Work,
): Promise<RoomState> {
  return inTransaction(async (transaction) => {
    const ground = await groundIn(transaction);
    if (await doneBefore(key, transaction)) return stateNow(ground, person, transaction);
    const found = await findRoom(ground.row.id, person, transaction);
    if ((found?.revision ?? 0) !== revision)
      throw changedElsewhere(`The workspace of ${ground.row.name} was`, { revision: found?.revision ?? 0 });
    const row = found ?? (await insertRoom(ground.row.id, person, ground.factory, transaction));
    await work({ ground, row, room: roomOf(ground, found), transaction });
    await noteDone(key, transaction);
    return stateNow(ground, person, transaction);
  });
}

async function takeStep(
  ground: Ground,
  row: RoomRow,
  room: Room,
  step: RoomStep,
  workspace: number | null,
  transaction: Transaction,
): Promise<void> {
  const stored: StoredStep = { ...step, workspaces: [row.workspaceId, workspace] };
  await appendRoomStep(row.id, row.cursor, stored, transaction);
  await writeRoom(row.id, applyWorkspace(room, step.after), workspace, row.cursor + 1, transaction);
  const keymap = step.after.keymap;
  // Board and Tryout open with the keymap of the room.
  const id = keymap === null ? ground.keymaps.find((one) => one.factory)?.id : keymap;
  if (id !== undefined) await updateKeymap(id, { lastUsedAt: now() }, transaction);
}

/** Changes some parts of a room, as one step. @throws Problem when it has moved on or speaks of what is not there. */
export function editRoom(slug: string, at: At, title: string, parts: Workspace): Promise<RoomState> {
  return editInRoom(
    (transaction) => groundOf(slug, transaction),
    at,
    async ({ ground, row, room, transaction }) => {
      if (typeof parts.keymap === 'number' && !ground.keymaps.some((one) => one.id === parts.keymap))
        throw new Problem('not valid', 'This keymap belongs to another program.');
      const step = stepTo(room, title, fitWorkspace(parts, ground.program));
      if (step) await takeStep(ground, row, room, step, row.workspaceId, transaction);
    },
  );
}

/** Goes back or forth among the steps of a room. */
export function moveInSteps(slug: string, at: At, cursor: number): Promise<RoomState> {
  return editInRoom(
    (transaction) => groundOf(slug, transaction),
    at,
    async ({ row, room, transaction }) => {
      const steps = await loadSteps(row.id, transaction);
      if (cursor > steps.length) throw new Problem('not valid', 'There is nothing more to redo.');
      let next = room;
      let workspace = row.workspaceId;
      for (let i = row.cursor; i > cursor; i--) {
        next = applyWorkspace(next, steps[i - 1]?.before ?? {});
        workspace = steps[i - 1]?.workspaces[0] ?? null;
      }
      for (let i = row.cursor; i < cursor; i++) {
        next = applyWorkspace(next, steps[i]?.after ?? {});
        workspace = steps[i]?.workspaces[1] ?? null;
      }
      await writeRoom(row.id, next, workspace, cursor, transaction);
    },
  );
}

async function groundOfWorkspace(id: number, transaction: Transaction): Promise<Ground> {
  const { programId } = await workspaceById(id, transaction);
  return groundOfRow(await programById(programId, transaction), transaction);
}

/** Switches a room to a workspace: only the parts that belong to it are applied, as one step. */
export function switchTo(id: number, at: At): Promise<RoomState> {
  return editInRoom(
    (transaction) => groundOfWorkspace(id, transaction),
    at,
    async ({ ground, row, room, transaction }) => {
      const { name } = await workspaceById(id, transaction);
      const { contents } = await loadVersion(id, null, transaction);
      const wanted = fitWorkspace(contents, ground.program);
      const title = `Switch to ${name}`;
      const step = stepTo(room, title, wanted) ?? { title, before: {}, after: {} };
      await takeStep(ground, row, room, step, id, transaction);
      await updateWorkspace(id, { lastUsedAt: now() }, transaction);
    },
  );
}

/** Keeps parts of a room as a new workspace. */
export function keepWorkspace(
  slug: string,
  at: At,
  given: { readonly name: string; readonly owner: string; readonly parts: readonly Part[] },
): Promise<RoomState> {
  return editInRoom(
    (transaction) => groundOf(slug, transaction),
    at,
    async ({ ground, row, room, transaction }) => {
      const contents = pickParts(room, given.parts);
      const made = await insertWorkspace(
        { programId: ground.row.id, name: given.name, owner: given.owner, contents },
        transaction,
      );
      await writeRoom(row.id, room, made.id, row.cursor, transaction);
    },
  );
}

/** Keeps parts of a room over a workspace; what it was stays as an older version. */
export function keepOver(id: number, at: At, parts: readonly Part[]): Promise<RoomState> {
  return editInRoom(
    (transaction) => groundOfWorkspace(id, transaction),
    at,
    async ({ row, room, transaction }) => {
      await insertVersion(id, pickParts(room, parts), transaction);
      await writeRoom(row.id, room, id, row.cursor, transaction);
    },
  );
}

/** Makes an older version of a workspace its newest again; the room stays as it is. */
export function backToVersion(id: number, number: number): Promise<void> {
  return inTransaction(async (transaction) => {
    const { contents } = await loadVersion(id, number, transaction);
    await insertVersion(id, contents, transaction);
  });
}

/** Renames a workspace, says whose it is, puts it away or back. */
export function changeWorkspace(
  id: number,
  wish: { readonly name?: string; readonly owner?: string; readonly putAway?: boolean },
): Promise<void> {
  return inTransaction(async (transaction) => {
    await workspaceById(id, transaction);
    await updateWorkspace(
      id,
      {
        ...(wish.name === undefined ? {} : { name: wish.name }),
        ...(wish.owner === undefined ? {} : { owner: wish.owner }),
        ...(wish.putAway === undefined ? {} : { putAwayAt: wish.putAway ? now() : null }),
      },
      transaction,
    );
  });
}

/** A copy of a workspace under a name of its own. */
export function duplicateWorkspace(id: number, name: string, owner: string): Promise<WorkspaceRow> {
  return inTransaction(async (transaction) => {
    const { programId } = await workspaceById(id, transaction);
    const { contents } = await loadVersion(id, null, transaction);
    return insertWorkspace({ programId, name, owner, contents: pickParts(contents, PARTS) }, transaction);
  });
}
