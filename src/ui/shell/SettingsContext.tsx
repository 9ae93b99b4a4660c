'use client';

import { createContext, type ReactNode, useContext, useEffect, useLayoutEffect, useMemo, useState } from 'react';
import type { Platform } from '@/core/keyboard/chordOfEvent';
import { type Where, whereOf } from '@/core/keyboard/where';
import { DEFAULT_SETTINGS, type Settings } from '@/core/settings/settings';
import type { Versioned } from '@/core/sync/versioned';
import { useKept } from '../sync/useKept';
import { settingsWay } from '../sync/ways';

type Shared = {
  readonly settings: Settings;
  /** Stores some of them; false where they are not stored, which is said. */
  readonly change: (values: Partial<Settings>) => Promise<boolean>;
  readonly platform: Platform;
  /** The keyboard and desktop that keys are judged for. */
  readonly where: Where;
};
const Context = createContext<Shared>({
  settings: DEFAULT_SETTINGS,
  change: async () => false,
  platform: 'windows',
  where: whereOf(DEFAULT_SETTINGS),
});

/** Lamp, text size and notation for everything below, stored as they are changed. */
export function SettingsProvider({ initial, children }: { initial: Versioned<Settings>; children: ReactNode }) {
  const [settings, change] = useKept('settings', initial, settingsWay);
  const [platform, setPlatform] = useState<Platform>('windows');
  useEffect(() => {
    // From here on the page answers; tests and scripts wait for it.
    // A screen that is drawn by the browser alone says itself when it is there.
    if (!document.querySelector('.screen[aria-busy]')) document.documentElement.dataset.ready = 'yes';
    if (/mac|iphone|ipad/i.test(navigator.userAgent)) setPlatform('mac');
  }, []);
  const { lamp, textSize } = settings;
  useLayoutEffect(() => {
    Object.assign(document.documentElement.dataset, { lamp, text: textSize });
  }, [lamp, textSize]);
  const shared = useMemo<Shared>(
    () => ({ settings, platform, where: whereOf(settings, settings.desktop), change }),
    [settings, platform, change],
  );
  return <Context.Provider value={shared}>{children}</Context.Provider>;
}

export function useSettings(): Shared {
  return useContext(Context);
}
