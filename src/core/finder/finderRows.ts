import type { Command } from '../program/program';

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

/** The commands that stand before and after one in its own menu, null at its ends. */
export function neighbors(
  commands: readonly Command[],
  command: Command,
): { readonly before: Command | null; readonly after: Command | null } {
  const menu = commands.filter((one) => one.path.join('\n') === command.path.join('\n'));
  const at = menu.indexOf(command);
  return { before: menu[at - 1] ?? null, after: at < 0 ? null : (menu[at + 1] ?? null) };
}
