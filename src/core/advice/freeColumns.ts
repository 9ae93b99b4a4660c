import type { ChordText } from '../chord/chord';
import { buildClashIndex, type ClashIndex, type Holder } from '../clash/clashIndex';
import { padTwin, verdict } from '../clash/verdict';
import { EMPTY_KEYMAP } from '../keymap/keymap';
import { formOf } from '../program/formOf';
import type { Command } from '../program/program';
import type { Advisor } from './advisor';
import type { Candidate } from './candidates';
import type { usualForms } from './usualForms';

/** The same keys held instead of pressed, or the other way. */
export const heldTwin = (place: ChordText): ChordText => (place.startsWith('hold:') ? place.slice(5) : `hold:${place}`);

/**
 * For every kind and context of commands, which columns are free once all that may move has moved: nothing there is to say
 * of the chord but that it is free, as the verdict would have it. What holders have to do with it is looked up for all
 * contexts at once.
 */
export function freeColumns(
  { facts, where }: Advisor,
  index: ClashIndex,
  chords: readonly Candidate[],
  goes: (holder: Holder) => boolean,
  spent: (holder: Holder) => boolean,
  usual: ReturnType<typeof usualForms>,
): (command: Command) => Uint8Array {
  const nobody = buildClashIndex(facts, EMPTY_KEYMAP, where.place);
  const at = (place: ChordText): readonly Holder[] => index.holders.get(place)?.filter((one) => !goes(one)) ?? [];
  /** The contexts in which somebody who stays has to do with each chord. */
  const contextsOn = (prefix: string): string[][] =>
    chords.map(({ chord, place }) => {
      const twin = padTwin(prefix + chord);
      const holders = [
        ...at(prefix + place).filter((one) => !spent(one)),
        ...at(heldTwin(prefix + place)),
        ...(twin === null ? [] : at(where.place(twin))),
        ...(index.sequences.get(prefix + place) ?? []),
      ];
      return [...new Set(holders.map((one) => one.command.context))];
    });
  const heldBy = new Map<string, string[][]>();
  const byKind = new Map<Command['kind'], Uint8Array>();
  const known = new Map<string, Uint8Array>();
  return (command) => {
    const id = `${command.kind} ${command.context}`;
    let free = known.get(id);
    if (!free) {
      const forms = usual.get(command.kind);
      const prefix = command.kind === 'held action' ? 'hold:' : '';
      const alone =
        byKind.get(command.kind) ??
        Uint8Array.from(chords, ({ chord }) => {
          if (!forms?.has(formOf(prefix + chord))) return 0;
          const { findings } = verdict(nobody, where, command, prefix + chord);
          return findings.length === 1 && findings[0]?.kind === 'free' ? 1 : 0;
        });
      byKind.set(command.kind, alone);
      const meets = facts.meets.get(command.context);
      const held = heldBy.get(prefix) ?? contextsOn(prefix);
      heldBy.set(prefix, held);
      free = alone.slice();
      for (let j = 0; j < free.length; j++) {
        const contexts = held[j] as string[];
        if (free[j] === 1 && contexts.length > 0 && contexts.some((context) => meets?.has(context))) free[j] = 0;
      }
      known.set(id, free);
    }
    return free;
  };
}
