import type { ChordText } from '../chord/chord';
import { keepConventions } from '../desktop/keepConventions';
import { compareKeymaps } from '../keymap/compareKeymaps';
import { type Binding, binding, bindingsOf, type Keymap } from '../keymap/keymap';
import { applyTicket } from '../keymap/ticket';
import { inferForms } from '../program/formOf';
import { type Command, type Context, DEFAULT_RULES, type Program, type Rules } from '../program/program';

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
};
/** A chord alone, or with its marks. */
export type FileBinding = ChordText | { readonly keys: ChordText; readonly keeper?: boolean; readonly hook?: string };
/** A keymap holds only the commands whose keys or marks differ from the factory's; an empty list means no key. */
export type FileKeymap = {
  readonly name: string;
  readonly owner: string;
  readonly bindings: Readonly<Record<string, readonly FileBinding[]>>;
  /** The commands whose keys may be spent. */
  readonly spares?: readonly string[];
};

export type NamedKeymap = { readonly name: string; readonly owner: string; readonly keymap: Keymap };
export type ProgramWithKeymaps = {
  readonly program: Program;
  readonly factory: Keymap;
  readonly keymaps: readonly NamedKeymap[];
};

/** Thrown for a file of ours that contradicts itself; the message is for people. */
export class InconsistentFile extends Error {
  override name = 'InconsistentFile';
}

/** Writes a program and its keymaps as a file. */
export function toProgramFile({ program, factory, keymaps }: ProgramWithKeymaps): ProgramFile {
  const commands = program.commands.map((command) => {
    const keys = bindingsOf(factory, command.id).map(toFileBinding);
    return { ...command, ...(keys.length > 0 ? { keys } : {}) };
  });
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
    keymaps: keymaps.map(({ name, owner, keymap }) => ({
      name,
      owner,
      bindings: Object.fromEntries(compareKeymaps(factory, keymap).map((c) => [c.command, c.after.map(toFileBinding)])),
      ...(keymap.spares.size > 0 ? { spares: [...keymap.spares] } : {}),
    })),
  };
}

function toFileBinding({ chord, keeper, hook }: Binding): FileBinding {
  if (!keeper && hook === undefined) return chord;
  return { keys: chord, ...(keeper ? { keeper } : {}), ...(hook === undefined ? {} : { hook }) };
}

function fromFileBinding(one: FileBinding): Binding {
  return typeof one === 'string' ? { chord: one } : binding(one.keys, one.keeper, one.hook);
}

/** Whose desktop-wide conventions start as keepers, with the marks the keys of a command have as a factory has them. */
function withFactoryMarks(before: readonly Binding[], after: readonly Binding[]): readonly Binding[] {
  return after.map((one) => before.find((had) => had.chord === one.chord && !one.keeper && !one.hook) ?? one);
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
  const keymaps = file.keymaps.map(({ name, owner, bindings, spares = [] }): NamedKeymap => {
    const strange = [...Object.keys(bindings), ...spares].find((command) => !ids.has(command));
    if (strange !== undefined)
      throw new InconsistentFile(`The keymap “${name}” speaks of the command “${strange}”, which is not in the file.`);
    const changes = Object.entries(bindings).map(([command, keys]) => {
      const before = bindingsOf(factory, command);
      const after = keys.map(fromFileBinding);
      // A file written without marks at all starts with the factory's.
      return { command, before, after: marked ? after : withFactoryMarks(before, after) };
    });
    const keymap = applyTicket(factory, { title: name, changes });
    return { name, owner, keymap: { ...keymap, spares: new Set(spares) } };
  });
  const rules = { ...DEFAULT_RULES, forms: inferForms(commands, factory), ...rest.rules };
  return { program: { ...rest, rules, contexts, commands }, factory, keymaps };
}
