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

/** The commands that stand before and after each one in its own menu, null at its ends. */
export function neighborsOf(
  commands: readonly Command[],
): ReadonlyMap<Command, { readonly before: Command | null; readonly after: Command | null }> {
  const menus = new Map<string, Command[]>();
  for (const command of commands) {
    const path = command.path.join('\n');
    const menu = menus.get(path);
    if (menu) menu.push(command);
    else menus.set(path, [command]);
  }
  return new Map(
    [...menus.values()].flatMap((menu) =>
      menu.map((command, i) => [command, { before: menu[i - 1] ?? null, after: menu[i + 1] ?? null }] as const),
    ),
  );
}
