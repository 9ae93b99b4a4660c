import type { ChordText } from '../chord/chord';
import { compareKeymaps } from '../keymap/compareKeymaps';
import { type Keymap, keymapOf } from '../keymap/keymap';
import { applyTicket } from '../keymap/ticket';
import type { Command, Context, Program, Rules } from '../program/program';

/** A program with its factory keys and its keymaps, as our own file carries it. Described in docs/program-file.schema.json. */
export type ProgramFile = {
  readonly format: 'gray-pin-program';
  readonly formatVersion: 1;
  readonly program: {
    readonly name: string;
    readonly version: string;
    readonly contexts: readonly Context[];
    readonly rules: Rules;
    /** `keys` are the factory's; left out where there are none. */
    readonly commands: readonly (Command & { readonly keys?: readonly ChordText[] })[];
  };
  readonly keymaps: readonly FileKeymap[];
};
/** A keymap holds only the commands whose keys differ from the factory's; an empty list means no key. */
export type FileKeymap = {
  readonly name: string;
  readonly owner: string;
  readonly bindings: Readonly<Record<string, readonly ChordText[]>>;
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
  const chords = (keymap: Keymap, id: string) => keymap.get(id)?.map((binding) => binding.chord);
  const commands = program.commands.map((command) => {
    const keys = chords(factory, command.id);
    return { ...command, ...(keys ? { keys } : {}) };
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
      bindings: Object.fromEntries(
        compareKeymaps(factory, keymap).map((c) => [c.command, c.after.map((b) => b.chord)]),
      ),
    })),
  };
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
  const factory = keymapOf(
    listed.flatMap(({ id, keys }) => (keys ?? []).map((chord): [string, string] => [id, chord])),
  );
  const ids = new Set(listed.map((command) => command.id));
  const keymaps = file.keymaps.map(({ name, owner, bindings }): NamedKeymap => {
    const changes = Object.entries(bindings).map(([command, chords]) => {
      if (!ids.has(command))
        throw new InconsistentFile(
          `The keymap “${name}” speaks of the command “${command}”, which is not in the file.`,
        );
      return { command, before: factory.get(command) ?? [], after: chords.map((chord) => ({ chord })) };
    });
    return { name, owner, keymap: applyTicket(factory, { title: name, changes }) };
  });
  const commands = listed.map(({ keys: _, ...command }): Command => command);
  return { program: { ...rest, contexts, commands }, factory, keymaps };
}
