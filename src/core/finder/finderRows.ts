import { bindingsOf, type Keymap, sameBindings } from '../keymap/keymap';
import type { Command } from '../program/program';

/** What the finder lists: all, those without a key, those whose keys differ from the factory's. */
export const FILTERS = ['all', 'no key', 'yours'] as const;
export type Filter = (typeof FILTERS)[number];

/** Whether a command passes a filter. */
export function passes(filter: Filter, command: Command, keymap: Keymap, factory: Keymap): boolean {
  if (filter === 'all') return true;
  const bindings = bindingsOf(keymap, command.id);
  return filter === 'no key' ? bindings.length === 0 : !sameBindings(bindings, bindingsOf(factory, command.id));
}

/** How many commands pass each filter. */
export function countFilters(commands: readonly Command[], keymap: Keymap, factory: Keymap): Record<Filter, number> {
  const counts: Record<Filter, number> = { all: commands.length, 'no key': 0, yours: 0 };
  for (const command of commands) {
    for (const filter of ['no key', 'yours'] as const) if (passes(filter, command, keymap, factory)) counts[filter]++;
  }
  return counts;
}

export type FinderRow = { readonly heading: string } | { readonly command: Command; readonly place: number };

/** The rows of the finder: commands as given, under a heading wherever the menu changes if they stand in menu order. */
export function finderRows(commands: readonly Command[], inMenuOrder: boolean): FinderRow[] {
  const rows: FinderRow[] = [];
  let menu: string | undefined;
  commands.forEach((command, place) => {
    if (inMenuOrder && command.path[0] !== menu) {
      menu = command.path[0];
      if (menu !== undefined) rows.push({ heading: menu });
    }
    rows.push({ command, place });
  });
  return rows;
}
