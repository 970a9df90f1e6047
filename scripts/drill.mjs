import { closeWith, ensureChromium, jest } from './lib/checks.mjs';
import { ensureBuild, ensurePackages } from './lib/project.mjs';

/** What happens to machines, done to ours on purpose: `npm run drill`; docs/reliability.md has its table. */
async function drill() {
  ensurePackages();
  ensureChromium();
  ensureBuild();
  await jest('long', '--maxWorkers', '1', '--testPathPatterns', 'long/(drill|kills)');
}

drill().then(
  () => closeWith(),
  (error) => closeWith(error),
);
