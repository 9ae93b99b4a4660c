import type { ChordText } from '../chord/chord';
import { parseCanonical } from '../chord/parseChord';
import type { ClashIndex, Holder } from '../clash/clashIndex';
import type { Key } from '../keyboard/keyboard';
import { keyDistance } from '../keyboard/keyDistance';
import type { Where } from '../keyboard/where';
import type { ContextId } from '../program/program';
import { isHeard } from './pressKeys';

/** A modifier more or less is as far as this many keys. */
const A_MODIFIER = 1;
/** What is further than this is no slip of the finger. */
const FAR = 2.5;

/** Who would have heard keys close to those pressed, the closest first: the same key with other modifiers, or one beside it. */
export function nearestHeard(index: ClashIndex, where: Where, focus: ContextId, chord: ChordText, most = 3): Holder[] {
  const pressed = parseCanonical(chord)?.strokes.at(-1);
  const from = keyOf(where, pressed?.key ?? null);
  if (!pressed || !from) return [];
  const found: { holder: Holder; distance: number }[] = [];
  for (const holders of index.holders.values())
    for (const holder of holders) {
      if (holder.chord.includes(' ') || !isHeard(index, focus, holder.command.context)) continue;
      const stroke = parseCanonical(holder.chord)?.strokes[0];
      const to = keyOf(where, stroke?.key ?? null);
      if (!stroke || !to) continue;
      const differing =
        stroke.modifiers.filter((one) => !pressed.modifiers.includes(one)).length +
        pressed.modifiers.filter((one) => !stroke.modifiers.includes(one)).length;
      const distance = keyDistance(from, to) + A_MODIFIER * differing;
      if (distance <= FAR) found.push({ holder, distance });
    }
  return found
    .sort((a, b) => a.distance - b.distance)
    .slice(0, most)
    .map((one) => one.holder);
}

function keyOf({ keyboard }: Where, name: string | null): Key | undefined {
  if (name === null) return undefined;
  return keyboard.byChar.get(name)?.key ?? keyboard.keys.find((key) => key.name === name);
}
