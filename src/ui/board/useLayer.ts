'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import { inOrder, type Modifier } from '@/core/chord/chord';
import { heldModifiers, modifierOfKey } from '@/core/keyboard/chordOfEvent';
import { toggled } from '../kit/toggled';
import { useSettings } from '../shell/SettingsContext';

/** The modifiers whose layer the drawn keyboard shows: those held down, else those tapped or clicked. */
export function useLayer(): {
  layer: readonly Modifier[];
  showLayer: (modifiers: readonly Modifier[]) => void;
  toggle: (modifier: Modifier) => void;
} {
  const { platform } = useSettings();
  const [locked, setLocked] = useState<readonly Modifier[]>([]);
  const [held, setHeld] = useState<readonly Modifier[]>([]);
  const tapped = useRef<Modifier | null>(null);
  const toggle = useCallback((modifier: Modifier) => {
    setLocked((now) => inOrder(toggled(now, modifier)));
  }, []);
  const showLayer = useCallback(
    (modifiers: readonly Modifier[]) => setLocked((now) => (now.join() === modifiers.join() ? now : modifiers)),
    [],
  );

  useEffect(() => {
    const typesText = (target: EventTarget | null) =>
      target instanceof HTMLInputElement && !target.readOnly && target.value !== '';
    const down = (event: KeyboardEvent): void => {
      const modifier = modifierOfKey(event.key, platform);
      // A tap is a modifier pressed and let go with nothing in between; Shift for a capital letter is none.
      tapped.current =
        modifier !== null && !event.repeat && !typesText(event.target)
          ? modifier
          : event.repeat
            ? tapped.current
            : null;
      if (modifier !== null) setHeld(heldModifiers(event, platform));
    };
    const up = (event: KeyboardEvent): void => {
      const modifier = modifierOfKey(event.key, platform);
      if (modifier === null) return;
      // Alt alone would move to the browser's own menu.
      if (event.key === 'Alt') event.preventDefault();
      if (tapped.current === modifier) toggle(modifier);
      tapped.current = null;
      setHeld(heldModifiers(event, platform));
    };
    const clear = (): void => setHeld([]);
    window.addEventListener('keydown', down, true);
    window.addEventListener('keyup', up, true);
    window.addEventListener('blur', clear);
    return () => {
      window.removeEventListener('keydown', down, true);
      window.removeEventListener('keyup', up, true);
      window.removeEventListener('blur', clear);
    };
  }, [platform, toggle]);
  return { layer: held.length > 0 ? held : locked, showLayer, toggle };
}
