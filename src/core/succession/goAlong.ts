import type { WishList } from '../advice/wishList';
import type { Said } from '../counterpart/knownPairs';
import type { CommandId } from '../program/program';
import type { SheetSpec } from '../sheet/sheetSpec';
import { eachDock, type Stack } from '../workspace/arrangement';
import type { Workspace } from '../workspace/room';
import type { ToolLayout } from '../workspace/toolLayout';
import { type Link, linksBySide } from './link';

/** What a command of a version is called in the next; null where it is gone. Of one that was split the first goes on. */
export type Along = (command: CommandId) => CommandId | null;

export function along(links: readonly Link[]): Along {
  const { from } = linksBySide(links);
  return (command) => from.get(command)?.[0]?.after ?? null;
}

const each = (list: readonly CommandId[], to: Along): CommandId[] => [...new Set(list.flatMap((one) => to(one) ?? []))];
const eachOf = <Rest>(list: readonly (readonly [CommandId, Rest])[], to: Along): (readonly [CommandId, Rest])[] =>
  list.flatMap(([one, rest]) => {
    const there = to(one);
    return there === null ? [] : [[there, rest] as const];
  });

/** A wish list in the next version. */
export const wishesAlong = (list: WishList, to: Along): WishList => ({
  ...list,
  wishes: each(list.wishes, to),
  stays: each(list.stays, to),
  pins: eachOf(list.pins, to),
  forbids: eachOf(list.forbids, to),
  settled: eachOf(list.settled, to),
});

/** What is chosen of a sheet, in the next version; menus that are no longer there choose nothing. */
export const sheetAlong = (spec: SheetSpec, to: Along, menus: ReadonlySet<string>): SheetSpec => ({
  ...spec,
  picked: each(spec.picked, to),
  menus: spec.menus.filter((one) => menus.has(one)),
});

/** Steps of a change list that are ticked off, in the next version. */
export const ticksAlong = (ticks: readonly string[], to: Along): string[] =>
  ticks.flatMap((tick) => {
    const [kind = '', command = '', ...keys] = tick.split(' ');
    const there = to(command);
    return there === null ? [] : [[kind, there, ...keys].join(' ')];
  });

/** What is told by commands (uses a day), in the next version. */
export const toldAlong = (told: ReadonlyMap<CommandId, number>, to: Along): Record<CommandId, number> =>
  Object.fromEntries(eachOf([...told], to));

/** What was said of a program's commands, seen from that program: both ways of a pair, and which have no counterpart. */
const saidOf = (all: readonly Said[], program: string): Said[] =>
  all.flatMap((one): Said[] => {
    if (one.program === program) return [one];
    if (one.other !== program || one.counterpart === null) return [];
    return [{ program, command: one.counterpart, other: one.program, counterpart: one.command }];
  });

/** What was said of counterparts of a version's commands, for the next; what was said there of a command stays. */
export function saidAlong(all: readonly Said[], from: string, program: string, to: Along): Said[] {
  const keyOf = ({ command, other }: Pick<Said, 'command' | 'other'>): string => `${other}\n${command}`;
  const there = new Set(saidOf(all, program).map(keyOf));
  return saidOf(all, from).flatMap((one): Said[] => {
    const command = to(one.command);
    const own = command === null || one.other === program ? null : { ...one, program, command };
    return own && !there.has(keyOf(own)) ? [own] : [];
  });
}

/** A workspace in the next version. @param keymap the keymap it goes with there. */
export function workspaceAlong(workspace: Workspace, to: Along, keymap: number | null): Workspace {
  const { panels, menus, tools } = workspace;
  const stack = <Group extends Pick<Stack, 'panels' | 'top'>>(group: Group): Group[] => {
    const own = each(group.panels, to);
    return own.length === 0 ? [] : [{ ...group, panels: own, top: to(group.top) ?? (own[0] as CommandId) }];
  };
  const strip = <Strip extends ToolLayout['bar']>(one: Strip): Strip => ({
    ...one,
    groups: one.groups.map((group) => each(group, to)).filter((group) => group.length > 0),
  });
  return {
    ...workspace,
    ...(panels && {
      panels: {
        docks: eachDock(panels.docks, (dock) => ({ ...dock, stacks: dock.stacks.flatMap(stack) })),
        floats: panels.floats.flatMap(stack),
        hidden: each(panels.hidden, to),
      },
    }),
    ...(menus && { menus: { marks: eachOf(menus.marks, to), hidden: each(menus.hidden, to) } }),
    ...(tools && { tools: { rail: strip(tools.rail), bar: strip(tools.bar), icons: eachOf(tools.icons, to) } }),
    ...(workspace.keymap !== undefined && { keymap }),
  };
}
