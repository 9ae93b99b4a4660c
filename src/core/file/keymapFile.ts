import type { ChordText } from '../chord/chord';
import { compareKeymaps } from '../keymap/compareKeymaps';
import { type Binding, binding, bindingsOf, type Keymap } from '../keymap/keymap';
import { applyTicket } from '../keymap/ticket';
import { type FileBelongings, knownDraft } from './belongings';

/** A chord alone, or with its marks. */
export type FileBinding = ChordText | { readonly keys: ChordText; readonly keeper?: boolean; readonly hook?: string };
/** A keymap holds only the commands whose keys or marks differ from the factory's; an empty list means no key. */
export type FileKeymap = {
  readonly name: string;
  readonly owner: string;
  readonly bindings: Readonly<Record<string, readonly FileBinding[]>>;
  /** The commands whose keys may be spent. */
  readonly spares?: readonly string[];
} & FileBelongings;

export type NamedKeymap = {
  readonly name: string;
  readonly owner: string;
  readonly keymap: Keymap;
  readonly belongings?: FileBelongings;
};
/** Thrown for a file of ours that contradicts itself; the message is for people. */
export class InconsistentFile extends Error {
  override name = 'InconsistentFile';
}

/** Writes what a keymap changes of the factory's. */
export function toFileKeymap(factory: Keymap, { name, owner, keymap, belongings }: NamedKeymap): FileKeymap {
  return {
    name,
    owner,
    bindings: Object.fromEntries(compareKeymaps(factory, keymap).map((c) => [c.command, c.after.map(toFileBinding)])),
    ...(keymap.spares.size > 0 ? { spares: [...keymap.spares] } : {}),
    ...belongings,
  };
}

/**
 * Reads what a keymap changes of the factory's.
 * @param marked whether the file says itself what is a keeper; else what has the factory's keys has its marks, too.
 * @throws InconsistentFile when it speaks of commands that are not known.
 */
export function fromFileKeymap(
  factory: Keymap,
  known: ReadonlySet<string>,
  marked: boolean,
  { name, owner, bindings, spares = [], ...given }: FileKeymap,
): NamedKeymap {
  const strange = [...Object.keys(bindings), ...spares].find((command) => !known.has(command));
  if (strange !== undefined)
    throw new InconsistentFile(`The keymap “${name}” speaks of the command “${strange}”, which is not in the file.`);
  const changes = Object.entries(bindings).map(([command, keys]) => {
    const before = bindingsOf(factory, command);
    const after = keys.map(fromFileBinding);
    // A file written without marks at all starts with the factory's.
    return { command, before, after: marked ? after : withFactoryMarks(before, after) };
  });
  const keymap = applyTicket(factory, { title: name, changes });
  const belongings = { ...given, ...(given.draft ? { draft: knownDraft(given.draft, known) } : {}) };
  return {
    name,
    owner,
    keymap: { ...keymap, spares: new Set(spares) },
    ...(Object.keys(belongings).length > 0 ? { belongings } : {}),
  };
}

export function toFileBinding({ chord, keeper, hook }: Binding): FileBinding {
  if (!keeper && hook === undefined) return chord;
  return { keys: chord, ...(keeper ? { keeper } : {}), ...(hook === undefined ? {} : { hook }) };
}

export function fromFileBinding(one: FileBinding): Binding {
  return typeof one === 'string' ? { chord: one } : binding(one.keys, one.keeper, one.hook);
}

/** Whose desktop-wide conventions start as keepers, with the marks the keys of a command have as a factory has them. */
function withFactoryMarks(before: readonly Binding[], after: readonly Binding[]): readonly Binding[] {
  return after.map((one) => before.find((had) => had.chord === one.chord && !one.keeper && !one.hook) ?? one);
}
