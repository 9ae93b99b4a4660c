import type { CommandId } from '../program/program';
import type { Known } from './counterpart';

/** What a person said: these two do the same; or, with null, the first has no counterpart in the other program. */
export type Said = {
  readonly program: string;
  readonly command: CommandId;
  readonly other: string;
  readonly counterpart: CommandId | null;
};

/** What was said of the counterparts in one program of another's commands, for findCounterparts. */
export type KnownPairs = { readonly known: ReadonlyMap<CommandId, Known>; readonly alone: ReadonlySet<CommandId> };

/**
 * Gathers what was said of two programs, used both ways, and what follows from it through a third: if a command here does
 * the same as one there, and that one the same as one in the other program, these two do the same. What was said of the
 * two programs themselves comes first; nothing is given twice.
 * @param nameOf how a third program is called.
 */
export function knownPairs(
  all: readonly Said[],
  left: string,
  right: string,
  nameOf: (program: string) => string,
): KnownPairs {
  const known = new Map<CommandId, Known>();
  const taken = new Set<CommandId>();
  const alone = new Set<CommandId>();
  const direct = both(all).filter((one) => one.program === left && one.other === right);
  for (const { command, counterpart } of direct) {
    known.set(command, { counterpart, through: null });
    if (counterpart !== null) taken.add(counterpart);
  }
  for (const one of all)
    if (one.program === right && one.other === left && one.counterpart === null) alone.add(one.command);
  const pairs = both(all);
  const fromLeft = pairs.filter((one) => one.program === left && one.other !== right && one.counterpart !== null);
  for (const { command, other, counterpart } of fromLeft) {
    if (known.has(command)) continue;
    const onward = pairs.find(
      (one) => one.program === other && one.other === right && one.command === counterpart && one.counterpart !== null,
    );
    const end = onward?.counterpart ?? null;
    if (end === null || taken.has(end) || alone.has(end)) continue;
    known.set(command, { counterpart: end, through: nameOf(other) });
    taken.add(end);
  }
  return { known, alone };
}

/** What was said of a command's counterpart, from either side; null that it has none, undefined where nothing was said. */
export const saidOf = (all: readonly Said[], subject: Omit<Said, 'counterpart'>): CommandId | null | undefined =>
  both(all).find(
    (one) => one.program === subject.program && one.other === subject.other && one.command === subject.command,
  )?.counterpart;

/** Every pair as said and the other way around; that something has no counterpart goes one way only. */
function both(all: readonly Said[]): Said[] {
  return all.flatMap((one) =>
    one.counterpart === null
      ? [one]
      : [one, { program: one.other, command: one.counterpart, other: one.program, counterpart: one.command }],
  );
}

/**
 * What is said after somebody has said something more: in place of whatever was said of either command between these two
 * programs before. Undefined only forgets.
 */
export function withSaid(
  all: readonly Said[],
  { program, command, other }: Omit<Said, 'counterpart'>,
  counterpart: CommandId | null | undefined,
): Said[] {
  const of = (one: Said, p: string, id: CommandId | null | undefined, q: string): boolean =>
    (one.program === p && one.command === id && one.other === q) ||
    (one.program === q && one.other === p && one.counterpart !== null && one.counterpart === id);
  const left = all.filter((one) => !of(one, program, command, other) && !of(one, other, counterpart, program));
  return counterpart === undefined ? left : [...left, { program, command, other, counterpart }];
}
