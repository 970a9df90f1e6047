import { check, closeWith, ensureChromium, jest, lane, tally } from './lib/checks.mjs';
import { ensureBuildBeside, ensurePackages, run } from './lib/project.mjs';

/**
 * All tests, installing what they need, in two lanes beside each other to the end: the build and the
 * browser, which waits much, beside everything that only reckons.
 */
async function build() {
  try {
    const seconds = await ensureBuildBeside();
    tally.passed += 1;
    console.log(`ok: production build (${seconds} s)`);
  } catch (error) {
    tally.failed += 1;
    console.error(error);
  }
}

async function all() {
  ensurePackages();
  ensureChromium();
  // The linter and the compiler both read the routes' generated types.
  run(process.execPath, ['node_modules/next/dist/bin/next', 'typegen'], { stdio: 'ignore' });
  await Promise.all([
    lane(build, () => jest('browser', '--maxWorkers', '2')),
    lane(
      () => jest('unit', '--maxWorkers', '1'),
      () => jest('database', '--maxWorkers', '1'),
      () => check('types', 'typescript/bin/tsc', '--noEmit'),
      () =>
        check(
          'lint: houses, rules and circles',
          'eslint/bin/eslint.js',
          '.',
          '--max-warnings',
          '0',
        ),
      () => check('unused exports', 'knip/bin/knip.js', '--include', 'exports,files'),
      () => check('format', 'prettier/bin/prettier.cjs', '--check', '--log-level', 'warn', '.'),
    ),
  ]);
}

all().then(
  () => closeWith(),
  (error) => closeWith(error),
);
