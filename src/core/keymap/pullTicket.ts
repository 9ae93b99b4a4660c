import type { ChordText } from '../chord/chord';
import { cutText } from '../text/cutText';
import { compareKeymaps } from './compareKeymaps';
import type { Keymap } from './keymap';
import { gained, invertTicket, lost, replayTickets, type Ticket } from './ticket';

/**
 * The later tickets that rest on one of the tape, by their places counted from 1: they touch a command that it touches,
 * take keys that it set free, or rest on a ticket that does. Empty when it can be pulled out by itself.
 * @param place where chords are really pressed.
 */
export function restingOn(
  tape: readonly Ticket[],
  position: number,
  place: (chord: ChordText) => ChordText = (chord) => chord,
): number[] {
  const gone = goneFrom(tape);
  const first = tape[position - 1];
  if (!first || gone.has(position)) return [];
  const touched = new Set(first.changes.map((change) => change.command));
  const freed = new Set(first.changes.flatMap((change) => lost(change).map(place)));
  const resting: number[] = [];
  tape.forEach((ticket, i) => {
    if (i < position || gone.has(i + 1) || ticket.pulled) return;
    const rests = ticket.changes.some(
      (change) => touched.has(change.command) || gained(change).some((chord) => freed.has(place(chord))),
    );
    if (!rests) return;
    resting.push(i + 1);
    for (const change of ticket.changes) {
      touched.add(change.command);
      for (const chord of lost(change)) freed.add(place(chord));
    }
  });
  return resting;
}

/**
 * The ticket that takes tickets out of the middle of a tape, as if they had never been: it goes on the end of the tape,
 * so that undo puts them back. Null when they change nothing any more.
 * @param keymap the state after the whole of `tape`, which holds applied tickets only.
 */
export function pullTicket(keymap: Keymap, tape: readonly Ticket[], positions: readonly number[]): Ticket | null {
  const gone = new Set([...goneFrom(tape), ...positions]);
  const start = replayTickets(keymap, [...tape].reverse().map(invertTicket));
  const without = replayTickets(
    start,
    tape.filter((ticket, i) => !gone.has(i + 1) && !ticket.pulled),
  );
  const changes = compareKeymaps(keymap, without);
  if (changes.length === 0) return null;
  const names = positions.map((position) => tape[position - 1]?.title ?? '');
  const title = `Pull out ${names[0]}${names.length > 1 ? ` and ${names.length - 1} more` : ''}`;
  return { title: cutText(title, 200), changes, pulled: [...positions].sort((a, b) => a - b) };
}

/** The places of the tickets that later ones of the tape have pulled out. */
export function goneFrom(tape: readonly Ticket[]): ReadonlySet<number> {
  return new Set(tape.flatMap((ticket) => ticket.pulled ?? []));
}
