import type { ChordText } from '../chord/chord';
import type { CommandId } from '../program/program';
import { type Binding, bindingsOf, type Keymap } from './keymap';
import type { Change } from './ticket';

/** The change that gives a command a chord, beside its own keys or instead of those that may go. */
export function giveKeys(
  keymap: Keymap,
  command: CommandId,
  chord: ChordText,
  stays: (binding: Binding) => boolean,
): Change {
  const before = bindingsOf(keymap, command);
  return { command, before, after: [...before.filter((b) => b.chord !== chord && stays(b)), { chord }] };
}

/** The change that takes chords from a command and leaves its others. */
export function dropKeys(keymap: Keymap, command: CommandId, chords: readonly ChordText[]): Change {
  const before = bindingsOf(keymap, command);
  return { command, before, after: before.filter((binding) => !chords.includes(binding.chord)) };
}
