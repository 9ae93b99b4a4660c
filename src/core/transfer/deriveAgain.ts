import { bindingsOf, type Keymap, sameBindings, sameKeys } from '../keymap/keymap';
import type { CommandId } from '../program/program';
import { transfer } from './transfer';
import type { Transfer, TransferTask } from './transferTypes';

/** What deriving again brings. */
export type DerivedAgain = {
  readonly transfer: Transfer;
  /** Commands whose keys were corrected by hand since; they stay as they are. */
  readonly corrected: readonly CommandId[];
  /** Their commands whose keys have changed since. */
  readonly changedThere: readonly CommandId[];
};

/**
 * Derives a keymap again after its source has changed: what changed there comes over, as one ticket on the keymap as it
 * is; what was corrected by hand since it was derived stays exactly as it is. Where nothing has changed there, nothing
 * changes.
 * @param task with the keymap as it is now, and theirs as it is now.
 * @param derived the keymap as it was derived.
 * @param theirsThen theirs as it was then.
 */
export function deriveAgain(task: TransferTask, derived: Keymap, theirsThen: Keymap, title: string): DerivedAgain {
  const { keymap, theirKeys } = task;
  const all = new Set([...keymap.bindings.keys(), ...derived.bindings.keys()]);
  const corrected = [...all].filter((id) => !sameBindings(bindingsOf(keymap, id), bindingsOf(derived, id)));
  const there = new Set([...theirKeys.bindings.keys(), ...theirsThen.bindings.keys()]);
  const changedThere = [...there].filter((id) => !sameKeys(bindingsOf(theirKeys, id), bindingsOf(theirsThen, id)));
  const changed = new Set(changedThere);
  const settled = new Map([...task.settled, ...corrected.map((id) => [id, bindingsOf(keymap, id)] as const)]);
  const pairs = task.pairs.filter((pair) => changed.has(pair.theirs));
  return { transfer: transfer({ ...task, pairs, settled }, title), corrected, changedThere };
}
