import type { ChordText } from '../chord/chord';
import type { Place } from '../keyboard/placeOf';
import { giveKeys } from '../keymap/changeKeys';
import { bindingsOf, type Keymap } from '../keymap/keymap';
import { applyTicket, type Change } from '../keymap/ticket';
import type { Command } from '../program/program';
import { type ClashIndex, relation } from './clashIndex';

/** Keys that a command has by the factory's, and that others have taken from it. */
export type Owed = { readonly command: Command; readonly chord: ChordText };

/**
 * What commands have taken: factory keys of others that these no longer have and that only those commands stand in the way
 * of, so that they can be given back once those commands are on other keys.
 * @param place where chords are really pressed.
 */
export function owedBy(index: ClashIndex, place: Place, factory: Keymap, commands: readonly Command[]): Owed[] {
  const { facts, keymap, holders } = index;
  const takers = new Set(commands.map(({ id }) => id));
  const taken = new Set(commands.flatMap(({ id }) => bindingsOf(keymap, id).map(({ chord }) => place(chord))));
  return facts.program.commands.flatMap((command) =>
    takers.has(command.id)
      ? []
      : bindingsOf(factory, command.id).flatMap(({ chord }): Owed[] => {
          const at = place(chord);
          if (!taken.has(at) || bindingsOf(keymap, command.id).some((one) => place(one.chord) === at)) return [];
          const inTheWay = (holders.get(at) ?? []).filter((one) => relation(facts, command, one.command) === 'clash');
          return inTheWay.length > 0 && inTheWay.every((one) => takers.has(one.command.id)) ? [{ command, chord }] : [];
        }),
  );
}

/** The changes that give keys back, beside those that their commands have by now. */
export function giveBack(keymap: Keymap, owed: readonly Owed[]): Change[] {
  const changes = new Map<string, Change>();
  let now = keymap;
  for (const { command, chord } of owed) {
    const change = giveKeys(now, command.id, chord, () => true);
    now = applyTicket(now, { title: '', changes: [change] });
    changes.set(command.id, { ...change, before: bindingsOf(keymap, command.id) });
  }
  return [...changes.values()];
}
