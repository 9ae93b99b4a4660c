import { dropKeys } from '../keymap/changeKeys';
import type { Keymap } from '../keymap/keymap';
import type { Change } from '../keymap/ticket';
import type { Holder } from './clashIndex';

/** What taking a chord from its holders does to them: one change a command, however many ways it writes that chord. */
export function lossesOf(keymap: Keymap, holders: readonly Holder[]): Change[] {
  const ids = new Set(holders.map((holder) => holder.command.id));
  return [...ids].map((id) => {
    const chords = holders.filter((holder) => holder.command.id === id).map((holder) => holder.chord);
    return dropKeys(keymap, id, chords);
  });
}
