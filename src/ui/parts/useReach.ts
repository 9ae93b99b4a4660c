'use client';

import { useEffect, useMemo, useState } from 'react';
import { candidatesOn, usualLayers } from '@/core/advice/candidates';
import type { Keymap } from '@/core/keymap/keymap';
import { type ReachOf, reachOf } from '@/core/reach/reachOf';
import { useSettings } from '../shell/SettingsContext';

/** How long, in ms, a slice of this may hold up the page. */
const SLICE = 6;
/** The same where the page has found no rest for a second, as on a machine that is busy with other things. */
const LONG_SLICE = 40;

/**
 * Reach for the keyboard and free hand chosen. It is worked out for all keys of a keymap, and for those that advice would
 * propose, while the page has nothing else to do; `ready` says that this is done, so that asking costs nothing.
 */
export function useReach(keymap: Keymap): { readonly reach: ReachOf; readonly ready: boolean } {
  const { where, settings } = useSettings();
  const reach = useMemo(() => reachOf(where, settings.hand), [where, settings.hand]);
  const [done, setDone] = useState<ReachOf | null>(null);
  useEffect(() => {
    const chords = new Set(candidatesOn(where, usualLayers(where), true).map((one) => one.chord));
    for (const bindings of keymap.bindings.values()) for (const { chord } of bindings) chords.add(chord);
    const left = chords.values();
    let next = 0;
    const slice = ({ didTimeout }: IdleDeadline): void => {
      const end = performance.now() + (didTimeout ? LONG_SLICE : SLICE);
      for (let step = left.next(); ; step = left.next()) {
        if (step.done) {
          setDone(() => reach);
          return;
        }
        reach(step.value);
        if (performance.now() > end) break;
      }
      next = window.requestIdleCallback(slice, { timeout: 1000 });
    };
    next = window.requestIdleCallback(slice, { timeout: 1000 });
    return () => window.cancelIdleCallback(next);
  }, [where, reach, keymap]);
  return { reach, ready: done === reach };
}
