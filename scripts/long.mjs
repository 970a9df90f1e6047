import { closeWith, ensureChromium, jest, jestOn } from './lib/checks.mjs';
import { ENVIRONMENT, ensureBuild, ensurePackages } from './lib/project.mjs';

/** What takes longer than a submission can wait for: `npm run long`. A sample of it is in `npm test`. */
/** Days and hours on which a test that hangs on them would show it (UTC). */
const OTHER_DAYS = {
  'on a Saturday before midnight': '2026-12-05T23:57:30Z',
  'on a Sunday after midnight': '2026-12-06T00:01:00Z',
  'on a leap day': '2028-02-29T12:00:00Z',
  'in the hour the clocks change': '2027-03-28T00:58:00Z',
};

async function all() {
  ensurePackages();
  ensureChromium();
  ensureBuild();
  // In `npm test` axe looks at a sample in dark, and properties draw a quarter of their cases.
  ENVIRONMENT.DARK_EVERYWHERE = '1';
  ENVIRONMENT.EVERY_CASE = '1';
  ENVIRONMENT.TABLE_ROWS = '5000';
  await jest('long', '--maxWorkers', '2');
  for (const [day, at] of Object.entries(OTHER_DAYS))
    for (const project of ['unit', 'database'])
      await jestOn(` ${day}`, Date.parse(at) - Date.now(), project, '--maxWorkers', '2');
}

all().then(
  () => closeWith(),
  (error) => closeWith(error),
);
