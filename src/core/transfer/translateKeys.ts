import { type ChordText, canonicalText, type Modifier } from '../chord/chord';
import { parseCanonical } from '../chord/parseChord';
import type { Desktop } from '../desktop/desktopKeys';
import { type Move, samePlace } from '../keyboard/moveKeyboard';
import type { Where } from '../keyboard/where';

/** What a keymap was made on, where that is not what it is used on. */
export type MadeOn = { readonly where: Where; readonly move: Move };

/**
 * The keys that a chord made on one keyboard and desktop becomes on another. The first modifier stands for Ctrl and for
 * Command anyway; the Mac's Control and the Windows key stand for each other, since neither is there on the other side.
 * By letters the characters stay; by positions the keys stay where they are.
 */
export function translateKeys(chord: ChordText, made: MadeOn | null, here: Where): ChordText {
  if (!made) return chord;
  const onDesktop = sameOn(chord, made.where.desktop, here.desktop);
  return made.move === 'letters' ? onDesktop : samePlace(onDesktop, made.where.keyboard, here.keyboard);
}

function sameOn(chord: ChordText, from: Desktop, to: Desktop): ChordText {
  if ((from === 'mac') === (to === 'mac')) return chord;
  const parsed = parseCanonical(chord);
  if (!parsed) return chord;
  const swap = (one: Modifier): Modifier => (one === 'Ctrl' ? 'Meta' : one === 'Meta' ? 'Ctrl' : one);
  return canonicalText({
    ...parsed,
    strokes: parsed.strokes.map((stroke) => ({ ...stroke, modifiers: stroke.modifiers.map(swap) })),
  });
}
