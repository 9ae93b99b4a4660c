import { type ChordText, canonicalText, type Modifier, press } from '../chord/chord';
import { type ClashIndex, type Holder, type Place, relation } from '../clash/clashIndex';
import type { Key, Keyboard } from './keyboard';

/** What one key of the drawn keyboard does with the modifiers of the layer shown. */
export type KeyFace = {
  readonly key: Key;
  /** The chord a press gives; null for a modifier key. */
  readonly chord: ChordText | null;
  /** Who answers to it, those pressed first, then those that act while it is held. */
  readonly holders: readonly Holder[];
  readonly held: readonly Holder[];
  readonly clash: boolean;
  readonly fixed: string | null;
};

const MODIFIER_KEYS: readonly string[] = ['Mod', 'Alt', 'Shift', 'Meta'];

/** The faces of all keys for one layer. */
export function layerFaces(
  keyboard: Keyboard,
  modifiers: readonly Modifier[],
  index: ClashIndex,
  place: Place,
): KeyFace[] {
  return keyboard.keys.map((key): KeyFace => {
    if (MODIFIER_KEYS.includes(key.name)) return { key, chord: null, holders: [], held: [], clash: false, fixed: null };
    const chord = canonicalText(press(modifiers, key.name));
    const holders = index.holders.get(place(chord)) ?? [];
    const held = index.holders.get(place(`hold:${chord}`)) ?? [];
    const clash = holders.some((a, i) =>
      holders
        .slice(i + 1)
        .some((b) => a.command.id !== b.command.id && relation(index.facts, a.command, b.command) === 'clash'),
    );
    return { key, chord, holders, held, clash, fixed: index.facts.fixed.get(chord) ?? null };
  });
}
