import type { Command, Program } from '../program/program';
import { type Dressing, PLAIN_MENUS } from '../workspace/dressing';

/** A line of a menu: a command, or the heading of those that lie deeper. */
export type MenuLine = { readonly command: Command } | { readonly heading: string };
export type ProgramMenu = {
  readonly name: string;
  readonly lines: readonly MenuLine[];
  /** The lines that are hidden. */
  readonly hidden: readonly Command[];
};

/** What stands in menus; tools have their rail, held actions are only on keys. */
const IN_MENUS: ReadonlySet<Command['kind']> = new Set(['menu item', 'script', 'panel', 'value']);

/** The menus of a program in its own order, by the first step of the paths, without the lines that are hidden. */
export function menusOf({ commands }: Pick<Program, 'commands'>, dressing: Dressing = PLAIN_MENUS): ProgramMenu[] {
  const away = new Set(dressing.hidden);
  const menus = new Map<string, { lines: MenuLine[]; hidden: Command[]; deeper: string }>();
  for (const command of commands) {
    if (!IN_MENUS.has(command.kind)) continue;
    const [name = 'More', ...rest] = command.path;
    const menu = menus.get(name) ?? { lines: [], hidden: [], deeper: '' };
    menus.set(name, menu);
    if (away.has(command.id)) {
      menu.hidden.push(command);
      continue;
    }
    const heading = rest.join(' › ');
    if (heading !== menu.deeper) {
      if (heading !== '') menu.lines.push({ heading });
      menu.deeper = heading;
    }
    menu.lines.push({ command });
  }
  return [...menus].map(([name, { lines, hidden }]) => ({ name, lines, hidden }));
}
