import type { Command, Program } from '../program/program';

/** A line of a menu: a command, or the heading of those that lie deeper. */
export type MenuLine = { readonly command: Command } | { readonly heading: string };
export type ProgramMenu = { readonly name: string; readonly lines: readonly MenuLine[] };

/** What stands in menus; tools have their rail, held actions are only on keys. */
const IN_MENUS: ReadonlySet<Command['kind']> = new Set(['menu item', 'script', 'panel', 'value']);

/** The menus of a program in its own order, by the first step of the paths. */
export function menusOf({ commands }: Program): ProgramMenu[] {
  const menus = new Map<string, MenuLine[]>();
  const deeper = new Map<string, string>();
  for (const command of commands) {
    if (!IN_MENUS.has(command.kind)) continue;
    const [name = 'More', ...rest] = command.path;
    const lines = menus.get(name) ?? [];
    menus.set(name, lines);
    const heading = rest.join(' › ');
    if (heading !== (deeper.get(name) ?? '')) {
      if (heading !== '') lines.push({ heading });
      deeper.set(name, heading);
    }
    lines.push({ command });
  }
  return [...menus].map(([name, lines]) => ({ name, lines }));
}
