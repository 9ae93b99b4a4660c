import { type ChordText, canonicalText, MODIFIERS, type Modifier, press } from '../chord/chord';
import { modifierLabel, type Notation } from '../chord/writeChord';
import { anyClash, type ClashIndex, type Holder } from '../clash/clashIndex';
import { verdict } from '../clash/verdict';
import { DESKTOP_KEYS } from '../desktop/desktopKeys';
import { ALT_GR } from '../keyboard/buildKeyboard';
import type { Key } from '../keyboard/keyboard';
import type { Where } from '../keyboard/where';
import type { Command } from '../program/program';

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
  /** What the desktop does with it before any program hears it. */
  readonly desktop: string | null;
};

const NOBODY: readonly Holder[] = [];

/** Whether a key is a modifier. */
export function isModifierKey(key: Key): boolean {
  return (MODIFIERS as readonly string[]).includes(key.name);
}

/** What a key shows in a notation: a modifier the word for it there, AltGr always its own. */
export function keyFaceLabel(key: Key, notation: Notation): string {
  return isModifierKey(key) && key.label !== ALT_GR ? modifierLabel(key.name as Modifier, notation) : key.label;
}

/** The faces of all keys for one layer. */
export function layerFaces(where: Where, modifiers: readonly Modifier[], index: ClashIndex): KeyFace[] {
  return where.keyboard.keys.map((key): KeyFace => {
    if (isModifierKey(key))
      return { key, chord: null, holders: NOBODY, held: NOBODY, clash: false, fixed: null, desktop: null };
    const chord = canonicalText(press(modifiers, key.name));
    const at = where.place(chord);
    const holders = index.holders.get(at) ?? NOBODY;
    const held = index.holders.get(`hold:${at}`) ?? NOBODY;
    const clash = holders.length > 1 && anyClash(index.facts, holders);
    const fixed = index.facts.fixed.get(chord) ?? null;
    return { key, chord, holders, held, clash, fixed, desktop: DESKTOP_KEYS[where.desktop].get(at) ?? null };
  });
}

/** The layers people use: every set of Ctrl, Alt and Shift (on a Mac also its Control). */
export function layersFor(desktop: Where['desktop']): (readonly Modifier[])[] {
  const wanted: Modifier[] = desktop === 'mac' ? ['Mod', 'Ctrl', 'Alt', 'Shift'] : ['Mod', 'Alt', 'Shift'];
  return Array.from({ length: 2 ** wanted.length }, (_, bits) => wanted.filter((_m, i) => bits & (1 << i))).sort(
    (a, b) => a.length - b.length,
  );
}

/** Whether a chord is free: for a command as the verdict says, else for anybody. */
export function isFree(where: Where, index: ClashIndex, chord: ChordText, command: Command | null): boolean {
  if (command) {
    const { findings } = verdict(index, where, command, chord);
    return findings.length === 1 && findings[0]?.kind === 'free';
  }
  const at = where.place(chord);
  return (
    !index.holders.has(at) &&
    !DESKTOP_KEYS[where.desktop].has(at) &&
    !index.facts.fixed.has(at) &&
    where.typing(chord).every((trouble) => trouble.kind === 'needs Shift')
  );
}

/** How many printed keys among these are free on a layer, for a command or for anybody. */
export function countFree(
  where: Where,
  index: ClashIndex,
  modifiers: readonly Modifier[],
  command: Command | null,
  keys: readonly Key[] = where.keyboard.keys,
): number {
  return keys.filter(
    (key) => key.levels.length > 0 && isFree(where, index, canonicalText(press(modifiers, key.name)), command),
  ).length;
}
