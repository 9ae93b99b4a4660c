import { binding, bindingsOf, type Keymap } from '../keymap/keymap';
import type { Command } from '../program/program';
import { isConvention } from './desktopKeys';

/** A factory keymap with the desktop-wide conventions marked as keepers, unless it says of itself what its keepers are. */
export function keepConventions(commands: readonly Command[], factory: Keymap): Keymap {
  if ([...factory.bindings.values()].some((list) => list.some((one) => one.keeper))) return factory;
  const bindings = new Map(factory.bindings);
  for (const command of commands) {
    const list = bindingsOf(factory, command.id);
    if (list.some((one) => isConvention(one.chord, command.name)))
      bindings.set(
        command.id,
        list.map((one) => (isConvention(one.chord, command.name) ? binding(one.chord, true, one.hook) : one)),
      );
  }
  return { bindings, spares: factory.spares };
}
