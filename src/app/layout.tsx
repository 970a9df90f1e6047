import type { Metadata, Viewport } from 'next';
import { connection } from 'next/server';
import { writtenWay } from '@/catalogue';
import { documentLanguage } from '@/server/patient/words';
import './globals.css';

export const metadata: Metadata = {
  title: { default: 'Dry Lantern', template: '%s · Dry Lantern' },
  description: 'Home exercise programmes for neck, back and posture.',
  referrer: 'no-referrer',
};

export const viewport: Viewport = { width: 'device-width', initialScale: 1 };

export default async function RootLayout({ children }: { children: React.ReactNode }) {
  // Every page carries a nonce of its own, so none is built ahead.
  await connection();
  const tag = await documentLanguage();
  return (
    <html lang={tag} dir={writtenWay(tag)}>
      <body>{children}</body>
    </html>
  );
}
