import type { KeyboardEvent } from 'react';
import { type ChordText, canonicalText } from '@/core/chord/chord';
import { chordOfEvent, modifierOfKey, type Platform } from '@/core/keyboard/chordOfEvent';
import type { Keyboard } from '@/core/keyboard/keyboard';

/**
 * The keys that a press in the finder's field asks for; null where it is meant as writing or moves through the list.
 * @param byKeys whether keys are looked for anyway.
 */
export function keysAsked(
  event: KeyboardEvent,
  byKeys: boolean,
  keyboard: Keyboard,
  platform: Platform,
): ChordText | null {
  const writes = /^(?:[acvxyz]|Arrow\w+|Home|End|Backspace|Delete)$/i.test(event.key);
  const modified = event.altKey || event.metaKey || event.ctrlKey;
  const named = /^F\d+$/.test(event.key);
  if (modifierOfKey(event.key, platform) !== null) return null;
  if (!byKeys && !named && (!modified || (writes && !event.altKey))) return null;
  if (byKeys && !modified && /^(?:Tab|Escape|Enter|ArrowUp|ArrowDown|PageUp|PageDown)$/.test(event.key)) return null;
  const chord = chordOfEvent(event.nativeEvent, keyboard, platform);
  return chord && canonicalText(chord);
}
