import type { Transaction } from 'sequelize';
import { InconsistentFile, type NamedKeymap } from '../../core/file/keymapFile';
import {
  fromWorkspaceFile,
  type NamedWorkspace,
  toWorkspaceFile,
  type WorkspaceFile,
} from '../../core/file/workspaceFile';
import { compareKeymaps } from '../../core/keymap/compareKeymaps';
import type { Workspace } from '../../core/workspace/room';
import { Problem } from '../../schemas/problem';
import { inTransaction, ofOneMoment } from '../database';
import { type Asker, readApart } from '../reading/readApart';
import { factoryRow, insertKeymap, type KeymapRow, listKeymaps, loadBindings } from '../repositories/keymaps';
import { findProgram, loadProgram, type ProgramRow, programById } from '../repositories/programs';
import {
  insertWorkspace,
  listWorkspaces,
  loadVersion,
  type WorkspaceRow,
  workspaceById,
} from '../repositories/workspaces';

/** A workspace with its keymap named instead of numbered. */
async function named(row: WorkspaceRow, keymaps: readonly KeymapRow[]): Promise<NamedWorkspace> {
  const { keymap, ...contents } = (await loadVersion(row.id, null)).contents;
  const own = keymaps.find((one) => one.id === keymap);
  return {
    name: row.name,
    owner: row.owner,
    contents,
    ...(keymap === undefined ? {} : { keymap: own && !own.factory ? own.name : null }),
  };
}

/** Every workspace of a program that isn't put away, as files carry them. */
export async function namedWorkspaces(programId: number): Promise<NamedWorkspace[]> {
  const keymaps = await listKeymaps(programId);
  const rows = (await listWorkspaces(programId)).filter((one) => one.putAwayAt === null);
  return Promise.all(rows.map((one) => named(one, keymaps)));
}

/** A workspace, with the keymap that belongs to it, as a file of ours. */
export const exportWorkspace = ofOneMoment(async function exportWorkspace(
  id: number,
): Promise<{ readonly name: string; readonly file: WorkspaceFile }> {
  const row = await workspaceById(id);
  const { program, factory, keymaps } = await factoryOf(await programById(row.programId));
  const workspace = await named(row, keymaps);
  const own = keymaps.filter((one) => !one.factory && one.name === workspace.keymap).slice(0, 1);
  const withKeys = await Promise.all(
    own.map(async (one) => ({ name: one.name, owner: one.owner, keymap: await loadBindings(one.id) })),
  );
  return { name: row.name, file: toWorkspaceFile(program, factory, [workspace], withKeys) };
});

/** A program with its factory keys, and all keymaps it has. */
export async function factoryOf(row: ProgramRow) {
  const keymaps = await listKeymaps(row.id);
  const versionId = keymaps.find((one) => one.factory)?.versionId ?? 0;
  const { program } = await loadProgram(row, versionId);
  return { program, versionId, keymaps, factory: await loadBindings((await factoryRow(versionId)).id) };
}

/**
 * Brings workspaces in from a file of ours, and the keymaps that belong to them unless the same are there already.
 * @returns the names of the workspaces. @throws Problem when the file is not one, or of another program.
 */
export async function importWorkspaces(
  slug: string,
  text: string,
  asker: Asker,
): Promise<{ readonly names: readonly string[] }> {
  const file = await readApart({ as: 'workspaces', text }, asker);
  const row = await findProgram(slug);
  if (file.program.name !== row.name)
    throw new Problem(
      'not valid',
      `This file holds workspaces of ${file.program.name}, not of ${row.name}. Go to ${file.program.name} and bring it in there.`,
    );
  const { program, factory, versionId, keymaps } = await factoryOf(row);
  let contents: ReturnType<typeof fromWorkspaceFile>;
  try {
    contents = fromWorkspaceFile(file, program, factory);
  } catch (error) {
    if (error instanceof InconsistentFile) throw new Problem('unreadable', error.message);
    throw error;
  }
  return inTransaction(async (transaction) => {
    const numbers = new Map<string, number>();
    for (const one of contents.keymaps) {
      const same = await sameKeymap(one, keymaps);
      const made = same ?? (await insertKeymap({ programId: row.id, versionId, ...one }, transaction)).id;
      numbers.set(one.name, made);
    }
    for (const one of contents.workspaces) await insertNamed(row.id, one, numbers, transaction);
    return { names: contents.workspaces.map((one) => one.name) };
  });
}

/** Stores a workspace from a file; its keymap by the numbers that the keymaps of the file have here. */
export async function insertNamed(
  programId: number,
  { name, owner, contents, keymap }: NamedWorkspace,
  numbers: ReadonlyMap<string, number>,
  transaction: Transaction,
): Promise<void> {
  const own: Workspace =
    keymap === undefined ? contents : { ...contents, keymap: keymap === null ? null : (numbers.get(keymap) ?? null) };
  await insertWorkspace({ programId, name, owner, contents: own }, transaction);
}

/** The number of a keymap here that has the same name and the same keys. */
async function sameKeymap({ name, keymap }: NamedKeymap, keymaps: readonly KeymapRow[]): Promise<number | null> {
  for (const one of keymaps)
    if (!one.factory && one.name === name && compareKeymaps(await loadBindings(one.id), keymap).length === 0)
      return one.id;
  return null;
}
