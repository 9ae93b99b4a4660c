'use client';

import { ThemeProvider } from '@mui/material/styles';
import type { ReactNode } from 'react';
import type { Settings } from '@/core/settings/settings';
import type { Versioned } from '@/core/sync/versioned';
import { StyleCache } from '../kit/StyleCache';
import { Tips } from '../kit/Tips';
import { theme } from '../kit/theme';
import { NoticeProvider } from './Notices';
import { SettingsProvider } from './SettingsContext';

/** MUI sets no lamp and no variables itself: which is lit stands on the root, and on the server; all are sent with the page. */
const APART = { storageManager: null, colorSchemeNode: null, disableStyleSheetGeneration: true };

/** What every screen stands on. */
export function Providers({
  nonce,
  settings,
  children,
}: {
  nonce: string;
  settings: Versioned<Settings>;
  children: ReactNode;
}) {
  return (
    <StyleCache nonce={nonce}>
      <ThemeProvider theme={theme} {...APART}>
        <NoticeProvider nonce={nonce}>
          <SettingsProvider initial={settings}>{children}</SettingsProvider>
        </NoticeProvider>
        <Tips />
      </ThemeProvider>
    </StyleCache>
  );
}
