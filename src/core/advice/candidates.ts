import { type ChordText, canonicalText, type Modifier, press } from '../chord/chord';
import type { Where } from '../keyboard/where';
import { layersFor } from '../layer/layer';

/** A chord that could be given to a command, and what it is made of. */
export type Candidate = {
  readonly chord: ChordText;
  readonly place: ChordText;
  readonly code: string;
  readonly key: string;
  readonly modifiers: readonly Modifier[];
};

/** The layers that advice takes keys from unless told otherwise: at most two modifiers. */
export function usualLayers(where: Where): (readonly Modifier[])[] {
  return layersFor(where.desktop).filter((layer) => layer.length <= 2);
}

const known = new Map<Where, Map<string, readonly Candidate[]>>();

/** Every chord of some layers: the printed keys of the main block and, if wanted, the function keys. */
export function candidatesOn(
  where: Where,
  layers: readonly (readonly Modifier[])[],
  functionKeys = false,
): readonly Candidate[] {
  const id = `${functionKeys} ${layers.map((layer) => layer.join('+')).join()}`;
  const lists = known.get(where) ?? new Map<string, readonly Candidate[]>();
  known.set(where, lists);
  let list = lists.get(id);
  if (!list) {
    const keys = where.keyboard.keys.filter((key) =>
      key.part === 'main block' ? key.levels.length > 0 : functionKeys && /^F\d+$/.test(key.name),
    );
    const seen = new Set<ChordText>();
    list = layers.flatMap((modifiers) =>
      keys.map((key): Candidate => {
        const chord = canonicalText(press(modifiers, key.name));
        return { chord, place: where.place(chord), code: key.code, key: key.name, modifiers };
      }),
    );
    // Where two keys print the same character they are one chord.
    list = list.filter(({ place }) => !seen.has(place) && seen.add(place));
    lists.set(id, list);
  }
  return list;
}
