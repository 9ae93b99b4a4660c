import type { CommandId } from '../program/program';
import { type Binding, bindingsOf, type Keymap, sameBindings } from './keymap';
import type { Change } from './ticket';

/** Every command that differs in keys, keepers, hooks or being spare, as the changes from the first keymap to the second. */
export function compareKeymaps(from: Keymap, to: Keymap): Change[] {
  const changes: Change[] = [];
  const look = (command: CommandId, before: readonly Binding[], after: readonly Binding[]): void => {
    const spare = [from.spares.has(command), to.spares.has(command)] as const;
    if (spare[0] !== spare[1]) changes.push({ command, before, after, spare });
    else if (!sameBindings(before, after)) changes.push({ command, before, after });
  };
  for (const [command, before] of from.bindings) look(command, before, bindingsOf(to, command));
  for (const [command, after] of to.bindings) if (!from.bindings.has(command)) look(command, [], after);
  for (const command of new Set([...from.spares, ...to.spares]))
    if (!from.bindings.has(command) && !to.bindings.has(command)) look(command, [], []);
  return changes;
}
