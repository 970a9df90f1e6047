import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { ENVIRONMENT, ROOT, ensureBuild, ensurePackages, run } from './lib/project.mjs';

/** All tests, installing what they need: lint, format, types, unit, database, build, browser. */
let passed = 0;
let failed = 0;

function check(name, command, args) {
  console.log(`\n== ${name}`);
  const { status } = spawnSync(command, args, { cwd: ROOT, stdio: 'inherit', env: ENVIRONMENT });
  if (status === 0) passed += 1;
  else failed += 1;
  console.log(`${status === 0 ? 'ok' : 'FAILED'}: ${name}`);
  return status === 0;
}

const bin = (path) => join('node_modules', path);
const node = (name, script, ...args) => check(name, process.execPath, [bin(script), ...args]);

function jest(project, ...args) {
  const output = join(ROOT, 'test-output', `${project}.json`);
  rmSync(output, { force: true });
  mkdirSync(join(ROOT, 'test-output'), { recursive: true });
  console.log(`\n== ${project} tests`);
  spawnSync(
    process.execPath,
    [
      bin('jest/bin/jest.js'),
      '--selectProjects',
      project,
      // A machine that is shared may stand still for seconds; a test that hangs still ends.
      '--testTimeout',
      '300000',
      '--json',
      '--outputFile',
      output,
      ...args,
    ],
    { cwd: ROOT, stdio: ['ignore', 'ignore', 'inherit'], env: ENVIRONMENT },
  );
  if (!existsSync(output)) {
    failed += 1;
    return console.log(`FAILED: ${project} tests did not run`);
  }
  const result = JSON.parse(readFileSync(output, 'utf8'));
  passed += result.numPassedTests;
  // A test file that does not even load counts as one failure.
  failed += result.numFailedTests + result.numRuntimeErrorTestSuites;
  return console.log(
    `${project}: ${result.numPassedTests} passed, ${result.numFailedTests} failed`,
  );
}

function ensureChromium() {
  const places = [
    '/usr/bin/chromium',
    '/usr/bin/chromium-browser',
    '/usr/bin/google-chrome',
    process.env.CHROMIUM,
  ];
  if (places.some((place) => place && existsSync(place))) return;
  console.log('Installing Debian’s Chromium …');
  const quiet = { stdio: ['ignore', 'ignore', 'inherit'] };
  run('apt-get', ['update', '-qq'], quiet);
  run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', 'chromium'], {
    ...quiet,
    env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
  });
}

try {
  ensurePackages();
  ensureChromium();
  // The linter and the compiler both read the routes' generated types.
  run(process.execPath, [bin('next/dist/bin/next'), 'typegen'], { stdio: 'ignore' });
  check('lint: houses and rules', process.execPath, [
    bin('eslint/bin/eslint.js'),
    '.',
    '--max-warnings',
    '0',
  ]);
  node('format', 'prettier/bin/prettier.cjs', '--check', '--log-level', 'warn', '.');
  node('types', 'typescript/bin/tsc', '--noEmit');
  jest('unit');
  jest('database', '--maxWorkers', '2');
  console.log('\n== production build');
  try {
    ensureBuild();
    passed += 1;
    // They mostly wait, each for a browser and a server of its own.
    jest('browser', '--maxWorkers', '2');
  } catch (error) {
    failed += 1;
    console.error(error);
  }
} catch (error) {
  failed += 1;
  console.error(error);
}
console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
