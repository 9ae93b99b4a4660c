import type { Metadata } from 'next';
import { headers } from 'next/headers';
import type { ReactNode } from 'react';
import { loadVersionedSettings } from '@/server/useCases/settings';
import { Providers } from '@/ui/shell/Providers';
import { Rail } from '@/ui/shell/Rail';
import '@/ui/shell/global.css';

export const metadata: Metadata = {
  title: { default: 'Gray Pin', template: '%s · Gray Pin' },
  description: 'Your keys, in every program.',
};
export const dynamic = 'force-dynamic';

export default async function Layout({ children }: { children: ReactNode }) {
  const settings = await loadVersionedSettings();
  const nonce = (await headers()).get('x-nonce') ?? '';
  return (
    <html lang="en" data-lamp={settings.value.lamp} data-text={settings.value.textSize}>
      <body>
        <Providers nonce={nonce} settings={settings}>
          <div className="shell">
            <Rail />
            {children}
          </div>
        </Providers>
      </body>
    </html>
  );
}
