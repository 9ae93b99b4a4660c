import { bindingsOf, type Keymap } from '../keymap/keymap';
import type { Plan, WishList } from './wishList';

/**
 * What a plan that is put on the tape settles: the keys it leaves each of its commands with. What an earlier plan settled
 * of others stands.
 * @param after the keymap when the plan is done.
 */
export function settledBy({ lines }: Plan, list: WishList, after: Keymap): WishList['settled'] {
  const settled = new Map(list.settled);
  for (const { command, role, after: given } of lines)
    if (role !== 'spare') settled.set(command, given?.chord ?? bindingsOf(after, command)[0]?.chord ?? null);
  return [...settled];
}
