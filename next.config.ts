import type { NextConfig } from 'next';

const config: NextConfig = {
  poweredByHeader: false,
  reactStrictMode: true,
  // The tests check types beside the build, over scripts and tests too; once is enough.
  typescript: { ignoreBuildErrors: process.env.TYPES_CHECKED === '1' },
  devIndicators: false,
  turbopack: {
    // The search brings a dialog along that it never opens; our own are imported by another name.
    resolveAlias: { '@radix-ui/react-dialog': './src/ui/primitives/no-dialog.ts' },
  },
  experimental: {
    // A build takes less than half as long, and what the server's log says of a fault stays readable.
    turbopackMinify: { server: false },
    turbopackSourceMaps: false,
    // A server that a test starts for itself is asked for few pages; others load all before they are asked.
    preloadEntriesOnStart: process.env.PAGES_WHEN_ASKED !== '1',
    // The project keeps its own mark of what a build was made of (scripts/lib/project.mjs).
    turbopackFileSystemCacheForBuild: false,
    // What a photo may be, and what stands around it; more never comes as far (scripts/serve).
    proxyClientMaxBodySize: 17 * 1024 * 1024,
  },
  // A page that a phone kept leads to where the questions were before.
  redirects: () =>
    Promise.resolve([{ source: '/health', destination: '/today/health', permanent: false }]),
  // The server of scripts/serve compresses everything, handlers' answers too.
  compress: false,
  // Native modules and what reads its own files stay outside the bundle.
  serverExternalPackages: [
    '@libsql/client',
    'drizzle-orm',
    'zod',
    'temporal-polyfill',
    'libsql',
    '@node-rs/argon2',
    '@react-pdf/renderer',
    'fontkit',
  ],
};

export default config;
