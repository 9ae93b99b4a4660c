import type { Command, CommandId, Program } from '@/core/program/program';
import { type Fate, fateOf, type Link, linksBySide } from '@/core/succession/link';

/** Commands of both versions that belong together by their links, as one row: what they were, what they became. */
export type FateRow = {
  readonly key: string;
  readonly before: readonly Command[];
  readonly after: readonly Command[];
  readonly fate: Fate | 'gone' | 'new';
  readonly links: readonly Link[];
  /** Whether a person has to say whether it is so. */
  readonly unsure: boolean;
};

/** What became of every command, in the order of the version before, then what is new. */
export function fateRows(before: Program, after: Program, links: readonly Link[]): readonly FateRow[] {
  const sides = linksBySide(links);
  const [old, next] = [before, after].map(({ commands }) => new Map(commands.map((one) => [one.id, one])));
  const taken = new Set<CommandId>();
  const rows = before.commands.flatMap((command): FateRow[] => {
    if (taken.has(command.id)) return [];
    const own = sides.from.get(command.id) ?? [];
    const all = [...new Set(own.flatMap((one) => sides.to.get(one.after) ?? []).concat(own))];
    for (const one of all) taken.add(one.before);
    const commands = (ids: readonly CommandId[], of: ReadonlyMap<CommandId, Command> | undefined): Command[] =>
      [...new Set(ids)].flatMap((id) => of?.get(id) ?? []);
    const [was, is] = [
      commands([command.id, ...all.map((one) => one.before)], old),
      commands(
        all.map((one) => one.after),
        next,
      ),
    ];
    const [first] = all;
    return [
      {
        key: command.id,
        before: was,
        after: is,
        fate: first && is[0] ? fateOf(first, sides, was[0] as Command, is[0]) : 'gone',
        links: all,
        unsure: all.some((one) => one.confidence === 'check'),
      },
    ];
  });
  const added = after.commands
    .filter((one) => !sides.to.has(one.id))
    .map((one): FateRow => ({ key: `new ${one.id}`, before: [], after: [one], fate: 'new', links: [], unsure: false }));
  return [...rows, ...added];
}
