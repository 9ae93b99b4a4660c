import type { Place } from '../keyboard/placeOf';
import { bindingsOf, type Keymap } from '../keymap/keymap';
import type { CommandId } from '../program/program';
import type { CommandPair } from '../transfer/transferTypes';

/** How much of a hand carries over from one keymap to another. */
export type Agreement = {
  /** Of the things done in both that have keys in theirs, those that answer to one of these keys here as well. */
  readonly same: number;
  readonly all: number;
  /** `same` of `all`, from 0 to 1; null where there is nothing done in both, which is not the same as nothing alike. */
  readonly part: number | null;
  /** The same with everything counted as often as it is used there; null where nothing is. */
  readonly weighted: number | null;
};

/**
 * Counts how much of the hand that knows theirs carries over.
 * @param usesThere uses a day of a command there.
 */
export function agreement(
  pairs: readonly CommandPair[],
  mine: Keymap,
  theirs: Keymap,
  place: Place,
  usesThere: (command: CommandId) => number,
): Agreement {
  let same = 0;
  let all = 0;
  let sameUses = 0;
  let allUses = 0;
  for (const pair of pairs) {
    const there = bindingsOf(theirs, pair.theirs);
    if (there.length === 0) continue;
    const uses = usesThere(pair.theirs);
    all++;
    allUses += uses;
    if (!answersAlike(bindingsOf(mine, pair.mine), there, place)) continue;
    same++;
    sameUses += uses;
  }
  return { same, all, part: all === 0 ? null : same / all, weighted: allUses === 0 ? null : sameUses / allUses };
}

/** Whether two commands have keys in common. */
export function answersAlike(
  a: readonly { readonly chord: string }[],
  b: readonly { readonly chord: string }[],
  place: Place,
): boolean {
  return a.some((one) => b.some((other) => place(one.chord) === place(other.chord)));
}
