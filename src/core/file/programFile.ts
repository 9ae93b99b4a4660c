import { keepConventions } from '../desktop/keepConventions';
import { inferForms } from '../keymap/inferForms';
import { bindingsOf, type Keymap } from '../keymap/keymap';
import { outsideTree } from '../program/contextsOverlap';
import { type Command, type Context, DEFAULT_RULES, type Program, type Rules } from '../program/program';
import type { FileBelongings, FileSaid } from './belongings';
import {
  type FileBinding,
  type FileKeymap,
  fromFileBinding,
  fromFileKeymap,
  InconsistentFile,
  type NamedKeymap,
  toFileBinding,
  toFileKeymap,
} from './keymapFile';
import { type FileWorkspace, fromFileWorkspace, type NamedWorkspace, toFileWorkspace } from './workspaceFile';

/** A program with its factory keys and its keymaps, as our own file carries it. Described in docs/program-file.schema.json. */
export type ProgramFile = {
  readonly format: 'gray-pin-program';
  readonly formatVersion: 1;
  readonly program: {
    readonly name: string;
    readonly version: string;
    readonly contexts: readonly Context[];
    /** Rules left out are the usual ones; forms left out are read off the factory keys. */
    readonly rules: Partial<Rules>;
    /** `keys` are the factory's; left out where there are none. */
    readonly commands: readonly (Command & { readonly keys?: readonly FileBinding[] })[];
  };
  readonly keymaps: readonly FileKeymap[];
  readonly workspaces?: readonly FileWorkspace[];
  /** What belongs to the factory keymap. */
  readonly factory?: FileBelongings;
  readonly counterparts?: readonly FileSaid[];
};
export type ProgramWithKeymaps = {
  readonly program: Program;
  readonly factory: Keymap;
  readonly keymaps: readonly NamedKeymap[];
  readonly workspaces?: readonly NamedWorkspace[];
  /** What belongs to the factory keymap. */
  readonly belongings?: FileBelongings;
  readonly counterparts?: readonly FileSaid[];
};

/** Writes a program and its keymaps as a file. */
export function toProgramFile(given: ProgramWithKeymaps): ProgramFile {
  const { program, factory, keymaps, workspaces = [], belongings = {}, counterparts = [] } = given;
  const commands = program.commands.map((command) => {
    const keys = bindingsOf(factory, command.id).map(toFileBinding);
    return { ...command, ...(keys.length > 0 ? { keys } : {}) };
  });
  const known = new Set(commands.map((one) => one.id));
  return {
    format: 'gray-pin-program',
    formatVersion: 1,
    program: {
      name: program.name,
      version: program.version,
      contexts: program.contexts,
      rules: program.rules,
      commands,
    },
    keymaps: keymaps.map((one) => withoutUnknown(toFileKeymap(factory, one), known)),
    ...(workspaces.length > 0 ? { workspaces: workspaces.map(toFileWorkspace) } : {}),
    ...(Object.keys(belongings).length > 0 ? { factory: belongings } : {}),
    ...(counterparts.length > 0 ? { counterparts } : {}),
  };
}

/** What steps back on a tape may have given commands that are no longer on the list, a file can't speak of. */
function withoutUnknown(file: FileKeymap, known: ReadonlySet<string>): FileKeymap {
  const bindings = Object.fromEntries(Object.entries(file.bindings).filter(([command]) => known.has(command)));
  const { spares } = file;
  return { ...file, bindings, ...(spares ? { spares: spares.filter((command) => known.has(command)) } : {}) };
}

/**
 * Reads a file whose shape has been checked already.
 * @throws InconsistentFile when it speaks of contexts or commands that it does not have.
 */
export function fromProgramFile(file: ProgramFile): ProgramWithKeymaps {
  const { contexts, commands: listed, ...rest } = file.program;
  const known = new Set(contexts.map((context) => context.id));
  if (contexts.filter((context) => context.parent === null).length !== 1) {
    throw new InconsistentFile('The contexts of this file need exactly one that contains all others.');
  }
  for (const { id, parent } of contexts) {
    if (parent !== null && !known.has(parent))
      throw new InconsistentFile(`The context “${id}” lies in “${parent}”, which is not in the file.`);
  }
  const [ring] = outsideTree(contexts);
  if (ring)
    throw new InconsistentFile(`The context “${ring.id}” lies in itself by way of others, so nothing is heard there.`);
  const lost = listed.find((command) => !known.has(command.context));
  if (lost)
    throw new InconsistentFile(`The command “${lost.name}” listens in “${lost.context}”, which is not in the file.`);
  const commands = listed.map(({ keys: _, ...command }): Command => command);
  const given: Keymap = {
    bindings: new Map(
      listed.flatMap(({ id, keys }) => (keys && keys.length > 0 ? [[id, keys.map(fromFileBinding)] as const] : [])),
    ),
    spares: new Set(),
  };
  const factory = keepConventions(commands, given);
  const marked = [...given.bindings.values()].flat().some((one) => one.keeper || one.hook !== undefined);
  const ids = new Set(listed.map((command) => command.id));
  const keymaps = file.keymaps.map((one) => fromFileKeymap(factory, ids, marked, one));
  const rules = { ...DEFAULT_RULES, forms: inferForms(commands, factory), ...rest.rules };
  const workspaces = (file.workspaces ?? []).map((one) => fromFileWorkspace(one, { commands }));
  return {
    program: { ...rest, rules, contexts, commands },
    factory,
    keymaps,
    ...(workspaces.length > 0 ? { workspaces } : {}),
    ...(file.factory ? { belongings: file.factory } : {}),
    ...(file.counterparts ? { counterparts: file.counterparts.filter((one) => ids.has(one.command)) } : {}),
  };
}
