'use client';

import CssBaseline from '@mui/material/CssBaseline';
import { ThemeProvider } from '@mui/material/styles';
import { AppRouterCacheProvider } from '@mui/material-nextjs/v16-appRouter';
import type { ReactNode } from 'react';
import type { Settings } from '@/core/settings/settings';
import { Tips } from '../kit/Tips';
import { theme } from '../kit/theme';
import { NoticeProvider } from './Notices';
import { SettingsProvider } from './SettingsContext';

/** MUI sets no lamp itself: which is lit stands on the root, and on the server. */
const APART = { storageManager: null, colorSchemeNode: null };

/** What every screen stands on. */
export function Providers({ nonce, settings, children }: { nonce: string; settings: Settings; children: ReactNode }) {
  return (
    <AppRouterCacheProvider options={{ nonce, key: 'gp', enableCssLayer: true }}>
      <ThemeProvider theme={theme} {...APART}>
        <CssBaseline />
        <SettingsProvider initial={settings}>
          <NoticeProvider nonce={nonce}>{children}</NoticeProvider>
        </SettingsProvider>
        <Tips />
      </ThemeProvider>
    </AppRouterCacheProvider>
  );
}
