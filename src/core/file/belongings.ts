import type { WishList } from '../advice/wishList';
import type { Row } from '../keymap/keymap';
import type { Change, Ticket } from '../keymap/ticket';
import type { CommandId } from '../program/program';
import type { DatedTicket, KeptState, WholeKeymap, WholeSheet } from '../whole/whole';

/** How a keymap became what it is: its tape, how much of it is applied, what was kept and what was left aside. */
export type FileDraft = Pick<WholeKeymap, 'tape' | 'cursor' | 'kept' | 'leftAside'>;
/** What belongs to a keymap in a file besides its keys. Keymaps are told by their names; null for the factory's. */
export type FileBelongings = {
  readonly draft?: FileDraft;
  readonly wishes?: WishList;
  /** `base` of a sheet is the name of a keymap, too; empty for the factory's. */
  readonly sheets?: readonly WholeSheet[];
  readonly ticks?: readonly { readonly from: string | null; readonly ticks: readonly string[] }[];
};
/** What was said of a command's counterpart in another program; null that it has none there. */
export type FileSaid = {
  readonly command: CommandId;
  readonly program: { readonly name: string; readonly version: string };
  readonly counterpart: CommandId | null;
};

/** What of a keymap's past speaks of commands that are known; a ticket that speaks of no other is left out. */
export function knownDraft({ tape, cursor, kept, leftAside }: FileDraft, known: ReadonlySet<CommandId>): FileDraft {
  const changes = (all: readonly Change[]): readonly Change[] => all.filter((one) => known.has(one.command));
  const ticketsOf = <One extends Ticket>(tickets: readonly One[]): readonly One[] =>
    tickets.map((one) => ({ ...one, changes: changes(one.changes) }));
  const some = ticketsOf<DatedTicket>(tape);
  const stays = (one: Ticket): boolean => one.changes.length > 0;
  const whole = some.every(stays);
  const rowsOf = (rows: readonly Row[]): readonly Row[] => rows.filter(([command]) => known.has(command));
  const state = (one: KeptState): KeptState => ({
    ...one,
    bindings: rowsOf(one.bindings),
    spares: one.spares.filter((command) => known.has(command)),
    // Where the tape is another, nobody knows any more where on it this was kept.
    cursor: whole ? one.cursor : null,
  });
  return {
    tape: some.filter(stays).map((one) => (whole ? one : withoutPulled(one))),
    cursor: some.slice(0, cursor).filter(stays).length,
    kept: kept.map(state),
    leftAside: leftAside.map((one) => ({ ...one, tickets: ticketsOf(one.tickets).filter(stays) })),
  };
}

/** Which places a ticket pulled says nothing where the tape is another. */
const withoutPulled = ({ pulled: _, ...ticket }: DatedTicket): DatedTicket => ticket;
