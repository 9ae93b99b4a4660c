import fc from 'fast-check';
import { expect, it } from 'vitest';
import { plainWords } from '../text/sentence';
import { type Deed, deedsOf, describeDeeds } from './deeds';
import { type Binding, binding } from './keymap';

const bindings = fc.uniqueArray(
  fc
    .tuple(fc.constantFrom('A', 'hold:A', 'B', 'Mod+K', 'F5'), fc.boolean(), fc.constantFrom('', 'b for blend'))
    .map(([chord, keeper, hook]) => binding(chord, keeper, hook)),
  { selector: ({ chord }) => chord },
);

/** What a command has after deeds, reckoned from the deeds alone. */
function redo(before: readonly Binding[], deeds: readonly Deed[]): Binding[] {
  let own = [...before];
  for (const deed of deeds) {
    if (deed.kind === 'given' || deed.kind === 'added') own.push({ chord: deed.chord });
    else if (deed.kind === 'removed') own = own.filter(({ chord }) => chord !== deed.chord);
    else if (deed.kind === 'order') own = deed.chords.map((chord) => own.find((one) => one.chord === chord) as Binding);
    else if (deed.kind === 'keeper')
      own = own.map((one) => (one.chord === deed.chord ? binding(one.chord, deed.on, one.hook) : one));
    else if (deed.kind === 'hook')
      own = own.map((one) => (one.chord === deed.chord ? binding(one.chord, one.keeper, deed.hook) : one));
    else if ('from' in deed) {
      const had = own.find(({ chord }) => chord === deed.from) as Binding;
      own = [...own.filter((one) => one !== had), binding(deed.to, had.keeper, had.hook)];
    }
  }
  return own;
}

it('names exactly what differs between before and after: from before and the deeds alone, after follows', () => {
  fc.assert(
    fc.property(bindings, bindings, fc.boolean(), fc.boolean(), (before, after, was, is) => {
      const deeds = deedsOf({ command: 'a', before, after, spare: [was, is] });
      expect(redo(before, deeds)).toEqual(after);
      expect(deeds.filter(({ kind }) => kind === 'spare')).toEqual(was === is ? [] : [{ kind: 'spare', on: is }]);
      // Each deed is said, and no key is named that none of them touches.
      const named = describeDeeds(deeds).flatMap((span) => ('keys' in span ? [span.keys] : []));
      const touched = deeds.flatMap((deed) => {
        if ('chords' in deed) return deed.chords;
        if ('from' in deed) return [deed.from, deed.to];
        return 'chord' in deed ? [deed.chord] : [];
      });
      expect(named).toEqual(touched);
    }),
  );
});

const A = { chord: 'A' };
const B = { chord: 'B' };
it.each<[string, Binding[], Binding[], string]>([
  ['first keys', [], [A], 'given A'],
  ['a second key', [A], [A, B], 'added B'],
  ['the first of two taken away', [A, B], [B], 'removed A'],
  ['the last', [A], [], 'removed A, no key left'],
  ['other keys', [A], [B], 'moved A to B'],
  ['two for one', [A, { chord: 'F5' }], [B], 'moved A to B and removed F5'],
  ['held', [A], [{ chord: 'hold:A' }], 'held, no longer A: hold:A'],
  ['pressed', [{ chord: 'hold:A' }], [A], 'pressed, no longer hold:A: A'],
  ['a keeper', [A], [{ ...A, keeper: true }], 'marked A as a keeper'],
  ['no keeper', [{ ...A, keeper: true }], [A], 'A no longer a keeper'],
  ['a keeper gone', [{ ...A, keeper: true }, B], [B], 'removed the keeper A'],
  ['a hook', [A], [{ ...A, hook: 'a for apart' }], 'hook on A: “a for apart”'],
  ['a hook gone', [{ ...A, hook: 'a for apart' }], [A], 'hook taken off A'],
  ['a keeper that moves', [{ ...A, keeper: true }], [{ ...B, keeper: true }], 'moved A to B'],
  ['a keeper that moves and is none then', [{ ...A, keeper: true }], [B], 'moved A to B and B no longer a keeper'],
  ['another order', [A, B], [B, A], 'keys in this order: BA'],
])('says of %s', (_, before, after, words) => {
  expect(plainWords(describeDeeds(deedsOf({ command: 'a', before, after })))).toBe(words);
});

it('says of a spare that it is one, or no longer', () => {
  const said = (on: boolean) =>
    plainWords(describeDeeds(deedsOf({ command: 'a', before: [A], after: [A], spare: [!on, on] })));
  expect([said(true), said(false)]).toEqual(['marked as spare', 'no longer spare']);
});
