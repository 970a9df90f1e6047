import type { Metadata, Viewport } from 'next';
import { headers } from 'next/headers';
import { connection } from 'next/server';
import { preload } from 'react-dom';
import { writtenWay } from '@/catalogue';
import { documentLanguage } from '@/server/patient/words';
import { EarlySubmit } from '@/ui/forms/early-submit';
import './globals.css';

export const metadata: Metadata = {
  title: { default: 'Dry Lantern', template: '%s · Dry Lantern' },
  description: 'Home exercise programmes for neck, back and posture.',
  referrer: 'no-referrer',
};

export const viewport: Viewport = { width: 'device-width', initialScale: 1 };

/** The letters of nearly every text: asked for with the page, so that its lines are not laid anew when they come. */
const LETTERS = new URL(
  '../../node_modules/@fontsource-variable/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-wght-normal.woff2',
  import.meta.url,
);

export default async function RootLayout({ children }: { children: React.ReactNode }) {
  // Every page carries a nonce of its own, so none is built ahead.
  await connection();
  preload(LETTERS.pathname, { as: 'font', type: 'font/woff2', crossOrigin: 'anonymous' });
  const tag = await documentLanguage();
  return (
    <html lang={tag} dir={writtenWay(tag)}>
      <body>
        <EarlySubmit nonce={(await headers()).get('x-nonce') ?? ''} />
        {children}
      </body>
    </html>
  );
}
