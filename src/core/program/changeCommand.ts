import { cutText } from '../text/cutText';
import { type Command, type CommandId, pathText } from './program';

/** A list with one more command: after the last that lives in the same menu, or in as much of its path as any does. */
export function placeCommand(commands: readonly Command[], command: Command): readonly Command[] {
  const shared = (one: Command): number => {
    const first = command.path.findIndex((part, i) => part !== one.path[i]);
    return first < 0 ? command.path.length : first;
  };
  const most = Math.max(0, ...commands.map(shared));
  const at = most === 0 ? commands.length : commands.findLastIndex((one) => shared(one) === most) + 1;
  return [...commands.slice(0, at), command, ...commands.slice(at)];
}

/** A list with one command called, placed or typed otherwise; one that moves to another menu stands at the end of that. */
export function changeCommand(
  commands: readonly Command[],
  id: CommandId,
  values: Partial<Omit<Command, 'id'>>,
): { readonly commands: readonly Command[]; readonly title: string } {
  const before = commands.find((one) => one.id === id);
  if (!before) return { commands, title: '' };
  const after = { ...before, ...values };
  const moves = pathText(before.path) !== pathText(after.path);
  return {
    commands: moves
      ? placeCommand(
          commands.filter((one) => one.id !== id),
          after,
        )
      : commands.map((one) => (one.id === id ? after : one)),
    title: cutText(titleOf(before, after), 200),
  };
}

function titleOf(before: Command, after: Command): string {
  const said = [
    ...(before.name === after.name ? [] : [`Renamed: ${before.name}, now ${after.name}`]),
    ...(pathText(before.path) === pathText(after.path)
      ? []
      : [`Moved: ${after.name}, to ${pathText(after.path) || 'no menu'}`]),
    ...(before.kind === after.kind ? [] : [`${after.name} is now a ${after.kind}`]),
    ...(before.context === after.context ? [] : [`${after.name} is listened for elsewhere`]),
  ];
  return said.length === 1
    ? (said[0] ?? '')
    : `Corrected: ${before.name}${before.name === after.name ? '' : `, now ${after.name}`}`;
}
