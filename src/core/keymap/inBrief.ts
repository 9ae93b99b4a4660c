import { parseCanonical } from '../chord/parseChord';
import { compareKeymaps } from './compareKeymaps';
import { type Keymap, rowsOf, sameKeys } from './keymap';

/** A keymap at a glance. */
export type KeymapInBrief = {
  readonly bindings: number;
  /** Commands whose keys differ from the factory's, and from what was last kept. */
  readonly yours: number;
  readonly draftChanges: number;
  /** Every key that some chord of it is pressed with, once, and whether one of yours is. */
  readonly pins: readonly (readonly [key: string, yours: boolean])[];
};

/** Tells of a keymap at a glance, beside the factory's and what was last kept of it. */
export function inBrief(keymap: Keymap, factory: Keymap, kept: Keymap): KeymapInBrief {
  const yours = compareKeymaps(factory, keymap).filter((change) => !sameKeys(change.before, change.after));
  const mine = new Set(
    yours.flatMap(({ before, after }) =>
      after.filter((a) => !before.some((b) => b.chord === a.chord)).map((a) => a.chord),
    ),
  );
  const chords = rowsOf(keymap).map(([, chord]) => chord);
  const pins = new Map<string, boolean>();
  for (const chord of new Set(chords)) {
    for (const { key } of parseCanonical(chord)?.strokes ?? [])
      if (key !== null) pins.set(key, mine.has(chord) || (pins.get(key) ?? false));
  }
  return {
    bindings: chords.length,
    yours: yours.length,
    draftChanges: compareKeymaps(kept, keymap).length,
    pins: [...pins],
  };
}
