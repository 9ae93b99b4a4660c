import type { Keymap } from '../keymap/keymap';
import type { Program } from '../program/program';
import { fitWorkspace, type Workspace } from '../workspace/room';
import { type FileKeymap, fromFileKeymap, type NamedKeymap, toFileKeymap } from './keymapFile';

/** A workspace as files carry it: the parts it has; its keymap by name, null for the factory's. */
export type FileWorkspace = Omit<Workspace, 'keymap'> & {
  readonly name: string;
  readonly owner: string;
  readonly keymap?: string | null;
};

/** Workspaces of one program with the keymaps that belong to them. */
export type WorkspaceFile = {
  readonly format: 'gray-pin-workspaces';
  readonly formatVersion: 1;
  readonly program: { readonly name: string; readonly version: string };
  readonly workspaces: readonly FileWorkspace[];
  readonly keymaps: readonly FileKeymap[];
};

/** A workspace with its name; its keymap, where it has one, by name. */
export type NamedWorkspace = {
  readonly name: string;
  readonly owner: string;
  readonly contents: Omit<Workspace, 'keymap'>;
  readonly keymap?: string | null;
};

/** Writes a workspace as files carry it. */
export function toFileWorkspace({ name, owner, contents, keymap }: NamedWorkspace): FileWorkspace {
  return { name, owner, ...contents, ...(keymap === undefined ? {} : { keymap }) };
}

/** Reads a workspace whose shape has been checked, without what the program doesn't have. */
export function fromFileWorkspace(file: FileWorkspace, program: Pick<Program, 'commands'>): NamedWorkspace {
  const { name, owner, keymap, ...parts } = file;
  return { name, owner, contents: fitWorkspace(parts, program), ...(keymap === undefined ? {} : { keymap }) };
}

/** Writes workspaces of a program, and the keymaps they name, as a file. */
export function toWorkspaceFile(
  program: Pick<Program, 'name' | 'version'>,
  factory: Keymap,
  workspaces: readonly NamedWorkspace[],
  keymaps: readonly NamedKeymap[],
): WorkspaceFile {
  return {
    format: 'gray-pin-workspaces',
    formatVersion: 1,
    program: { name: program.name, version: program.version },
    workspaces: workspaces.map(toFileWorkspace),
    keymaps: keymaps.map((one) => toFileKeymap(factory, one)),
  };
}

/**
 * Reads a file whose shape has been checked, for a program.
 * @throws InconsistentFile when a keymap speaks of commands that the program does not have.
 */
export function fromWorkspaceFile(
  file: WorkspaceFile,
  program: Pick<Program, 'commands'>,
  factory: Keymap,
): { readonly workspaces: readonly NamedWorkspace[]; readonly keymaps: readonly NamedKeymap[] } {
  const known = new Set(program.commands.map((one) => one.id));
  return {
    workspaces: file.workspaces.map((one) => fromFileWorkspace(one, program)),
    keymaps: file.keymaps.map((one) => fromFileKeymap(factory, known, true, one)),
  };
}
