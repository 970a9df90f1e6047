const transform = {
  '^.+\\.(m?js|[jt]sx?)$': [
    '@swc/jest',
    {
      jsc: {
        parser: { syntax: 'typescript', tsx: true },
        target: 'es2022',
        transform: { react: { runtime: 'automatic' } },
      },
    },
  ],
};
const shared = {
  testEnvironment: '<rootDir>/tests/modules/environment.cjs',
  runtime: '<rootDir>/tests/modules/runtime.cjs',
  transform,
  transformIgnorePatterns: [
    '/node_modules/(?!(d3|d3-[a-z-]+|internmap|delaunator|robust-predicates|temporal-polyfill|temporal-utils|intl-messageformat|@formatjs/[a-z-]+|uuid|@lingui/[a-z-]+|fhir-kit-client|flesch-kincaid|syllable|@messageformat/[a-z-]+)/)',
  ],
  moduleNameMapper: {
    '^@/(.*)$': '<rootDir>/src/$1',
    // Its mark is for the bundler; outside of it the module only throws.
    '^server-only$': '<rootDir>/node_modules/server-only/empty.js',
    // It declares itself for `import` only.
    '^fhir-kit-client$': '<rootDir>/node_modules/fhir-kit-client/dist/client.js',
  },
  extensionsToTreatAsEsm: [],
  setupFiles: ['<rootDir>/tests/support/shifted-clock.ts'],
  // A module's look at a global of its sandbox is slow, and the libraries ask for these all the time.
  sandboxInjectedGlobals: [
    'Array',
    'Boolean',
    'Error',
    'JSON',
    'Map',
    'Math',
    'Number',
    'Object',
    'Promise',
    'Reflect',
    'Set',
    'String',
    'Symbol',
    'WeakMap',
  ],
};

export default {
  testSequencer: '<rootDir>/tests/support/longest-first.mjs',
  projects: [
    {
      ...shared,
      displayName: 'unit',
      setupFilesAfterEnv: ['<rootDir>/tests/support/patience.ts'],
      testMatch: ['<rootDir>/{src,scripts}/**/*.test.{ts,tsx}'],
    },
    {
      ...shared,
      displayName: 'database',
      setupFilesAfterEnv: ['<rootDir>/tests/support/patience.ts'],
      testMatch: ['<rootDir>/tests/database/**/*.test.ts'],
      moduleNameMapper: {
        '^@/pdf/thread$': '<rootDir>/tests/support/pdf-thread.ts',
        '^@node-rs/argon2$': '<rootDir>/tests/support/quick-argon2.ts',
        '^@/server/erase-thread$': '<rootDir>/tests/support/erase-here.ts',
        '^@/server/follow/rows-thread$': '<rootDir>/tests/support/rows-here.ts',
        '^@/server/whole-record/thread$': '<rootDir>/tests/support/record-here.ts',
        ...shared.moduleNameMapper,
        // Handlers are called without a server: their cookies and headers are the test's.
        '^next/headers$': '<rootDir>/tests/support/next-headers.ts',
        // How a sheet is drawn is tested where it is drawn; here it is enough that it is asked for.
        '^@react-pdf/renderer$': '<rootDir>/tests/support/no-pdf.ts',
      },
    },
    {
      ...shared,
      displayName: 'browser',
      setupFilesAfterEnv: ['<rootDir>/tests/support/patience.ts'],
      globalSetup: '<rootDir>/tests/support/shared-server.ts',
      globalTeardown: '<rootDir>/tests/support/shared-server-end.ts',
      testMatch: ['<rootDir>/tests/browser/**/*.test.ts', '<rootDir>/tests/security/**/*.test.ts'],
    },
    // What takes longer than every submission can wait for: `npm run long`.
    {
      ...shared,
      displayName: 'long',
      setupFilesAfterEnv: ['<rootDir>/tests/support/patience.ts'],
      globalSetup: '<rootDir>/tests/support/shared-server.ts',
      globalTeardown: '<rootDir>/tests/support/shared-server-end.ts',
      testMatch: ['<rootDir>/tests/{long,browser,security}/**/*.test.ts'],
    },
  ],
};
