import type { ChordText } from '../chord/chord';
import type { ClashIndex } from '../clash/clashIndex';
import type { Place } from '../keyboard/placeOf';
import type { Keymap } from '../keymap/keymap';
import type { Command, CommandId } from '../program/program';
import type { CommandPair } from '../transfer/transferTypes';
import { HARMS, type Harm, harmOf } from './harmOf';

/** Keys that do one thing there and another here: what the hand means, and what happens. */
export type OtherAction = {
  readonly chord: ChordText;
  readonly theirs: Command;
  readonly mine: Command;
  /** Where what is meant lives here; null where there is no such command. */
  readonly counterpart: CommandId | null;
  readonly harm: Harm;
  readonly uses: number;
};

/**
 * The same keys with other actions, the most harmful first, then what the hand presses most.
 * @param index one's own keymap.
 * @param theirs theirs, in keys as they are here.
 */
export function otherActions(
  index: ClashIndex,
  theirs: Keymap,
  theirCommands: readonly Command[],
  pairs: readonly CommandPair[],
  place: Place,
  usesThere: (command: CommandId) => number,
): OtherAction[] {
  const here = new Map(pairs.map((pair) => [pair.theirs, pair.mine]));
  const found: OtherAction[] = [];
  for (const command of theirCommands) {
    const counterpart = here.get(command.id) ?? null;
    for (const { chord } of theirs.bindings.get(command.id) ?? []) {
      const holders = index.holders.get(place(chord)) ?? [];
      // Where what is meant answers as well, the two take turns or are heard in different places.
      if (holders.some((one) => one.command.id === counterpart)) continue;
      for (const { command: mine } of holders)
        found.push({ chord, theirs: command, mine, counterpart, harm: harmOf(mine), uses: usesThere(command.id) });
    }
  }
  return found.sort((a, b) => HARMS.indexOf(a.harm) - HARMS.indexOf(b.harm) || b.uses - a.uses);
}
