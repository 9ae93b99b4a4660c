'use client';

import { ThemeProvider } from '@mui/material/styles';
import { AppRouterCacheProvider } from '@mui/material-nextjs/v16-appRouter';
import type { ReactNode } from 'react';
import type { Settings } from '@/core/settings/settings';
import { NoticeProvider } from './Notices';
import { SettingsProvider } from './SettingsContext';
import { theme } from './theme';

/** What every screen stands on. */
export function Providers({ nonce, settings, children }: { nonce: string; settings: Settings; children: ReactNode }) {
  return (
    <AppRouterCacheProvider options={{ nonce, key: 'gp' }}>
      <ThemeProvider theme={theme}>
        <SettingsProvider initial={settings}>
          <NoticeProvider>{children}</NoticeProvider>
        </SettingsProvider>
      </ThemeProvider>
    </AppRouterCacheProvider>
  );
}
