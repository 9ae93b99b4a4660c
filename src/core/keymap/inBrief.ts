import { parseCanonical } from '../chord/parseChord';
import type { CommandId } from '../program/program';
import { bindingsOf, type Keymap, sameBindings, sameKeys } from './keymap';

/** A keymap at a glance. */
export type KeymapInBrief = {
  readonly bindings: number;
  /** Commands whose keys differ from the factory's, and from what was last kept. */
  readonly yours: number;
  readonly draftChanges: number;
  /** Every key that some chord of it is pressed with, once, and whether one of yours is. */
  readonly pins: readonly (readonly [key: string, yours: boolean])[];
};

/** What is counted of a keymap, so that after an edit only what it touched is counted anew. */
export type Tally = {
  readonly keymap: Keymap;
  readonly factory: Keymap;
  readonly kept: Keymap;
  readonly counts: Readonly<Counts>;
  /** How many bindings are pressed with each key, and how many of these the factory's keymap doesn't have. */
  readonly keys: ReadonlyMap<string, readonly [all: number, yours: number]>;
};
type Counts = { bindings: number; yours: number; draftChanges: number };
const NOTHING: Counts = { bindings: 0, yours: 0, draftChanges: 0 };

/** Counts a keymap, beside the factory's and what was last kept of it. */
export function tallyOf(keymap: Keymap, factory: Keymap, kept: Keymap): Tally {
  const some = [keymap, factory, kept];
  const commands = new Set([...some.flatMap((one) => [...one.bindings.keys()]), ...keymap.spares, ...kept.spares]);
  const [counts, keys] = [{ ...NOTHING }, new Map()];
  for (const command of commands) count({ keymap, factory, kept, counts, keys }, command, 1);
  return { keymap, factory, kept, counts, keys };
}

/** Counts a keymap that differs from one that is counted in some commands alone. */
export function tallyAfter(before: Tally, keymap: Keymap, commands: Iterable<CommandId>): Tally {
  const after = { ...before, keymap, counts: { ...before.counts }, keys: new Map(before.keys) };
  for (const command of new Set(commands)) {
    count({ ...after, keymap: before.keymap }, command, -1);
    count(after, command, 1);
  }
  return after;
}

type Counting = Pick<Tally, 'keymap' | 'factory' | 'kept'> & {
  readonly counts: Counts;
  readonly keys: Map<string, readonly [all: number, yours: number]>;
};

/** Adds a command to what is counted, or takes it from there. */
function count({ keymap, factory, kept, counts, keys }: Counting, command: CommandId, sign: 1 | -1): void {
  const own = bindingsOf(keymap, command);
  const theirs = bindingsOf(factory, command);
  counts.bindings += sign * own.length;
  if (!sameKeys(theirs, own)) counts.yours += sign;
  const spare = keymap.spares.has(command) !== kept.spares.has(command);
  if (spare || !sameBindings(bindingsOf(kept, command), own)) counts.draftChanges += sign;
  for (const { chord } of own) {
    const mine = theirs.some((one) => one.chord === chord) ? 0 : sign;
    for (const { key } of parseCanonical(chord)?.strokes ?? []) {
      if (key === null) continue;
      const [all, yours] = keys.get(key) ?? [0, 0];
      if (all + sign === 0) keys.delete(key);
      else keys.set(key, [all + sign, yours + mine]);
    }
  }
}

/** Tells of a keymap at a glance, as it was counted. */
export const inBrief = ({ counts, keys }: Tally): KeymapInBrief => ({
  ...counts,
  pins: [...keys].map(([key, [, yours]]) => [key, yours > 0]),
});
