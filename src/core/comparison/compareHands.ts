import type { Place } from '../keyboard/placeOf';
import { bindingsOf, type Keymap } from '../keymap/keymap';
import type { Command } from '../program/program';
import type { CommandPair } from '../transfer/transferTypes';
import { answersAlike } from './agreement';

/** How one thing is done in two keymaps. */
export type HandRow = { readonly mine: Command | null; readonly theirs: Command | null };
export type HandComparison = {
  readonly same: readonly HandRow[];
  readonly otherKeys: readonly HandRow[];
  /** With keys there, and here either no keys or no such command. */
  readonly onlyTheirs: readonly HandRow[];
  readonly onlyMine: readonly HandRow[];
};

/** Sorts everything that has keys in either of two keymaps by what becomes of the hand; each command once. */
export function compareHands(
  mine: { readonly commands: readonly Command[]; readonly keymap: Keymap },
  theirs: { readonly commands: readonly Command[]; readonly keymap: Keymap },
  pairs: readonly CommandPair[],
  place: Place,
): HandComparison {
  const ofMine = new Map(mine.commands.map((one) => [one.id, one]));
  const thereFor = new Map(pairs.map((pair) => [pair.theirs, ofMine.get(pair.mine) ?? null]));
  const paired = new Set(pairs.map((pair) => pair.mine));
  const same: HandRow[] = [];
  const otherKeys: HandRow[] = [];
  const onlyTheirs: HandRow[] = [];
  const onlyMine: HandRow[] = [];
  for (const command of theirs.commands) {
    const own = thereFor.get(command.id) ?? null;
    const there = bindingsOf(theirs.keymap, command.id);
    const here = own ? bindingsOf(mine.keymap, own.id) : [];
    if (there.length + here.length === 0) continue;
    const row = { mine: own, theirs: command };
    if (there.length === 0) onlyMine.push(row);
    else if (here.length === 0) onlyTheirs.push(row);
    else (answersAlike(here, there, place) ? same : otherKeys).push(row);
  }
  for (const command of mine.commands)
    if (!paired.has(command.id) && bindingsOf(mine.keymap, command.id).length > 0)
      onlyMine.push({ mine: command, theirs: null });
  return { same, otherKeys, onlyTheirs, onlyMine };
}
