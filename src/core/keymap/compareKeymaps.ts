import { bindingsOf, type Keymap, sameBindings } from './keymap';
import type { Change } from './ticket';

/** Every command that differs in keys, keepers, hooks or being spare, as the changes from the first keymap to the second. */
export function compareKeymaps(from: Keymap, to: Keymap): Change[] {
  const changes: Change[] = [];
  const all = new Set([...from.bindings.keys(), ...to.bindings.keys(), ...from.spares, ...to.spares]);
  for (const command of all) {
    const before = bindingsOf(from, command);
    const after = bindingsOf(to, command);
    const spare = [from.spares.has(command), to.spares.has(command)] as const;
    if (spare[0] !== spare[1]) changes.push({ command, before, after, spare });
    else if (!sameBindings(before, after)) changes.push({ command, before, after });
  }
  return changes;
}
