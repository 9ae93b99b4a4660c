import type { ChordText } from '../chord/chord';
import type { Place } from '../keyboard/placeOf';
import type { Keymap } from '../keymap/keymap';
import { gained, invertTicket, type Ticket } from '../keymap/ticket';
import type { Command, CommandId } from '../program/program';
import { type ProgramFacts, type Relation, relation } from './clashIndex';

/** Another command on keys that a ticket gives, and how the two get along. */
export type Sharer = { readonly command: Command; readonly relation: Exclude<Relation, 'apart'> };
/** Of each command of a ticket and each chord it gives, who answers to that chord as well when it is done. */
export type Sharers = ReadonlyMap<CommandId, ReadonlyMap<ChordText, readonly Sharer[]>>;

/**
 * Who shares the keys that tickets give, for each ticket of a stretch of a tape as it was right after that ticket.
 * @param keymap the state after `cursor` tickets of the stretch.
 */
export function sharersOnTape(
  facts: ProgramFacts,
  place: Place,
  keymap: Keymap,
  tape: readonly Ticket[],
  cursor: number,
): readonly Sharers[] {
  const given = tape.flatMap(({ changes }) => changes.flatMap((change) => gained(change).map(place)));
  const now = new Map<ChordText, Set<CommandId>>(given.map((chord) => [chord, new Set()]));
  for (const [command, bindings] of keymap.bindings)
    for (const { chord } of bindings) now.get(place(chord))?.add(command);
  const apply = (held: typeof now, { changes }: Ticket): void => {
    for (const { command, before, after } of changes) {
      for (const { chord } of before) held.get(place(chord))?.delete(command);
      for (const { chord } of after) held.get(place(chord))?.add(command);
    }
  };
  const copy = (): typeof now => new Map([...now].map(([chord, commands]) => [chord, new Set(commands)]));
  const others = (held: typeof now, command: CommandId, chord: ChordText): Sharer[] => {
    const own = facts.commands.get(command);
    return [...(held.get(place(chord)) ?? [])].flatMap((id) => {
      const other = id === command ? undefined : facts.commands.get(id);
      const how = own && other ? relation(facts, own, other) : 'apart';
      return other && how !== 'apart' ? [{ command: other, relation: how }] : [];
    });
  };
  const look = (held: typeof now, { changes }: Ticket): Sharers =>
    new Map(
      changes.map((change) => [
        change.command,
        new Map(gained(change).map((chord) => [chord, others(held, change.command, chord)])),
      ]),
    );
  const said: Sharers[] = new Array(tape.length);
  const back = copy();
  for (let i = cursor - 1; i >= 0; i--) {
    const ticket = tape[i] as Ticket;
    said[i] = look(back, ticket);
    apply(back, invertTicket(ticket));
  }
  const forth = copy();
  for (let i = cursor; i < tape.length; i++) {
    const ticket = tape[i] as Ticket;
    apply(forth, ticket);
    said[i] = look(forth, ticket);
  }
  return said;
}
