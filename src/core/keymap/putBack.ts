import { cutText } from '../text/cutText';
import { compareKeymaps } from './compareKeymaps';
import type { Keymap } from './keymap';
import { replayTickets, type Ticket } from './ticket';

/**
 * The ticket that does tickets again that were left aside: their commands get what the last of them gave, whatever came
 * since. Null when the draft is like that already.
 */
export function putBack(keymap: Keymap, tickets: readonly Ticket[]): Ticket | null {
  const changes = compareKeymaps(keymap, replayTickets(keymap, tickets));
  if (changes.length === 0) return null;
  const more = tickets.length > 1 ? ` and ${tickets.length - 1} more` : '';
  return { title: cutText(`Put back ${tickets[0]?.title ?? ''}${more}`, 200), changes };
}
