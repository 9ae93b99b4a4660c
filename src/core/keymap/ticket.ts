import type { CommandId } from '../program/program';
import { type Binding, bindingsOf, type Keymap, sameBindings } from './keymap';

/** All bindings of one command before and after. */
export type Change = {
  readonly command: CommandId;
  readonly before: readonly Binding[];
  readonly after: readonly Binding[];
};

/** One change to a keymap as a value: a title for people, and what happens to each command it touches, each once. */
export type Ticket = { readonly title: string; readonly changes: readonly Change[] };

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
  const next = new Map(keymap);
  for (const { command, before, after } of ticket.changes) {
    if (!sameBindings(bindingsOf(next, command), before)) throw new TicketMismatch(command);
    if (after.length === 0) next.delete(command);
    else next.set(command, after);
  }
  return next;
}

/** The exact inverse: applied after the ticket, it gives the keymap there was before. */
export function invertTicket(ticket: Ticket): Ticket {
  return {
    title: ticket.title,
    changes: ticket.changes.map(({ command, before, after }) => ({ command, before: after, after: before })).reverse(),
  };
}
