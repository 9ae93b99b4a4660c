import { dequal } from 'dequal';
import { NO_WISHES, type WishList } from '../advice/wishList';
import { type Keymap, keymapOf, type Row } from '../keymap/keymap';
import { applyTicket, invertTicket, type Ticket, TicketMismatch } from '../keymap/ticket';
import type { WholeContents, WholeKeymap, WholeProgram, WholeWorkspace } from './whole';

/** How what is here stands to what a file has: which of them has all of the other. */
export type Standing = 'same' | 'further here' | 'further there' | 'differs';

const standing = (hereHasIt: boolean, thereHasIt: boolean): Standing =>
  hereHasIt ? (thereHasIt ? 'same' : 'further here') : thereHasIt ? 'further there' : 'differs';

/** How a keymap here stands to one of a file. What belongs to it besides its wish list is not looked at. */
export function keymapStanding(here: WholeKeymap, there: WholeKeymap): Standing {
  if (!wishesAgree(here.wishes, there.wishes)) return 'differs';
  return standing(hasKeymap(here, there), hasKeymap(there, here));
}

/** Whether there is nothing in a wish list. */
export const wishesNothing = (list: WishList | null): boolean => list === null || dequal(list, NO_WISHES);
const wishesAgree = (a: WishList | null, b: WishList | null): boolean =>
  wishesNothing(a) || wishesNothing(b) || dequal(a, b);

/** Whether all that was ever done in one keymap was done in another, which may have gone further. */
function hasKeymap(longer: WholeKeymap, shorter: WholeKeymap): boolean {
  const less = longer.kept.length - shorter.kept.length;
  const kept = shorter.kept.every((one, i) => {
    const other = longer.kept[i];
    return !!other && sameState(keymapOf(one.bindings, one.spares), keymapOf(other.bindings, other.spares));
  });
  const applied = shorter.tape.slice(0, shorter.cursor);
  if (!kept || !beginsWith(longer.tape, applied)) return false;
  // What was undone or left aside is there until a keymap is kept.
  const aside = longer.leftAside.map((one) => one.tickets);
  if (less === 0) {
    const undone = shorter.tape.slice(shorter.cursor);
    if (!beginsWith(longer.tape.slice(shorter.cursor), undone) && !aside.some((one) => beginsWith(one, undone)))
      return false;
    if (!shorter.leftAside.every(({ tickets }) => aside.some((one) => beginsWith(one, tickets)))) return false;
    // Of two that only stand at other places of one tape neither has gone further.
    const one = longer.tape.length === shorter.tape.length && beginsWith(longer.tape, shorter.tape);
    if (one && longer.cursor !== shorter.cursor) return false;
  }
  const then = stateAt(longer, shorter.cursor);
  return then !== null && sameState(then, keymapOf(shorter.rows, shorter.spares));
}

const beginsWith = (tape: readonly Ticket[], tickets: readonly Ticket[]): boolean =>
  tickets.length <= tape.length && tickets.every((one, i) => sameTicket(one, tape[i]));

const sameTicket = (a: Ticket, b: Ticket | undefined): boolean =>
  !!b && a.title === b.title && dequal(a.changes, b.changes) && dequal(a.pulled, b.pulled);

/** A keymap as it was or would be with so many tickets applied; null where its tape does not lead there. */
function stateAt({ rows, spares, tape, cursor }: WholeKeymap, wanted: number): Keymap | null {
  const between = tape.slice(Math.min(cursor, wanted), Math.max(cursor, wanted));
  const tickets = wanted < cursor ? between.toReversed().map(invertTicket) : between;
  try {
    return tickets.reduce(applyTicket, keymapOf(rows, spares));
  } catch (error) {
    if (error instanceof TicketMismatch) return null;
    throw error;
  }
}

/** Whether two keymaps are alike to the last mark; the order of the commands says nothing. */
const sameState = (a: Keymap, b: Keymap): boolean => dequal(a.bindings, b.bindings) && dequal(a.spares, b.spares);

/** Whether rows make the same keymap. */
const sameRows = (a: readonly Row[], b: readonly Row[]): boolean =>
  a.length === b.length && dequal(keymapOf(a).bindings, keymapOf(b).bindings);

/** How a program here stands to one of a file: its list, what it allows, its factory keys. */
export function programStanding(here: WholeProgram, there: WholeProgram): Standing {
  const [mine, theirs] = [here.keymaps[0], there.keymaps[0]];
  if (here.version !== there.version || !mine || !theirs || !sameRows(mine.rows, theirs.rows)) return 'differs';
  if (dequal(here.facts, there.facts)) return 'same';
  return standing(hasProgram(here, there), hasProgram(there, here));
}

/** Whether one list went through all that another did, and still has every command of it. */
function hasProgram(longer: WholeProgram, shorter: WholeProgram): boolean {
  const done = (one: WholeProgram) => one.steps.filter((step) => !step.undone);
  const [all, some] = [done(longer), done(shorter)];
  const start = all[some.length]?.before ?? longer.facts;
  const has = new Set(longer.facts.commands.map((one) => one.id));
  return (
    some.length < all.length &&
    some.every((step, i) => dequal(step.after, all[i]?.after)) &&
    dequal(start, shorter.facts) &&
    shorter.facts.commands.every((one) => has.has(one.id))
  );
}

/**
 * How a workspace here stands to one of a file.
 * @param mine contents of here and @param theirs contents of the file with what their keymaps are compared by.
 */
export function workspaceStanding(
  here: WholeWorkspace,
  there: WholeWorkspace,
  mine: (contents: WholeContents) => WholeContents,
  theirs: (contents: WholeContents) => WholeContents,
): Standing {
  const own = here.versions.map((one) => mine(one.contents));
  const other = there.versions.map((one) => theirs(one.contents));
  const begins = (longer: readonly WholeContents[], shorter: readonly WholeContents[]): boolean =>
    shorter.length <= longer.length && shorter.every((one, i) => dequal(one, longer[i]));
  return standing(begins(own, other), begins(other, own));
}
