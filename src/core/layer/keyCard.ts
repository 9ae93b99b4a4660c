import { type ChordText, canonicalText, type Modifier, press } from '../chord/chord';
import type { ClashIndex, Holder } from '../clash/clashIndex';
import { DESKTOP_KEYS } from '../desktop/desktopKeys';
import type { Key } from '../keyboard/keyboard';
import type { Where } from '../keyboard/where';
import { layersFor } from './layer';

/** What one key does with one set of modifiers. */
export type CardRow = {
  readonly modifiers: readonly Modifier[];
  readonly chord: ChordText;
  readonly holders: readonly Holder[];
  readonly held: readonly Holder[];
  /** Sequences that begin with it. */
  readonly begins: readonly Holder[];
  readonly fixed: string | null;
  readonly desktop: string | null;
  readonly menu: string | null;
};

/** A key's own card: everything it does with every set of modifiers, in every context; free sets included. */
export function keyCard(where: Where, index: ClashIndex, key: Key): CardRow[] {
  const layers = layersFor(where.desktop);
  // Sets with the Windows key are listed only where something is on them.
  const used = [...index.holders.keys()].flatMap((chord) => {
    const text = chord.replace('hold:', '');
    if (text !== key.name && !text.endsWith(`+${key.name}`)) return [];
    const modifiers = text.split('+').slice(0, -1) as Modifier[];
    return layers.some((layer) => layer.join() === modifiers.join()) ? [] : [modifiers];
  });
  const sets = [...layers, ...new Map(used.map((set) => [set.join(), set])).values()];
  return sets.map((modifiers): CardRow => {
    const chord = canonicalText(press(modifiers, key.name));
    const at = where.place(chord);
    return {
      modifiers,
      chord,
      holders: index.holders.get(at) ?? [],
      held: index.holders.get(`hold:${at}`) ?? [],
      begins: index.sequences.get(at) ?? [],
      fixed: index.facts.fixed.get(at) ?? null,
      desktop: DESKTOP_KEYS[where.desktop].get(at) ?? null,
      menu: where.desktop === 'mac' || modifiers.join() !== 'Alt' ? null : (index.facts.menuOf.get(key.name) ?? null),
    };
  });
}
