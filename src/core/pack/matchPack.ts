import type { Counterpart, Known } from '../counterpart/counterpart';
import { findCounterparts } from '../counterpart/findCounterparts';
import { bindingsOf, type Keymap } from '../keymap/keymap';
import type { Command, CommandId, Program } from '../program/program';
import { fold } from '../text/fold';
import type { Pack } from './pack';

/** What a line of a pack is called here: its commands have no ids of a program. */
export const lineId = (index: number): CommandId => `line ${index}`;

/** The commands of a pack as those of a program. */
export function packCommands({ lines }: Pack, { contexts }: Pick<Program, 'contexts'>): readonly Command[] {
  const everywhere = contexts.find((one) => one.parent === null)?.id ?? '';
  return lines.map(({ command }, i) => ({ ...command, id: lineId(i), context: everywhere }));
}

/**
 * Which commands of a program do what the lines of a pack say: in the same program those of the same name, else by the
 * counterparts of both.
 * @param said what a person says, by the lines; null for none.
 */
export function matchPack(
  pack: Pack,
  program: Program,
  factory: Keymap,
  said: ReadonlyMap<CommandId, CommandId | null> = new Map(),
): readonly Counterpart[] {
  const commands = packCommands(pack, program);
  const known = new Map<CommandId, Known>(
    [...said].map(([id, counterpart]) => [id, { counterpart, through: null }] as const),
  );
  const taken = new Set([...known.values()].map((one) => one.counterpart));
  const sameProgram = fold(pack.program.name) === fold(program.name);
  for (const one of sameProgram ? commands : []) {
    if (known.has(one.id)) continue;
    const named = program.commands.filter((other) => fold(other.name) === fold(one.name) && !taken.has(other.id));
    const placed = named.filter((other) => other.path.join('\n') === one.path.join('\n'));
    const [own, ...more] = placed.length > 0 ? placed : named;
    if (!own || more.length > 0) continue;
    known.set(one.id, { counterpart: own.id, through: null });
    taken.add(own.id);
  }
  const keysOf = new Map(pack.lines.map((one, i) => [lineId(i), one.factory]));
  return (
    findCounterparts(commands, program.commands, {
      known,
      alone: new Set(),
      lessons: [],
      leftKeys: (id) => keysOf.get(id) ?? [],
      rightKeys: (id) => bindingsOf(factory, id).map((one) => one.chord),
    }) ?? []
  );
}
