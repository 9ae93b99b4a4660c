import type { CommandId } from '../program/program';
import { goneFrom } from './pullTicket';
import type { Change, Ticket } from './ticket';

/** The tickets of a tape that touched a command, with their places counted from 1, and whether they are undone or pulled out. */
export function historyOf(
  tape: readonly Ticket[],
  cursor: number,
  command: CommandId,
): {
  readonly position: number;
  readonly ticket: Ticket;
  readonly change: Change;
  readonly state: 'applied' | 'undone' | 'pulled';
}[] {
  const gone = goneFrom(tape.slice(0, cursor));
  return tape.flatMap((ticket, i) => {
    const change = ticket.changes.find((one) => one.command === command);
    const state = i >= cursor ? 'undone' : gone.has(i + 1) ? 'pulled' : 'applied';
    return change ? [{ position: i + 1, ticket, change, state }] : [];
  });
}
