import { closeWith, ensureChromium, jest } from './lib/checks.mjs';
import { ENVIRONMENT, ensureBuild, ensurePackages } from './lib/project.mjs';

/** What takes longer than a submission can wait for: `npm run long`. A sample of it is in `npm test`. */
async function all() {
  ensurePackages();
  ensureChromium();
  ensureBuild();
  // In `npm test` axe looks at a sample in dark.
  ENVIRONMENT.DARK_EVERYWHERE = '1';
  await jest('long', '--maxWorkers', '2');
}

all().then(
  () => closeWith(),
  (error) => closeWith(error),
);
