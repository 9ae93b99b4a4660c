'use client';

import { useEffect, useState } from 'react';
import { troublesOf } from '@/core/clash/checkKeymap';
import type { ClashIndex } from '@/core/clash/clashIndex';
import type { Keymap } from '@/core/keymap/keymap';
import { useSettings } from '../shell/SettingsContext';

/** How long, in ms, a slice of the check may hold up the page. */
const SLICE = 6;

/** How many things of a keymap are wrong or risky, counted bit by bit while the page has nothing else to do. */
export function useTroubleCount(index: ClashIndex, factory: Keymap): number {
  const { where } = useSettings();
  const [count, setCount] = useState(0);
  useEffect(() => {
    const steps = troublesOf(index, where, factory);
    let bad = 0;
    let next = 0;
    const slice = (): void => {
      const end = performance.now() + SLICE;
      for (let step = steps.next(); ; step = steps.next()) {
        if (step.done) {
          setCount(bad);
          return;
        }
        bad += step.value.filter((one) => one.gravity !== 'known').length;
        if (performance.now() > end) break;
      }
      next = window.requestIdleCallback(slice, { timeout: 1000 });
    };
    next = window.requestIdleCallback(slice, { timeout: 1000 });
    return () => window.cancelIdleCallback(next);
  }, [index, where, factory]);
  return count;
}
