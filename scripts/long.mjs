import { closeWith, ensureChromium, jest } from './lib/checks.mjs';
import { ensureBuild, ensurePackages } from './lib/project.mjs';

/** What takes longer than a submission can wait for: `npm run long`. A sample of it is in `npm test`. */
async function all() {
  ensurePackages();
  ensureChromium();
  ensureBuild();
  await jest('long', '--maxWorkers', '2');
}

all().then(
  () => closeWith(),
  (error) => closeWith(error),
);
