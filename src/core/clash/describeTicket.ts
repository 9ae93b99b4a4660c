import type { ChordText } from '../chord/chord';
import type { Place } from '../keyboard/placeOf';
import { deedsOf, describeDeeds } from '../keymap/deeds';
import { type Change, gained, type Ticket } from '../keymap/ticket';
import type { CommandId } from '../program/program';
import { listed, type Sentence } from '../text/sentence';
import type { Sharer, Sharers } from './sharersOnTape';

const BESIDE: Readonly<Record<Sharer['relation'], string>> = {
  turns: ', on turns with ',
  shadow: ', heard apart from ',
  clash: ', in a clash with ',
};
/** More others than these are counted. */
const MOST_NAMED = 2;

/**
 * What a ticket did, each thing by itself: to the command it is about, then from whom keys were taken, then what else.
 * @param sharers who else has the keys it gives, as `sharersOnTape` tells.
 */
export function describeTicket(
  { changes }: Ticket,
  nameOf: (command: CommandId) => string,
  place: Place,
  sharers?: Sharers,
): Sentence {
  const [first, ...rest] = changes;
  if (!first) return [];
  const given = new Set(gained(first).map(place));
  const phrases = rest.map((change): Sentence => {
    const name = { strong: nameOf(change.command) };
    const deeds = deedsOf(change);
    const [deed] = deeds;
    if (deeds.length === 1 && deed?.kind === 'removed' && !deed.keeper && given.has(place(deed.chord)))
      return [{ text: 'taken from ' }, name, { text: deed.last ? ', which has no key left' : '' }];
    if (deeds.length === 1 && deed?.kind === 'moved' && given.has(place(deed.from)))
      return [{ text: 'taken from ' }, name, { text: ', which gets ' }, { keys: deed.to }];
    return [name, { text: ': ' }, ...describeChange(change, sharers)];
  });
  return [describeChange(first, sharers), ...phrases].flatMap((one, i) => (i === 0 ? one : [{ text: '; ' }, ...one]));
}

/** What a change did to its command, with those who share the keys it gives. */
export function describeChange(change: Change, sharers?: Sharers): Sentence {
  const own = sharers?.get(change.command);
  return describeDeeds(deedsOf(change), (chord: ChordText) => besideWords(own?.get(chord) ?? []));
}

function besideWords(sharers: readonly Sharer[]): Sentence {
  return (['turns', 'shadow', 'clash'] as const).flatMap((how) => {
    const names = sharers
      .filter((one) => one.relation === how)
      .map(({ command }): Sentence => [{ strong: command.name }]);
    if (names.length === 0) return [];
    const more = names.length - MOST_NAMED;
    return [
      { text: BESIDE[how] },
      ...listed(more > 0 ? [...names.slice(0, MOST_NAMED), [{ text: `${more} more` }]] : names),
    ];
  });
}
