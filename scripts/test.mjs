import { SAMPLE, check, closeWith, ensureChromium, jest, lane, tally } from './lib/checks.mjs';
import { ensureBuildBeside, ensurePackages, run } from './lib/project.mjs';

/**
 * All tests, installing what they need, in two lanes beside each other: database tests and lint beside the
 * build, types, unit tests, unused exports and format; then the browser.
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
    lane(
      () => jest('database', '--maxWorkers', '1', '--testNamePattern', SAMPLE),
      () =>
        check(
          'lint: houses, rules and circles',
          'oxlint/bin/oxlint',
          '-c',
          'oxlint.config.mjs',
          '--max-warnings',
          '0',
        ),
    ),
    lane(
      build,
      () => check('types', 'typescript-native/bin/tsc', '--noEmit'),
      () => jest('unit', '--maxWorkers', '1'),
      () => check('unused exports', 'knip/bin/knip.js', '--include', 'exports,files'),
      () => check('format', 'oxfmt/bin/oxfmt', '--check'),
    ),
  ]);
  // They mostly wait, each for a browser. What says of itself that it is long is for `npm run long`.
  await jest('browser', '--maxWorkers', '3', '--testNamePattern', SAMPLE);
}

all().then(
  () => closeWith(),
  (error) => closeWith(error),
);
