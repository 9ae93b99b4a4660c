import type { ChordText } from '../chord/chord';
import { listed, type Sentence } from '../text/sentence';
import type { Binding } from './keymap';
import type { Change } from './ticket';

/** One thing that was done to a command. */
export type Deed =
  /** Its first keys, or others beside those it had. */
  | { readonly kind: 'given' | 'added'; readonly chord: ChordText }
  | { readonly kind: 'moved'; readonly from: ChordText; readonly to: ChordText }
  /** The same keys, held from now on, or no longer. */
  | { readonly kind: 'held' | 'pressed'; readonly from: ChordText; readonly to: ChordText }
  | { readonly kind: 'removed'; readonly chord: ChordText; readonly keeper: boolean; readonly last: boolean }
  | { readonly kind: 'keeper'; readonly chord: ChordText; readonly on: boolean }
  | { readonly kind: 'hook'; readonly chord: ChordText; readonly hook: string }
  | { readonly kind: 'order'; readonly chords: readonly ChordText[] }
  | { readonly kind: 'spare'; readonly on: boolean };

/**
 * What a change does to its command, each thing by itself: exactly what differs between before and after. Marks go along
 * with keys that move; what is added comes last unless the order says otherwise.
 */
export function deedsOf({ before, after, spare }: Change): Deed[] {
  const gone = without(before, after);
  const come = without(after, before);
  const moves = gone.slice(0, come.length).map((from, i) => [from, come[i] as Binding] as const);
  const deeds: Deed[] = moves.map(([from, to]) => ({
    kind:
      to.chord === `hold:${from.chord}` ? 'held' : from.chord === `hold:${to.chord}` ? 'pressed' : ('moved' as const),
    from: from.chord,
    to: to.chord,
  }));
  for (const { chord } of come.slice(moves.length))
    deeds.push({ kind: before.length === 0 ? 'given' : 'added', chord });
  for (const { chord, keeper = false } of gone.slice(moves.length))
    deeds.push({ kind: 'removed', chord, keeper, last: after.length === 0 });
  const stays = before.filter((one) => !gone.includes(one));
  if (after.some((one, i) => one.chord !== [...stays, ...come][i]?.chord))
    deeds.push({ kind: 'order', chords: after.map((one) => one.chord) });
  for (const to of after) {
    const had = moves.find(([, one]) => one === to)?.[0] ?? before.find((one) => one.chord === to.chord);
    const { chord, keeper = false, hook = '' } = to;
    if (keeper !== (had?.keeper ?? false)) deeds.push({ kind: 'keeper', chord, on: keeper });
    if (hook !== (had?.hook ?? '')) deeds.push({ kind: 'hook', chord, hook });
  }
  if (spare && spare[0] !== spare[1]) deeds.push({ kind: 'spare', on: spare[1] });
  return deeds;
}

/**
 * Deeds in words: `moved Mod+K to F`, `added Alt+X`, `removed G`.
 * @param beside what is said of keys that others answer to as well.
 */
export function describeDeeds(deeds: readonly Deed[], beside: (chord: ChordText) => Sentence = () => []): Sentence {
  return listed(deeds.map((deed) => describeDeed(deed, beside)));
}

function describeDeed(deed: Deed, beside: (chord: ChordText) => Sentence): Sentence {
  switch (deed.kind) {
    case 'given':
    case 'added':
      return [{ text: `${deed.kind} ` }, { keys: deed.chord }, ...beside(deed.chord)];
    case 'moved':
      return [{ text: 'moved ' }, { keys: deed.from }, { text: ' to ' }, { keys: deed.to }, ...beside(deed.to)];
    case 'held':
    case 'pressed':
      return [
        { text: `${deed.kind}, no longer ` },
        { keys: deed.from },
        { text: ': ' },
        { keys: deed.to },
        ...beside(deed.to),
      ];
    case 'removed':
      return [
        { text: deed.keeper ? 'removed the keeper ' : 'removed ' },
        { keys: deed.chord },
        { text: deed.last ? ', no key left' : '' },
      ];
    case 'keeper':
      return deed.on
        ? [{ text: 'marked ' }, { keys: deed.chord }, { text: ' as a keeper' }]
        : [{ keys: deed.chord }, { text: ' no longer a keeper' }];
    case 'hook':
      return deed.hook === ''
        ? [{ text: 'hook taken off ' }, { keys: deed.chord }]
        : [{ text: 'hook on ' }, { keys: deed.chord }, { text: `: “${deed.hook}”` }];
    case 'order':
      return [{ text: 'keys in this order: ' }, ...deed.chords.map((keys) => ({ keys }))];
    case 'spare':
      return [{ text: deed.on ? 'marked as spare' : 'no longer spare' }];
  }
}

const without = (some: readonly Binding[], others: readonly Binding[]): Binding[] =>
  some.filter((one) => !others.some((other) => other.chord === one.chord));
