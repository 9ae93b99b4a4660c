import { alikeOf, type ClashIndex, type Holder, MANY_HOLDERS, relation } from '../clash/clashIndex';
import { easiest } from '../effort/gains';
import type { Place } from '../keyboard/placeOf';
import { bindingsOf, type Keymap, sameKeys } from '../keymap/keymap';
import type { Command, ContextId, Kind } from '../program/program';
import { HARD } from '../reach/describeReach';
import type { ReachOf } from '../reach/reachOf';

/** What can be said of a command in a keymap, to filter by. */
export const MARKS = [
  'no key',
  'yours',
  'keeper',
  'spare',
  'clashing',
  'takes turns',
  'hold',
  'hard to reach',
  'both hands',
] as const;
export type Mark = (typeof MARKS)[number];

/** A filter: every mark chosen has to hold; of kinds, menus and contexts, one of those chosen. Empty lets all through. */
export type Filter = {
  readonly marks: readonly Mark[];
  readonly kinds: readonly Kind[];
  readonly menus: readonly string[];
  readonly contexts: readonly ContextId[];
};
export const NO_FILTER: Filter = { marks: [], kinds: [], menus: [], contexts: [] };

/** How many filters are on. */
export function countOn({ marks, kinds, menus, contexts }: Filter): number {
  return marks.length + kinds.length + menus.length + contexts.length;
}

/** The menu a command stands in: the first step of its path. */
export function menuOf(command: Command): string {
  return command.path[0] ?? '';
}

/**
 * The marks of every command of a program, one bit a mark in the order of MARKS; worked out once a state of the keymap.
 * @param reach null leaves out what is so of reach.
 */
export function markCommands(
  index: ClashIndex,
  factory: Keymap,
  place: Place,
  reach: ReachOf | null = null,
): ReadonlyMap<Command, number> {
  const { facts, keymap } = index;
  const bits = new Map<Command, number>();
  for (const command of facts.program.commands) {
    const bindings = bindingsOf(keymap, command.id);
    const meets = facts.meets.get(command.context);
    let mark = bindings.length === 0 ? BIT['no key'] : 0;
    const came = bindingsOf(factory, command.id);
    if (bindings !== came && !sameKeys(bindings, came)) mark |= BIT.yours;
    if (keymap.spares.has(command.id)) mark |= BIT.spare;
    if (reach && bindings.length > 0) {
      const best = easiest(bindings.map(({ chord }) => reach(chord)));
      if (!best || best.figure >= HARD) mark |= BIT['hard to reach'];
      if (best?.hands === 'both') mark |= BIT['both hands'];
    }
    for (const { chord, keeper } of bindings) {
      if (keeper) mark |= BIT.keeper;
      if (chord.startsWith('hold:')) mark |= BIT.hold;
      const here = index.holders.get(place(chord)) ?? NOBODY;
      const along = (other: Command): void => {
        if (!meets?.has(other.context)) return;
        const how = relation(facts, command, other);
        if (how === 'turns') mark |= BIT['takes turns'];
        else if (how === 'clash') mark |= BIT.clashing;
      };
      if (here.length >= MANY_HOLDERS) {
        for (const { command: one, commands } of alikeOf(facts, here))
          if (commands.size > 1 || one !== command) along(one);
      } else for (const other of here) if (other.command !== command) along(other.command);
    }
    bits.set(command, mark);
  }
  return bits;
}

const NOBODY: readonly Holder[] = [];
const BIT = Object.fromEntries(MARKS.map((mark, i) => [mark, 1 << i])) as Record<Mark, number>;

/** The commands of a list that a filter lets through. */
export function applyFilter(
  commands: readonly Command[],
  marks: ReadonlyMap<Command, number>,
  filter: Filter,
): readonly Command[] {
  if (countOn(filter) === 0) return commands;
  const wanted = bitsOf(filter);
  return commands.filter((command) => ((marks.get(command) ?? 0) & wanted) === wanted && inLists(command, filter));
}

/** How many commands of a list would be left with each further mark. */
export function countMarks(
  commands: readonly Command[],
  marks: ReadonlyMap<Command, number>,
  filter: Filter,
): Readonly<Record<Mark, number>> {
  const counts = Object.fromEntries(MARKS.map((mark) => [mark, 0])) as Record<Mark, number>;
  // Thousands of commands have few different sets of marks.
  const tally = new Map<number, number>();
  for (const command of commands) {
    const bits = marks.get(command) ?? 0;
    if (bits !== 0 && inLists(command, filter)) tally.set(bits, (tally.get(bits) ?? 0) + 1);
  }
  const wanted = bitsOf(filter);
  for (const [bits, many] of tally)
    if ((bits & wanted) === wanted) for (const mark of MARKS) if (bits & BIT[mark]) counts[mark] += many;
  return counts;
}

function bitsOf({ marks }: Filter): number {
  return marks.reduce((bits, mark) => bits | BIT[mark], 0);
}

function inLists(command: Command, { kinds, menus, contexts }: Filter): boolean {
  return (
    (kinds.length === 0 || kinds.includes(command.kind)) &&
    (menus.length === 0 || menus.includes(menuOf(command))) &&
    (contexts.length === 0 || contexts.includes(command.context))
  );
}
