import type { ChordText } from '../chord/chord';
import type { CommandId } from '../program/program';
import { remembering } from '../text/remembering';

/** One command answering to one chord. A keeper is not to be lost; a memory hook is a note of why these keys. */
export type Binding = { readonly chord: ChordText; readonly keeper?: true; readonly hook?: string };

/**
 * Which commands answer to which chords, and which commands are spare: never used, so that their keys may be spent.
 * A command without keys has no entry. Never changed in place.
 */
export type Keymap = {
  readonly bindings: ReadonlyMap<CommandId, readonly Binding[]>;
  readonly spares: ReadonlySet<CommandId>;
};

const NONE: readonly Binding[] = [];
export const EMPTY_KEYMAP: Keymap = { bindings: new Map(), spares: new Set() };

/** The bindings of one command, in the order they were given. */
export function bindingsOf(keymap: Keymap, command: CommandId): readonly Binding[] {
  return keymap.bindings.get(command) ?? NONE;
}

/** Whether two lists of bindings are the same, order, keepers and hooks included. */
export function sameBindings(a: readonly Binding[], b: readonly Binding[]): boolean {
  return (
    a === b ||
    (a.length === b.length &&
      a.every((one, i) => one.chord === b[i]?.chord && one.keeper === b[i]?.keeper && one.hook === b[i]?.hook))
  );
}

/** Whether two lists of bindings have the same keys, whatever is noted on them. */
export function sameKeys(a: readonly Binding[], b: readonly Binding[]): boolean {
  return a.length === b.length && a.every((one, i) => one.chord === b[i]?.chord);
}

/** Whether a command answers to a chord in a keymap. */
export function holds(keymap: Keymap, command: CommandId, chord: ChordText): boolean {
  return bindingsOf(keymap, command).some((binding) => binding.chord === chord);
}

/** A binding with only the marks it has. */
export function binding(chord: ChordText, keeper = false, hook = ''): Binding {
  return { chord, ...(keeper ? { keeper: true as const } : {}), ...(hook === '' ? {} : { hook }) };
}

/** A row of a keymap as it is stored and sent: command, keys, whether they are a keeper, their memory hook. */
export type Row = readonly [command: CommandId, chord: ChordText, keeper?: boolean, hook?: string];

/** Most commands have one chord and nothing noted on it: keymaps share these lists, so that they are soon compared. */
const alone = remembering((chord): readonly Binding[] => [{ chord }]);

/** A keymap from rows; a repeated row counts once. */
export function keymapOf(rows: Iterable<Row>, spares: Iterable<CommandId> = []): Keymap {
  const bindings = new Map<CommandId, readonly Binding[]>();
  for (const [command, chord, keeper = false, hook = ''] of rows) {
    const list = bindings.get(command);
    if (!list) bindings.set(command, keeper || hook !== '' ? [binding(chord, keeper, hook)] : alone(chord));
    else if (!list.some((one) => one.chord === chord)) bindings.set(command, [...list, binding(chord, keeper, hook)]);
  }
  return { bindings, spares: new Set(spares) };
}

/** The rows of a keymap, commands in its own order; marks only where there are any. */
export function rowsOf(keymap: Keymap): Row[] {
  const rows: Row[] = [];
  for (const [command, bindings] of keymap.bindings)
    for (const { chord, keeper, hook } of bindings) {
      if (hook !== undefined) rows.push([command, chord, keeper ?? false, hook]);
      else rows.push(keeper ? [command, chord, true] : [command, chord]);
    }
  return rows;
}

/** The commands whose keys differ between two keymaps, whatever is noted on them. */
export function changedCommands(from: Keymap, to: Keymap): CommandId[] {
  return [...new Set([...from.bindings.keys(), ...to.bindings.keys()])].filter(
    (command) => !sameKeys(bindingsOf(from, command), bindingsOf(to, command)),
  );
}
