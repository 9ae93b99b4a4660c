import type { ChordText } from '../chord/chord';
import type { CommandId } from '../program/program';
import { type Binding, binding, bindingsOf, type Keymap } from './keymap';
import type { Change } from './ticket';

/** The change that gives a command a chord, beside its own keys or instead of those that may go. */
export function giveKeys(
  keymap: Keymap,
  command: CommandId,
  chord: ChordText,
  stays: (binding: Binding) => boolean,
): Change {
  const before = bindingsOf(keymap, command);
  const had = before.find((one) => one.chord === chord);
  return { command, before, after: [...before.filter((one) => one.chord !== chord && stays(one)), had ?? { chord }] };
}

/** The change that takes chords from a command and leaves its others. */
export function dropKeys(keymap: Keymap, command: CommandId, chords: readonly ChordText[]): Change {
  const before = bindingsOf(keymap, command);
  return { command, before, after: before.filter((one) => !chords.includes(one.chord)) };
}

/** The change that marks one binding of a command as a keeper, notes a hook on it, or takes either away. */
export function markKeys(
  keymap: Keymap,
  command: CommandId,
  chord: ChordText,
  marks: { readonly keeper?: boolean; readonly hook?: string },
): Change {
  const before = bindingsOf(keymap, command);
  const after = before.map((one) =>
    one.chord === chord ? binding(chord, marks.keeper ?? one.keeper, marks.hook ?? one.hook) : one,
  );
  return { command, before, after };
}

/** The changes that say of commands whether they are spare; those that are so already are left out. */
export function markSpare(keymap: Keymap, commands: Iterable<CommandId>, spare: boolean): Change[] {
  return [...commands]
    .filter((command) => keymap.spares.has(command) !== spare)
    .map((command) => {
      const bindings = bindingsOf(keymap, command);
      return { command, before: bindings, after: bindings, spare: [!spare, spare] };
    });
}
