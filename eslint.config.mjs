import tseslint from 'typescript-eslint';
import next from '@next/eslint-plugin-next';
import hooks from 'eslint-plugin-react-hooks';

/**
 * Imports point one way: app → ui, server; server → db; ui, db → catalogue → core.
 * A folder's public face is its index.ts, so core is imported by house (`@/core/dose`), never deeper.
 */
const deepCore = { group: ['@/core/*/*'], message: 'Import a core house by its index.' };
const houses = ['core', 'catalogue', 'db', 'server', 'ui', 'app', 'workers'];
const allowed = {
  core: ['core'],
  catalogue: ['core', 'catalogue'],
  db: ['core', 'catalogue', 'db'],
  server: ['core', 'catalogue', 'db', 'server'],
  ui: ['core', 'catalogue', 'ui', 'workers'],
  workers: ['core', 'catalogue', 'workers'],
  app: ['core', 'catalogue', 'server', 'ui', 'workers', 'app'],
};

const houseRules = Object.entries(allowed).map(([house, open]) => ({
  files: [`src/${house}/**/*.{ts,tsx}`],
  ignores: ['**/*.test.ts', '**/*.test.tsx'],
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

export default tseslint.config(
  { ignores: ['.next/**', 'node_modules/**', 'data/**', 'next-env.d.ts', 'test-output/**'] },
  ...tseslint.configs.recommendedTypeChecked.map((config) => ({
    ...config,
    files: ['**/*.ts', '**/*.tsx'],
  })),
  {
    files: ['**/*.ts', '**/*.tsx'],
    languageOptions: { parserOptions: { projectService: true } },
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/switch-exhaustiveness-check': [
        'error',
        { considerDefaultExhaustiveForUnions: true },
      ],
      '@typescript-eslint/require-await': 'off',
      '@typescript-eslint/no-misused-promises': [
        'error',
        { checksVoidReturn: { attributes: false } },
      ],
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_' }],
    },
  },
  {
    files: ['src/**/*.{ts,tsx}'],
    plugins: { '@next/next': next, 'react-hooks': hooks },
    rules: {
      ...next.configs.recommended.rules,
      'react-hooks/rules-of-hooks': 'error',
      'react-hooks/exhaustive-deps': 'error',
    },
  },
  ...houseRules,
  {
    files: ['src/core/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'Pass a seeded generator in.' },
        { object: 'Date', property: 'now', message: 'Pass "now" in.' },
      ],
      'no-restricted-syntax': [
        'error',
        {
          selector: "NewExpression[callee.name='Date'][arguments.length=0]",
          message: 'Pass "now" in.',
        },
      ],
    },
  },
);
