import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readFileSync, readdirSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

/** The project's folder, wherever the command was called. */
export const ROOT = join(dirname(fileURLToPath(import.meta.url)), '..', '..');

export const ENVIRONMENT = { ...process.env, NEXT_TELEMETRY_DISABLED: '1' };

/** Runs a command to its end, its output shown; throws when it fails. */
export function run(command, args, options = {}) {
  const done = spawnSync(command, args, {
    cwd: ROOT,
    stdio: 'inherit',
    env: ENVIRONMENT,
    ...options,
  });
  if (done.error) throw done.error;
  if (done.status !== 0)
    throw new Error(`${command} ${args.join(' ')} ended with ${done.status ?? done.signal}`);
}

/** As `run`, letting other work go on beside it. */
export async function runBeside(command, args, options = {}) {
  const child = spawn(command, args, { cwd: ROOT, stdio: 'inherit', env: ENVIRONMENT, ...options });
  const ended = await new Promise((resolve, failed) => {
    child.on('error', failed);
    child.on('exit', (code, signal) => resolve(code ?? signal));
  });
  if (ended !== 0) throw new Error(`${command} ${args.join(' ')} ended with ${ended}`);
}

function hashOf(paths) {
  const hash = createHash('sha256');
  for (const path of paths) hash.update(path).update(readFileSync(join(ROOT, path)));
  return hash.digest('hex');
}

function filesBelow(folder) {
  return readdirSync(join(ROOT, folder), { recursive: true })
    .map((name) => join(folder, String(name)))
    .filter((path) => statSync(join(ROOT, path)).isFile())
    .sort();
}

function stampIs(file, value) {
  return existsSync(file) && readFileSync(file, 'utf8') === value;
}

/**
 * Installs the packages when they are missing or the lock has changed since.
 *
 * @param tools also what only developing and testing want: half of all packages
 */
export function ensurePackages({ tools = true } = {}) {
  const stamp = join(ROOT, 'node_modules', '.dry-lantern-lock');
  const all = hashOf(['package.json', 'package-lock.json']);
  const some = `${all} without tools`;
  if (stampIs(stamp, all) || (!tools && stampIs(stamp, some))) return;
  console.log('Installing packages …');
  const omitted = tools ? [] : ['--omit=dev'];
  // What the lock names never changes: a package that is kept already is not asked about again.
  run('npm', ['ci', ...omitted, '--prefer-offline', '--no-audit', '--no-fund', '--loglevel=error']);
  writeFileSync(stamp, tools ? all : some);
}

/** What a build is made of, and where its mark stands. */
function buildMark() {
  const stamp = join(ROOT, '.next', 'dry-lantern-build');
  const sources = [...filesBelow('src').filter((path) => !path.endsWith('.test.ts'))];
  const wanted = hashOf([
    ...sources,
    'next.config.ts',
    'scripts/lib/squeeze.mjs',
    'postcss.config.mjs',
    'tsconfig.json',
    'package-lock.json',
  ]);
  return { stamp, wanted };
}

/** The steps of a build, one after the other. */
const BUILD = [['node_modules/next/dist/bin/next', 'build'], ['scripts/squeeze.mjs']];

/**
 * Builds the application when its source has changed since the last build.
 *
 * @param types checks them too; whoever only runs what the tests have passed need not
 */
export function ensureBuild({ quiet = true, types = true } = {}) {
  const { stamp, wanted } = buildMark();
  if (stampIs(stamp, wanted)) return false;
  console.log('Building …');
  for (const step of BUILD)
    run(process.execPath, step, {
      ...(quiet ? { stdio: ['ignore', 'ignore', 'inherit'] } : {}),
      env: { ...ENVIRONMENT, ...(types ? {} : { TYPES_CHECKED: '1' }) },
    });
  writeFileSync(stamp, wanted);
  return true;
}

/**
 * As `ensureBuild`, letting other work go on beside it; types are checked by whoever calls it.
 *
 * @returns the seconds it took
 */
export async function ensureBuildBeside() {
  const { stamp, wanted } = buildMark();
  const began = Date.now();
  if (stampIs(stamp, wanted)) return 0;
  console.log('Building …');
  for (const step of BUILD)
    await runBeside(process.execPath, step, {
      stdio: ['ignore', 'ignore', 'inherit'],
      env: { ...ENVIRONMENT, TYPES_CHECKED: '1' },
    });
  writeFileSync(stamp, wanted);
  return Math.round((Date.now() - began) / 1000);
}

/** The value of --name, or a default. */
export function option(name, otherwise) {
  const at = process.argv.indexOf(`--${name}`);
  if (at === -1) return otherwise;
  const value = process.argv[at + 1];
  if (!value || value.startsWith('--')) {
    console.error(`--${name} needs a value.`);
    process.exit(2);
  }
  return value;
}

export const flag = (name) => process.argv.includes(`--${name}`);

/**
 * Starts the built server; resolves once it answers. Where it cannot start it has said why, and this
 * process ends with it: another program's answer on the same port is never taken for ours.
 */
export async function startServer({ port, environment = {}, stdio = 'inherit' }) {
  const [input, output, errors] = typeof stdio === 'string' ? [stdio, stdio, stdio] : stdio;
  const child = spawn(process.execPath, ['scripts/serve/server.mjs', String(port)], {
    cwd: ROOT,
    env: { ...ENVIRONMENT, NODE_ENV: 'production', ...environment },
    stdio: [input, output, errors, 'ipc'],
  });
  const listening = await new Promise((resolve) => {
    child.once('message', () => resolve(true));
    child.once('exit', () => resolve(false));
  });
  if (!listening) process.exit(child.exitCode || 1);
  child.disconnect();
  return child;
}

/** Ends the server with this process, cleanly. */
export function endTogether(child) {
  let asked = false;
  const end = () => {
    asked = true;
    child.kill('SIGTERM');
  };
  process.on('SIGINT', end);
  process.on('SIGTERM', end);
  child.on('exit', (code) => process.exit(asked ? 0 : (code ?? 1)));
}
