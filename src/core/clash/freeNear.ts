import { type ChordText, canonicalText, type Modifier, press } from '../chord/chord';
import { parseCanonical } from '../chord/parseChord';
import type { Key } from '../keyboard/keyboard';
import { keyDistance } from '../keyboard/keyDistance';
import type { Where } from '../keyboard/where';
import type { Command } from '../program/program';
import type { ClashIndex } from './clashIndex';
import { verdict } from './verdict';

/** A free chord that suits a command, how far it is from the one asked about, and whether its letter reminds of the name. */
export type FreeChord = { readonly chord: ChordText; readonly distance: number; readonly letter: string | null };

const LAYERS: readonly (readonly Modifier[])[] = [
  [],
  ['Shift'],
  ['Alt'],
  ['Mod'],
  ['Mod', 'Shift'],
  ['Alt', 'Shift'],
  ['Mod', 'Alt'],
];

/**
 * The free chords closest to one on a keyboard, nothing standing in the way of any. Distance is in key units, a unit for
 * each modifier that differs; a letter of the command's name brings a chord a unit and a half nearer.
 * @param besides places that are taken as well.
 */
export function freeNear(
  index: ClashIndex,
  where: Where,
  command: Command,
  near: ChordText,
  most = 3,
  besides: ReadonlySet<ChordText> = new Set(),
): FreeChord[] {
  const stroke = parseCanonical(near)?.strokes[0];
  const hold = near.startsWith('hold:');
  const from = stroke?.key ? (where.keyboard.byChar.get(stroke.key)?.key ?? keyNamed(where, stroke.key)) : undefined;
  const wanted = new Set(stroke?.modifiers ?? []);
  const initials = new Set(
    command.name
      .toUpperCase()
      .match(/\p{L}+/gu)
      ?.map((word) => word[0] ?? '') ?? [],
  );
  const found: FreeChord[] = [];
  for (const modifiers of LAYERS) {
    const differing = differingModifiers(modifiers, wanted);
    for (const key of where.keyboard.keys) {
      if (key.levels.length === 0 || key.part !== 'main block') continue;
      const chord = (hold ? 'hold:' : '') + canonicalText(press(modifiers, key.name));
      if (besides.has(where.place(chord))) continue;
      const letter = initials.has(key.name) ? key.name : null;
      const distance = (from ? keyDistance(from, key) : 4) + differing - (letter ? 1.5 : 0);
      found.push({ chord, distance, letter });
    }
  }
  found.sort((a, b) => a.distance - b.distance);
  const free: FreeChord[] = [];
  for (const one of found) {
    const { findings } = verdict(index, where, command, one.chord);
    if (findings.length === 1 && findings[0]?.kind === 'free') free.push(one);
    if (free.length === most) break;
  }
  return free;
}

const differingModifiers = (a: readonly Modifier[], b: ReadonlySet<Modifier>): number =>
  a.filter((one) => !b.has(one)).length + [...b].filter((one) => !a.includes(one)).length;

function keyNamed({ keyboard }: Where, name: string): Key | undefined {
  return keyboard.keys.find((key) => key.name === name);
}
