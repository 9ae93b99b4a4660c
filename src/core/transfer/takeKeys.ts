import type { ChordText } from '../chord/chord';
import { relation } from '../clash/clashIndex';
import { type Binding, bindingsOf, type Keymap } from '../keymap/keymap';
import type { Command, CommandId } from '../program/program';
import type { Claims } from './claimKeys';
import type { TransferTask } from './transferTypes';

/** Somebody from whom keys were taken, and what is left. */
export type Fallen = {
  readonly command: Command;
  readonly lost: readonly ChordText[];
  readonly left: readonly Binding[];
  readonly to: readonly CommandId[];
};

/** Takes claimed keys from everybody else who would clash with them, or would have to take turns from now on. */
export function takeKeys(task: TransferTask, keymap: Keymap, { at, got, stays }: Claims): Fallen[] {
  const { facts, where } = task.advisor;
  const fresh = new Set([...got.values()].flat().map(where.place));
  const fallen: Fallen[] = [];
  for (const command of facts.program.commands) {
    const had = bindingsOf(keymap, command.id);
    const to = new Set<CommandId>();
    const left = had.filter((binding) => {
      const place = where.place(binding.chord);
      const claimed = fresh.has(place) ? (at.get(place) ?? []) : [];
      if (claimed.some((one) => one.id === command.id) || binding.keeper || stays.has(command.id)) return true;
      const takers = claimed.filter((one) => {
        const how = relation(facts, one, command);
        return how === 'clash' || how === 'turns';
      });
      for (const one of takers) to.add(one.id);
      return takers.length === 0;
    });
    if (left.length < had.length)
      fallen.push({
        command,
        lost: had.filter((one) => !left.includes(one)).map((one) => one.chord),
        left,
        to: [...to],
      });
  }
  return fallen;
}
