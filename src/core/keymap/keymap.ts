import type { ChordText } from '../chord/chord';
import type { CommandId } from '../program/program';

/** One command answering to one chord. */
export type Binding = { readonly chord: ChordText };

/** Which commands answer to which chords; a command without keys has no entry. Never changed in place. */
export type Keymap = ReadonlyMap<CommandId, readonly Binding[]>;

const NONE: readonly Binding[] = [];

/** The bindings of one command, in the order they were given. */
export function bindingsOf(keymap: Keymap, command: CommandId): readonly Binding[] {
  return keymap.get(command) ?? NONE;
}

/** Whether two lists of bindings are the same, order included. */
export function sameBindings(a: readonly Binding[], b: readonly Binding[]): boolean {
  return a.length === b.length && a.every((binding, i) => binding.chord === b[i]?.chord);
}

/** Whether a command answers to a chord in a keymap. */
export function holds(keymap: Keymap, command: CommandId, chord: ChordText): boolean {
  return bindingsOf(keymap, command).some((binding) => binding.chord === chord);
}

/** A keymap from rows of command and chord; a repeated row counts once. */
export function keymapOf(rows: Iterable<readonly [CommandId, ChordText]>): Keymap {
  const keymap = new Map<CommandId, Binding[]>();
  for (const [command, chord] of rows) {
    const list = keymap.get(command);
    if (!list) keymap.set(command, [{ chord }]);
    else if (!list.some((binding) => binding.chord === chord)) list.push({ chord });
  }
  return keymap;
}

/** The rows of a keymap, commands in its own order. */
export function rowsOf(keymap: Keymap): [CommandId, ChordText][] {
  return [...keymap].flatMap(([command, bindings]) => bindings.map((b): [CommandId, ChordText] => [command, b.chord]));
}
