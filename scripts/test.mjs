import {
  SAMPLE,
  beside,
  check,
  closeWith,
  ensureChromium,
  inParts,
  jest,
  tally,
} from './lib/checks.mjs';
import { ensureBuildBeside, ensurePackages, run } from './lib/project.mjs';
import { takenAway } from './lib/taken-away.mjs';

/**
 * All tests, installing what they need: the build and everything that needs none beside each other in two
 * lanes; then the browser.
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

// Types and style in one reading of the program, over what the framework writes of the pages as well.
const LINT = ['-c', 'oxlint.config.mjs', '--max-warnings', '0', '.', '.next/types/validator.ts'];

async function all() {
  const taken = takenAway();
  ensurePackages();
  ensureChromium();
  // The linter and the compiler both read the routes' generated types.
  run(process.execPath, ['node_modules/next/dist/bin/next', 'typegen'], { stdio: 'ignore' });
  await beside(2, [
    build,
    ...inParts('database', 3, '--testNamePattern', SAMPLE),
    ...inParts('unit', 2),
    () => check('unused exports', 'knip/bin/knip.js', '--include', 'exports,files'),
    () => check('types and lint: houses, rules and circles', 'oxlint/bin/oxlint', ...LINT),
    () => check('format', 'oxfmt/bin/oxfmt', '--check'),
  ]);
  // They mostly wait, each for a browser. What says of itself that it is long is for `npm run long`.
  await jest('browser', '--maxWorkers', '3', '--testNamePattern', SAMPLE);
  console.log(`Of the processors’ time the machine’s host gave to others: ${taken()}`);
}

all().then(
  () => closeWith(),
  (error) => closeWith(error),
);
