import { spawn } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync, statfsSync } from 'node:fs';
import { freemem } from 'node:os';
import { join } from 'node:path';
import { ENVIRONMENT, ROOT, run } from './project.mjs';

/** What passed and failed so far, over all parts. */
export const tally = { passed: 0, failed: 0 };

const bin = (path) => join('node_modules', path);

const MEMORY = '/dev/shm';
const ROOM_BYTES = 2 * 2 ** 30;

/**
 * Where tests put their databases and browsers their profiles: in memory, where the machine has such
 * a folder with room, so that a write waits for no disk.
 */
function temporaryPlace() {
  try {
    const { bavail, bsize } = statfsSync(MEMORY);
    return bavail * bsize > ROOM_BYTES ? { TMPDIR: MEMORY } : {};
  } catch {
    return {};
  }
}

/** Runs a command to its end and gives its exit code; what it prints is shown once it has ended. */
function ended(args, environment = {}) {
  return new Promise((resolve) => {
    const child = spawn(process.execPath, args, {
      cwd: ROOT,
      env: { ...ENVIRONMENT, ...temporaryPlace(), ...environment },
      stdio: ['ignore', 'pipe', 'pipe'],
    });
    const printed = [];
    child.stdout.on('data', (part) => printed.push(part));
    child.stderr.on('data', (part) => printed.push(part));
    child.on('exit', (code) => resolve({ code, printed: Buffer.concat(printed).toString('utf8') }));
  });
}

/** Times a part and says how long it took. */
async function timed(name, part) {
  const began = Date.now();
  const verdict = await part();
  console.log(`${verdict}: ${name} (${Math.round((Date.now() - began) / 1000)} s)`);
}

/** So much free memory is enough not to tidy it up during a check. */
const PLENTY_BYTES = 8 * 2 ** 30;

/**
 * What the programs that read all the code do with memory: where there is plenty, they tidy it up only once
 * it is used. A third of the linter's work is that otherwise.
 */
const withPlenty = () => (freemem() > PLENTY_BYTES ? { GOGC: 'off', GOMEMLIMIT: '3GiB' } : {});

/** One check that is right or wrong as a whole. */
export function check(name, script, ...args) {
  return timed(name, async () => {
    const { code, printed } = await ended([bin(script), ...args], withPlenty());
    if (code === 0) {
      tally.passed += 1;
      return 'ok';
    }
    tally.failed += 1;
    console.log(printed);
    return 'FAILED';
  });
}

/** What tests make and drop is looked through more rarely: a twentieth of their time. In megabytes. */
const YOUNG_GENERATION = '--max-semi-space-size=64';

/** All tests of one of Jest's projects, as if it were another day where `shiftMs` is not 0. */
export function jestOn(day, shiftMs, project, ...args) {
  const shard = args[args.indexOf('--shard') + 1] ?? '';
  const part = args.includes('--shard') ? ` ${shard}` : '';
  return timed(`${project} tests${part}${day}`, async () => {
    const output = join(ROOT, 'test-output', `${project}${part.replace('/', ' of ')}.json`);
    mkdirSync(join(ROOT, 'test-output'), { recursive: true });
    rmSync(output, { force: true });
    const command = [
      YOUNG_GENERATION,
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
    ];
    const { printed } = await ended(command, shiftMs === 0 ? {} : { SHIFT_MS: String(shiftMs) });
    const result = existsSync(output) ? JSON.parse(readFileSync(output, 'utf8')) : null;
    if (!result) {
      tally.failed += 1;
      console.log(printed.slice(-20_000));
      return `FAILED: the ${project} tests did not run`;
    }
    tally.passed += result.numPassedTests;
    // A test file that does not even load counts as one failure.
    const failed = result.numFailedTests + result.numRuntimeErrorTestSuites;
    tally.failed += failed;
    for (const { status, message, name } of result.testResults)
      if (status === 'failed') console.log(`${name}\n${message}`);
    return `${result.numPassedTests} passed, ${failed} failed`;
  });
}

/** Names of the tests that `npm test` runs: those of `npm run long` end with a mark. */
export const SAMPLE = '^(?!.*\\(long\\))';

export const jest = (project, ...args) => jestOn('', 0, project, ...args);

/** Runs parts in their order, so many beside each other: whoever is done takes the next. */
export async function beside(lanes, parts) {
  const left = [...parts];
  const lane = async () => {
    for (let part = left.shift(); part; part = left.shift()) await part();
  };
  await Promise.all(Array.from({ length: lanes }, lane));
}

/** All tests of a project in so many parts, each with a worker of its own. */
export const inParts = (project, count, ...args) =>
  Array.from(
    { length: count },
    (_, at) => () => jest(project, '--maxWorkers', '1', '--shard', `${at + 1}/${count}`, ...args),
  );

/** Debian's Chromium: the whole one, and the light one that most tests drive. */
export function ensureChromium() {
  const wanted = [
    ['chromium', ['/usr/bin/chromium', '/usr/bin/chromium-browser', '/usr/bin/google-chrome']],
    ['chromium-headless-shell', ['/usr/bin/chromium-headless-shell']],
  ];
  const missing = wanted
    .filter(([, places]) => !places.some((place) => existsSync(place)))
    .map(([name]) => name);
  if (missing.length === 0 || process.env.CHROMIUM) return;
  console.log('Installing Debian’s Chromium …');
  const quiet = { stdio: ['ignore', 'ignore', 'inherit'] };
  run('apt-get', ['update', '-qq'], quiet);
  run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', ...missing], {
    ...quiet,
    env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
  });
}

/** Says the sum and ends with it. */
export function closeWith(error) {
  if (error) {
    tally.failed += 1;
    console.error(error);
  }
  console.log(`\n${tally.passed} passed, ${tally.failed} failed`);
  process.exit(tally.failed === 0 ? 0 : 1);
}
