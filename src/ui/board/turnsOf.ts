import type { ClashIndex } from '@/core/clash/clashIndex';
import type { Place } from '@/core/keyboard/placeOf';
import { bindingsOf } from '@/core/keymap/keymap';
import type { Command } from '@/core/program/program';

/** With how many others of its area, itself among them, a command takes turns on its first keys. */
export const turnsOf =
  (index: ClashIndex, place: Place) =>
  (command: Command): number => {
    const { areaOf } = index.facts;
    const area = areaOf.get(command.id) ?? -1;
    const chord = bindingsOf(index.keymap, command.id)[0]?.chord;
    if (area < 0 || chord === undefined) return 1;
    return (index.holders.get(place(chord)) ?? []).filter((holder) => areaOf.get(holder.command.id) === area).length;
  };
