import type { Command, CommandId } from '../program/program';

/** One thing that several programs do: its command in each of them, in their order; null where one has none. */
export type ConceptRow = {
  readonly commands: readonly (Command | null)[];
  /** The places of those that only likely do the same: they came by way of another program, and are not sure themselves. */
  readonly likely: readonly number[];
};
/** Counterparts between two of the programs, by their places. */
export type PairsBetween = {
  readonly first: number;
  readonly second: number;
  /** Those that are sure. */
  readonly pairs: readonly (readonly [first: CommandId, second: CommandId])[];
  /** How many besides are only likely, and count nowhere. */
  readonly likely: number;
};

/**
 * Everything that several programs do as one table: commands joined by being counterparts, directly or by way of another
 * program, at most one of each program; what would bring two of one program together is left apart. What most programs
 * do comes first, else in the order of the programs.
 */
export function conceptTable(
  programs: readonly (readonly Command[])[],
  between: readonly PairsBetween[],
): ConceptRow[] {
  const rowOf = programs.map(
    (commands) =>
      new Map(commands.map((one) => [one.id, { commands: [] as (Command | null)[], likely: [] as number[] }])),
  );
  programs.forEach((commands, p) => {
    for (const command of commands) {
      const row = rowOf[p]?.get(command.id);
      if (row) row.commands = programs.map((_, at) => (at === p ? command : null));
    }
  });
  for (const { first, second, pairs } of between) {
    for (const [a, b] of pairs) {
      const one = rowOf[first]?.get(a);
      const other = rowOf[second]?.get(b);
      if (!one || !other || one === other) continue;
      if (one.commands.some((command, p) => command !== null && other.commands[p] !== null)) continue;
      one.commands = one.commands.map((command, p) => command ?? other.commands[p] ?? null);
      one.commands.forEach((command, p) => {
        if (command) rowOf[p]?.set(command.id, one);
      });
    }
  }
  const sure = new Set(
    between.flatMap(({ first, second, pairs }) => pairs.map(([a, b]) => `${first} ${a} ${second} ${b}`)),
  );
  const rows = [...new Set(programs.flatMap((commands, p) => commands.map((one) => rowOf[p]?.get(one.id))))];
  const filled = (row: ConceptRow): number => row.commands.filter((one) => one !== null).length;
  return rows
    .filter((row) => row !== undefined)
    .map(({ commands }) => ({ commands, likely: unsure(commands, sure) }))
    .sort((a, b) => filled(b) - filled(a));
}

/** The places of a row whose commands are not the sure counterpart of the first in it, by which the row is called. */
function unsure(commands: ConceptRow['commands'], sure: ReadonlySet<string>): number[] {
  const first = commands.findIndex((one) => one !== null);
  return commands.flatMap((command, second) =>
    command && second > first && !sure.has(`${first} ${commands[first]?.id} ${second} ${command.id}`) ? [second] : [],
  );
}
