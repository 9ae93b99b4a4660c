import { type Chord, inOrder, type Modifier, press } from '../chord/chord';
import { isKnownKey } from '../chord/keyNames';
import type { Keyboard } from './keyboard';

/** The part of a W3C UI Events KeyboardEvent that a chord is read from. */
export type PressedKeys = {
  readonly code: string;
  readonly key: string;
  readonly ctrlKey: boolean;
  readonly altKey: boolean;
  readonly shiftKey: boolean;
  readonly metaKey: boolean;
  readonly getModifierState?: (key: string) => boolean;
};
export type Platform = 'windows' | 'mac';

/** The modifiers held down during an event. */
export function heldModifiers(event: PressedKeys, platform: Platform): Modifier[] {
  const held: Modifier[] = [];
  if (platform === 'mac' ? event.metaKey : event.ctrlKey) held.push('Mod');
  if (platform === 'mac' && event.ctrlKey) held.push('Ctrl');
  if (event.altKey) held.push('Alt');
  if (event.shiftKey) held.push('Shift');
  if (platform !== 'mac' && event.metaKey) held.push('Meta');
  // AltGr is Ctrl and Alt together on Windows; elsewhere a browser reports it as neither.
  if (platform !== 'mac' && !event.ctrlKey && !event.altKey && event.getModifierState?.('AltGraph'))
    return inOrder([...held, 'Mod', 'Alt']);
  return held;
}

/** Whether the pressed key is itself a modifier, and which. */
export function modifierOfKey(key: string, platform: Platform): Modifier | null {
  if (key === 'Control') return platform === 'mac' ? 'Ctrl' : 'Mod';
  if (key === 'Meta' || key === 'OS') return platform === 'mac' ? 'Mod' : 'Meta';
  return key === 'Alt' || key === 'Shift' ? key : null;
}

/** The chord a press gives on this keyboard; null for a modifier alone or a key without a name. */
export function chordOfEvent(event: PressedKeys, keyboard: Keyboard, platform: Platform): Chord | null {
  if (modifierOfKey(event.key, platform) !== null || event.key === 'AltGraph') return null;
  const drawn = keyboard.byCode.get(event.code);
  const printed = drawn && drawn.levels.length > 0 ? drawn.name : undefined;
  // The number pad and named keys are told apart by code; other printed keys by what the drawn keyboard has there.
  const named = /^Numpad|^F\d+$/.test(event.code) ? event.code : event.key === ' ' ? 'Space' : event.key;
  const key = printed ?? named;
  return isKnownKey(key) ? press(heldModifiers(event, platform), key) : null;
}
