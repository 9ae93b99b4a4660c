import fc from 'fast-check';
import { expect, it } from 'vitest';
import { compareKeymaps } from './compareKeymaps';
import { inBrief, tallyAfter, tallyOf } from './inBrief';
import { type Keymap, keymapOf, type Row, sameKeys } from './keymap';
import { afterChanges } from './ticket';

const commands = ['a', 'b', 'c', 'd', 'e'];
const chords = ['F2', 'Mod+F2', 'K', 'Mod+K L', 'Shift+Plus'];
const row = fc.tuple(fc.constantFrom(...commands), fc.constantFrom(...chords), fc.boolean()) as fc.Arbitrary<Row>;
const keymap = fc.tuple(fc.array(row), fc.subarray(commands)).map(([rows, spares]) => keymapOf(rows, spares));
const sorted = (some: Keymap, factory: Keymap, kept: Keymap) => {
  const { pins, ...counts } = inBrief(tallyOf(some, factory, kept));
  return { ...counts, pins: Object.fromEntries(pins) };
};

it('counts what is compared, and each key that is pressed', () => {
  fc.assert(
    fc.property(keymap, keymap, keymap, (some, factory, kept) => {
      const told = sorted(some, factory, kept);
      expect(told.draftChanges).toBe(compareKeymaps(kept, some).length);
      const yours = compareKeymaps(factory, some).filter(({ before, after }) => !sameKeys(before, after));
      expect(told.yours).toBe(yours.length);
    }),
  );
  const factory = keymapOf([
    ['a', 'F2'],
    ['b', 'Mod+K L'],
  ]);
  const mine = keymapOf([
    ['a', 'F2'],
    ['b', 'Mod+K Mod+F2'],
  ]);
  expect(sorted(mine, factory, factory)).toEqual({
    bindings: 2,
    yours: 1,
    draftChanges: 1,
    pins: { F2: true, K: true },
  });
});

it('counts after any changes as if all were counted anew', () => {
  fc.assert(
    fc.property(keymap, keymap, keymap, keymap, (some, other, factory, kept) => {
      const changes = compareKeymaps(some, other);
      const after = afterChanges(some, changes);
      expect(compareKeymaps(after, other)).toEqual([]);
      const { pins, ...counts } = inBrief(
        tallyAfter(
          tallyOf(some, factory, kept),
          after,
          changes.map((one) => one.command),
        ),
      );
      expect({ ...counts, pins: Object.fromEntries(pins) }).toEqual(sorted(other, factory, kept));
    }),
  );
});
