import type { NextConfig } from 'next';

const config: NextConfig = {
  poweredByHeader: false,
  reactStrictMode: true,
  // The tests check types beside the build, over scripts and tests too; once is enough.
  typescript: { ignoreBuildErrors: process.env.TYPES_CHECKED === '1' },
  devIndicators: false,
  // The server of scripts/serve compresses everything, handlers' answers too.
  compress: false,
  // Native modules and what reads its own files stay outside the bundle.
  serverExternalPackages: [
    '@libsql/client',
    'libsql',
    '@node-rs/argon2',
    '@react-pdf/renderer',
    'fontkit',
  ],
};

export default config;
