import type { ChordText } from '../chord/chord';
import type { CommandId } from '../program/program';
import { type Binding, binding, bindingsOf, type Keymap, sameBindings } from './keymap';

/** All bindings of one command before and after, and whether it is spare where that changes. */
export type Change = {
  readonly command: CommandId;
  readonly before: readonly Binding[];
  readonly after: readonly Binding[];
  readonly spare?: readonly [before: boolean, after: boolean];
};

/** One change to a keymap as a value: a title for people, and what happens to each command it touches, each once. */
export type Ticket = {
  readonly title: string;
  readonly changes: readonly Change[];
  /** The places on the tape of the tickets this one pulled out, counted from 1. */
  readonly pulled?: readonly number[];
};

/** The chords that a change gives its command. */
export const gained = ({ before, after }: Change): ChordText[] => without(after, before);
/** The chords that a change takes from its command. */
export const lost = ({ before, after }: Change): ChordText[] => without(before, after);
const without = (some: readonly Binding[], others: readonly Binding[]): ChordText[] =>
  some.map((one) => one.chord).filter((chord) => !others.some((one) => one.chord === chord));

/** Thrown when a ticket does not fit the keymap: something it rests on is no longer there. */
export class TicketMismatch extends Error {
  constructor(readonly command: CommandId) {
    super(`The keys of “${command}” are no longer what this step rests on.`);
    this.name = 'TicketMismatch';
  }
}

/**
 * The keymap after a ticket. The keymap given stays as it was.
 * @throws TicketMismatch when a command's bindings are not what the ticket says they were.
 */
export function applyTicket(keymap: Keymap, ticket: Ticket): Keymap {
  const bindings = new Map(keymap.bindings);
  const spares = ticket.changes.some((change) => change.spare) ? new Set(keymap.spares) : keymap.spares;
  for (const { command, before, after, spare } of ticket.changes) {
    if (!sameBindings(bindings.get(command) ?? [], before)) throw new TicketMismatch(command);
    if (after.length === 0) bindings.delete(command);
    else bindings.set(command, after);
    if (!spare) continue;
    if (spares.has(command) !== spare[0]) throw new TicketMismatch(command);
    if (spare[1]) (spares as Set<CommandId>).add(command);
    else (spares as Set<CommandId>).delete(command);
  }
  return { bindings, spares };
}

/** The keymap after changes that are known to fit it. What was changed comes last, as it does where keymaps are stored. */
export function afterChanges(keymap: Keymap, changes: readonly Change[]): Keymap {
  const bindings = new Map(keymap.bindings);
  const spares = new Set(keymap.spares);
  for (const { command, after, spare } of changes) {
    bindings.delete(command);
    if (after.length > 0)
      bindings.set(
        command,
        after.map(({ chord, keeper, hook }) => binding(chord, keeper, hook)),
      );
    if (!spare) continue;
    spares.delete(command);
    if (spare[1]) spares.add(command);
  }
  return { bindings, spares };
}

/**
 * The keymap after tickets of its own tape, one after the other. Where one does not fit what it rests on, its commands get
 * what it says, so that a tape leads on and back whatever has become of the bindings.
 */
export function replayTickets(keymap: Keymap, tickets: readonly Ticket[]): Keymap {
  return tickets.reduce((at, ticket) => {
    try {
      return applyTicket(at, ticket);
    } catch (error) {
      if (error instanceof TicketMismatch) return applyTicket(at, fitted(at, ticket));
      throw error;
    }
  }, keymap);
}

/** A ticket to the same end from where the keymap is. */
function fitted(keymap: Keymap, ticket: Ticket): Ticket {
  const changes = ticket.changes.map((change): Change => {
    const { command, spare } = change;
    const own = { ...change, before: bindingsOf(keymap, command) };
    return spare ? { ...own, spare: [keymap.spares.has(command), spare[1]] } : own;
  });
  return { ...ticket, changes };
}

/** The exact inverse: applied after the ticket, it gives the keymap there was before. */
export function invertTicket(ticket: Ticket): Ticket {
  return {
    title: ticket.title,
    changes: ticket.changes
      .map(({ command, before, after, spare }): Change => {
        const change = { command, before: after, after: before };
        return spare ? { ...change, spare: [spare[1], spare[0]] } : change;
      })
      .reverse(),
  };
}

/** A ticket without the changes that change nothing; null when none is left. */
export function trimTicket(keymap: Keymap, ticket: Ticket): Ticket | null {
  const changes = ticket.changes.filter(
    ({ command, after, spare }) =>
      !sameBindings(bindingsOf(keymap, command), after) || (spare && spare[0] !== spare[1]),
  );
  return changes.length === 0 ? null : { ...ticket, changes };
}
