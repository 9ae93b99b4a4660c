import type { CommandId } from '../program/program';
import { compareKeymaps } from './compareKeymaps';
import type { Keymap } from './keymap';
import type { Change } from './ticket';

/** How two keymaps of a program differ for one command. */
export type Difference = 'added' | 'removed' | 'moved' | 'same';

/** Two keymaps side by side: each command that has keys in either, how it differs, and both its keys. */
export function sideBySide(
  commands: readonly CommandId[],
  left: Keymap,
  right: Keymap,
): { readonly command: CommandId; readonly difference: Difference; readonly change: Change }[] {
  const changed = new Map(compareKeymaps(left, right).map((change) => [change.command, change]));
  return commands.flatMap((command) => {
    const change = changed.get(command);
    const before = left.bindings.get(command) ?? [];
    const after = right.bindings.get(command) ?? [];
    if (before.length + after.length === 0) return [];
    const keysOf = (list: typeof before) => list.map((one) => one.chord).join(' ');
    const difference: Difference =
      keysOf(before) === keysOf(after)
        ? 'same'
        : before.length === 0
          ? 'added'
          : after.length === 0
            ? 'removed'
            : 'moved';
    return [{ command, difference, change: change ?? { command, before, after } }];
  });
}
