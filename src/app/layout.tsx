import './globals.css';
import type { Metadata, Viewport } from 'next';
import type { ReactNode } from 'react';
import { EarlyKeys } from './EarlyKeys';
import { FACES } from './fonts';
import { readPreferences } from './lib/preferences';

export const metadata: Metadata = { title: { default: 'Pewterer', template: '%s · Pewterer' } };
export const viewport: Viewport = { width: 'device-width', initialScale: 1 };
// Every page carries this request's nonce and this person's rows, so none is made ahead of time.
export const dynamic = 'force-dynamic';

export default async function RootLayout({ children }: { children: ReactNode }) {
  const { theme } = await readPreferences();
  const chosen = theme === null ? {} : { 'data-theme': theme === 'dark' ? 'pewter-dark' : 'pewter' };
  return (
    <html lang="en" className={FACES} {...chosen}>
      <head>
        <EarlyKeys />
      </head>
      <body>{children}</body>
    </html>
  );
}
