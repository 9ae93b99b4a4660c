import type { ChordText } from '../chord/chord';
import { bindingsOf, type Keymap } from '../keymap/keymap';
import type { Command } from '../program/program';
import type { ChoiceKind, CommandPair, LineReason, TransferTask } from './transferTypes';

/** A line as it is decided before keys are given out. */
export type Decided = {
  readonly mine: Command;
  readonly theirs: Command;
  readonly theirKeys: readonly ChordText[];
  /** The keys it is to have. */
  readonly wanted: readonly ChordText[];
  readonly choice: ChoiceKind | 'same';
  readonly byHand: boolean;
  /** Whether nobody may take the keys it keeps. */
  readonly protects: boolean;
  readonly reason: LineReason;
};

/** Decides a line: by hand, else by the rules; null where there is nothing to take. */
export function decideLine(task: TransferTask, begun: Keymap, { mine, theirs }: CommandPair): Decided | null {
  const { advisor, rules } = task;
  const { place } = advisor.where;
  const own = advisor.facts.commands.get(mine);
  const other = task.theirCommands.get(theirs);
  if (!own || !other) return null;
  const theirKeys = bindingsOf(task.theirKeys, theirs).map((one) => one.chord);
  const mineNow = bindingsOf(begun, mine);
  const line = { mine: own, theirs: other, theirKeys, wanted: theirKeys, byHand: false, protects: false };
  const keep = (reason: LineReason, more: Partial<Decided> = {}): Decided => ({
    ...line,
    choice: 'keep',
    reason,
    ...more,
  });
  const hand = task.choices.get(mine);
  if (task.settled.has(mine)) return keep({ kind: 'by hand' }, { byHand: true, protects: true });
  if (hand?.kind === 'keep') return keep({ kind: 'by hand' }, { byHand: true, protects: true });
  if (hand?.kind === 'other')
    return { ...line, wanted: hand.chords, choice: 'other', byHand: true, reason: { kind: 'by hand' } };
  if (theirKeys.length === 0) return null;
  const places = new Set(mineNow.map((one) => place(one.chord)));
  if (theirKeys.every((chord) => places.has(place(chord))))
    return { ...line, choice: 'same', reason: { kind: 'same' } };
  if (hand?.kind === 'take') return { ...line, choice: 'take', byHand: true, reason: { kind: 'by hand' } };
  if (mineNow.some((one) => one.keeper)) return keep({ kind: 'keeper' });
  if (!rules.kinds.includes(own.kind)) return keep({ kind: 'kind left out' });
  if (rules.onlyEmpty && mineNow.length > 0) return keep({ kind: 'has keys' });
  if (rules.preferEasier && mineNow.length > 0) {
    const best = (chords: readonly ChordText[]): number => Math.min(...chords.map((one) => advisor.reach(one).figure));
    if (best(mineNow.map((one) => one.chord)) <= best(theirKeys)) return keep({ kind: 'easier' }, { protects: true });
  }
  return { ...line, choice: 'take', reason: { kind: 'taken' } };
}
