/**
 * Imports point one way: app → ui, server; server → db, pdf, backup; ui, db → catalogue → core.
 * A folder's public face is its index.ts, so core is imported by house (`@/core/dose`), never deeper.
 */
const deepCore = { group: ['@/core/*/*'], message: 'Import a core house by its index.' };
const houses = ['core', 'catalogue', 'db', 'server', 'ui', 'app', 'workers', 'pdf', 'backup'];
const allowed = {
  core: ['core'],
  catalogue: ['core', 'catalogue'],
  db: ['core', 'catalogue', 'db'],
  server: ['core', 'catalogue', 'db', 'server', 'pdf', 'backup'],
  ui: ['core', 'catalogue', 'ui', 'workers', 'pdf', 'backup'],
  workers: ['core', 'catalogue', 'workers'],
  pdf: ['core', 'catalogue', 'pdf'],
  backup: ['backup'],
  app: ['core', 'catalogue', 'server', 'ui', 'workers', 'app'],
};

const houseRules = Object.entries(allowed).map(([house, open]) => ({
  files: [`src/${house}/**/*.{ts,tsx}`],
  rules: {
    'no-restricted-imports': [
      'error',
      {
        patterns: [
          ...houses
            .filter((other) => !open.includes(other))
            .map((other) => ({
              group: [`@/${other}`, `@/${other}/**`],
              message: `src/${house} may not import src/${other} (docs/architecture.md).`,
            })),
          ...(house === 'ui' || house === 'app'
            ? [
                {
                  group: ['next/link'],
                  message: 'A link asks for its page when it is followed: primitives/quiet-link.',
                },
              ]
            : []),
          ...(house === 'core'
            ? [
                {
                  regex: '^(react|next|drizzle|@libsql|node:|fs|d3)',
                  message: 'Core is pure TypeScript: no interface, database or I/O.',
                },
              ]
            : []),
          deepCore,
        ],
      },
    ],
  },
}));

/** Rules that read the compiler's types. */
const typed = Object.fromEntries(
  [
    'await-thenable',
    'no-array-delete',
    'no-base-to-string',
    'no-duplicate-type-constituents',
    'no-floating-promises',
    'no-for-in-array',
    'no-implied-eval',
    'no-redundant-type-constituents',
    'no-unnecessary-type-assertion',
    'no-unsafe-argument',
    'no-unsafe-assignment',
    'no-unsafe-call',
    'no-unsafe-enum-comparison',
    'no-unsafe-member-access',
    'no-unsafe-return',
    'no-unsafe-unary-minus',
    'only-throw-error',
    'prefer-promise-reject-errors',
    'restrict-plus-operands',
    'restrict-template-expressions',
    'unbound-method',
  ].map((rule) => [`typescript/${rule}`, 'error']),
);

/** Rules of the language that need no types. */
const plain = Object.fromEntries(
  [
    'ban-ts-comment',
    'no-empty-object-type',
    'no-explicit-any',
    'no-namespace',
    'no-non-null-asserted-optional-chain',
    'no-require-imports',
    'no-this-alias',
    'no-unnecessary-type-constraint',
    'no-unsafe-declaration-merging',
    'no-unsafe-function-type',
    'no-wrapper-object-types',
    'prefer-as-const',
    'prefer-namespace-keyword',
    'triple-slash-reference',
  ].map((rule) => [`typescript/${rule}`, 'error']),
);

const everywhere = {
  ...plain,
  ...typed,
  'typescript/switch-exhaustiveness-check': ['error', { considerDefaultExhaustiveForUnions: true }],
  'typescript/no-misused-promises': ['error', { checksVoidReturn: { attributes: false } }],
  'no-unused-vars': ['error', { argsIgnorePattern: '^_' }],
  'no-var': 'error',
  'prefer-const': 'error',
  'no-array-constructor': 'error',
  'no-unused-expressions': 'error',
  'prefer-rest-params': 'error',
  'prefer-spread': 'error',
};

export default {
  plugins: ['typescript', 'react', 'nextjs', 'import'],
  jsPlugins: ['./scripts/lint/clock.mjs'],
  categories: { correctness: 'off' },
  // The compiler's own findings too: it would read the same program once more.
  options: { typeAware: true, typeCheck: true },
  ignorePatterns: [
    '.next/**',
    '!.next/types/validator.ts',
    'node_modules/**',
    'data/**',
    'next-env.d.ts',
    'test-output/**',
  ],
  overrides: [
    {
      files: ['**/*.{ts,tsx}'],
      rules: everywhere,
    },
    {
      files: ['src/**/*.{ts,tsx}'],
      // Plain links between pages are allowed: the phone's pages are documents of their own, so that a
      // link works before any script has come (docs/decisions/0025-first-touch.md).
      rules: {
        // No file reaches itself through what it imports when it runs.
        'import/no-cycle': ['error', { ignoreTypes: true }],
        'react/rules-of-hooks': 'error',
        'react/exhaustive-deps': 'error',
        'nextjs/google-font-display': 'error',
        'nextjs/google-font-preconnect': 'error',
        'nextjs/inline-script-id': 'error',
        'nextjs/next-script-for-ga': 'error',
        'nextjs/no-assign-module-variable': 'error',
        'nextjs/no-async-client-component': 'error',
        'nextjs/no-before-interactive-script-outside-document': 'error',
        'nextjs/no-css-tags': 'error',
        'nextjs/no-document-import-in-page': 'error',
        'nextjs/no-duplicate-head': 'error',
        'nextjs/no-head-element': 'error',
        'nextjs/no-head-import-in-document': 'error',
        'nextjs/no-img-element': 'error',
        'nextjs/no-page-custom-font': 'error',
        'nextjs/no-script-component-in-head': 'error',
        'nextjs/no-styled-jsx-in-document': 'error',
        'nextjs/no-sync-scripts': 'error',
        'nextjs/no-title-in-document-head': 'error',
        'nextjs/no-typos': 'error',
        'nextjs/no-unwanted-polyfillio': 'error',
      },
    },
    ...houseRules,
    {
      files: ['src/core/**/*.ts'],
      rules: {
        'no-restricted-properties': [
          'error',
          { object: 'Math', property: 'random', message: 'Pass a seeded generator in.' },
          { object: 'Date', property: 'now', message: 'Pass "now" in.' },
        ],
        'house/no-own-clock': 'error',
      },
    },
    {
      files: ['src/**/*.test.{ts,tsx}'],
      rules: {
        'no-restricted-imports': 'off',
        'no-restricted-properties': 'off',
        'house/no-own-clock': 'off',
      },
    },
    {
      // What the framework writes of the pages: its types are checked, its style is its own.
      files: ['.next/types/*.ts'],
      rules: Object.fromEntries(Object.keys(everywhere).map((rule) => [rule, 'off'])),
    },
  ],
};
