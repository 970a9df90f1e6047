import type { NextConfig } from 'next';

const config: NextConfig = {
  poweredByHeader: false,
  reactStrictMode: true,
  devIndicators: false,
  // Native modules stay outside the bundle.
  serverExternalPackages: ['@libsql/client', 'libsql', '@node-rs/argon2'],
};

export default config;
