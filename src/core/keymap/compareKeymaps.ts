import { bindingsOf, type Keymap, sameBindings } from './keymap';
import type { Change } from './ticket';

/** Every command whose bindings differ, as the changes that lead from the first keymap to the second. */
export function compareKeymaps(from: Keymap, to: Keymap): Change[] {
  const changes: Change[] = [];
  for (const command of new Set([...from.keys(), ...to.keys()])) {
    const before = bindingsOf(from, command);
    const after = bindingsOf(to, command);
    if (!sameBindings(before, after)) changes.push({ command, before, after });
  }
  return changes;
}
